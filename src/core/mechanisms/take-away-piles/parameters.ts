import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  form: oneOf('Played as', ['take-away', 'say-up-to'], 'take-away'),
  piles: whole('Piles', 1, 4, 1),
  size: whole('Things in a pile, or the number to reach', 3, 120, 21),
  most: whole('Most in one turn', 2, 20, 3),
  last: oneOf('Whoever takes the last', ['wins', 'loses'], 'wins'),
});
export type TakeAwayParameters = typeof DEFAULTS;
