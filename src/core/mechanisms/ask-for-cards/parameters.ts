import { missingCards, oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  relation: oneOf('Cards belong together when they', ['are-equal', 'make-a-sum', 'differ-by', 'are-equal-fractions'], 'make-a-sum'),
  number: whole('The sum, or the difference', 1, 100, 10),
  together: oneOf('Laid down as', ['pairs', 'triples'], 'pairs'),
  lowest: whole('Lowest card', 0, 50, 0),
  highest: whole('Highest card', 2, 100, 10),
  by: whole('Cards go by', 1, 50, 1),
  copies: whole('Copies of each card', 1, 6, 4),
  hand: whole('Cards in hand', 2, 8, 5),
  missing: missingCards(),
  drawPile: yesNo('A miss draws a card', true),
  again: yesNo('A hit asks again', true),
});
export type AskParameters = typeof DEFAULTS;
