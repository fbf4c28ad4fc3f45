import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  rule: oneOf('Move to a neighbour when', ['here-plus-die', 'die-is-factor'], 'here-plus-die'),
  rows: whole('Rows of the board', 4, 14, 8),
  width: whole('Spaces in a row', 2, 5, 3),
  ways: whole('Spaces ahead of each space', 2, 3, 2),
  faces: whole('Highest number on the die', 4, 12, 6),
  choose: whole('Dice to choose one from', 1, 2, 1),
  occupied: oneOf('A space with a peg on it', ['is-blocked', 'sends-back', 'is-shared'], 'is-shared'),
  finish: oneOf('The last space', ['exact', 'any-throw'], 'exact'),
  wasted: oneOf('Wasted throws, at most', [20, 25, 30, 40, 50, 60, 70, 80], 70),
  board: whole('Board number', 1, 50, 1),
});
export type NeighbourParameters = typeof DEFAULTS;
