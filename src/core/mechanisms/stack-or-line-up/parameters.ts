import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  build: oneOf('Pieces are', ['stacked', 'lined-up'], 'stacked'),
  pieces: whole('Pieces at most', 5, 30, 15),
  steady: whole('Pieces that usually stand', 3, 25, 9),
  predict: yesNo('Says first how many will stand', true),
  compare: oneOf('Compared', ['who-has-more', 'how-many-more', 'not'], 'who-has-more'),
  countBy: oneOf('Counted', ['one-by-one', 'in-twos', 'in-fives'], 'one-by-one'),
  rounds: whole('Rounds', 1, 12, 4),
});
export type StackParameters = typeof DEFAULTS;
