import { parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  pegs: whole('Pegs on each side', 4, 20, 10),
  left: whole('Weights on the left', 1, 3, 1),
  right: whole('Weights on the right, one of them missing', 1, 3, 2),
  multiples: yesNo('Several weights may hang on one peg', false),
  tasks: whole('Tasks each', 1, 20, 6),
  predict: yesNo('Says first which side would sink', true),
});
export type BeamParameters = typeof DEFAULTS;
