import { callableActs } from '../../play/actHalves';
import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  size: whole('Rows and columns of a card', 2, 5, 3),
  freeCentre: yesNo('The middle is free', false),
  lowest: whole('Lowest number on a card', 0, 100, 1),
  pool: whole('Different numbers called', 6, 200, 25),
  relation: oneOf('What is called', ['number', 'sum', 'difference', 'product', 'round', ...callableActs], 'sum'),
  lines: oneOf('A line is', ['rows', 'rows-columns', 'rows-columns-diagonals', 'whole-card'], 'rows-columns-diagonals'),
  linesToWin: whole('Lines to win', 1, 4, 1),
});
export type CoverParameters = typeof DEFAULTS;
