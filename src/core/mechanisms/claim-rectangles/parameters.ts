import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  rows: whole('Rows of the paper', 6, 20, 12),
  columns: whole('Columns of the paper', 6, 20, 12),
  faces: whole('Highest number on the dice', 4, 10, 6),
  paper: oneOf('The paper', ['is-shared', 'one-each'], 'is-shared'),
  says: oneOf('Each rectangle is said by', ['area', 'way-round', 'both'], 'area'),
  total: yesNo('Keeps a running total', true),
});
export type ClaimRectanglesParameters = typeof DEFAULTS;
