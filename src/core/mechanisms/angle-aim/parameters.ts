import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  step: oneOf('Angles on the cards go by', [5, 10, 15, 30], 10),
  most: oneOf('Largest angle', [90, 180, 360], 180),
  play: oneOf('Each turn', ['draws-by-eye', 'finds-the-missing-one', 'both'], 'draws-by-eye'),
  whole: oneOf('The missing one makes it up to', [90, 180, 360], 180),
  kind: oneOf('Says first', ['what-kind-it-is', 'nothing'], 'what-kind-it-is'),
  rounds: whole('Rounds', 2, 12, 5),
});
export type AngleParameters = typeof DEFAULTS;
