import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  columns: whole('Columns', 2, 6, 3),
  draw: oneOf('Drawn digits', ['kept', 'returned'], 'kept'),
  goal: oneOf('The number should be', ['largest', 'smallest', 'odd', 'even', 'nearest'], 'largest'),
  target: whole('Nearest to', 0, 999999, 500),
  rounds: whole('Rounds', 1, 12, 5),
  readAloud: yesNo('The number is read aloud', true),
  tally: yesNo('The difference between two numbers is tallied', false),
  ownDigits: yesNo('Everyone draws their own digits', false),
});
export type PlacementParameters = typeof DEFAULTS;
