import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  size: whole('The axes go to', 4, 12, 8),
  quarters: oneOf('The grid has', ['one-quarter', 'four-quarters'], 'one-quarter'),
  spots: whole('Spots to find', 1, 5, 2),
  clue: oneOf('The hider tells', ['direction', 'steps-away'], 'direction'),
  guesses: whole('Guesses together at most', 6, 60, 24),
  sayMoves: yesNo('Each guess says how far it is from the last one', false),
});
export type SpotParameters = typeof DEFAULTS;
