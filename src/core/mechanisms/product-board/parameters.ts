import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  highest: whole('Highest factor', 5, 12, 9),
  lowest: whole('Lowest factor', 1, 3, 1),
  inLine: whole('Squares in a line to win', 3, 5, 4),
  operation: oneOf('The two markers are', ['multiplied', 'added'], 'multiplied'),
  board: whole('Board number', 1, 50, 1),
});
export type ProductBoardParameters = typeof DEFAULTS;
