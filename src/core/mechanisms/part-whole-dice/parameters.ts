import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  faces: whole('Highest number on the dice', 4, 20, 6),
  lowestFace: whole('Lowest number on the dice', 0, 3, 1),
  cells: whole('Boxes for each missing part', 1, 6, 2),
  ends: oneOf('The game ends', ['one-grid-full', 'line', 'rounds'], 'line'),
  rounds: whole('Throws each, at most', 3, 60, 20),
  say: oneOf('It is said as', ['missing-part', 'take-away'], 'missing-part'),
  takeOther: yesNo('With no box left, give the throw to a neighbour', false),
});
export type PartWholeParameters = typeof DEFAULTS;
