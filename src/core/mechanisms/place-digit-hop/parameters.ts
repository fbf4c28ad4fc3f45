import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  start: whole('Board from', 0, 900, 0),
  end: whole('Board to', 30, 1000, 100),
  places: oneOf('Cards name a digit in', ['ones', 'tens', 'either', 'ones-tens-hundreds'], 'either'),
  nearest: oneOf('Hop to the nearest such space', ['ahead', 'either-way'], 'ahead'),
  sayDistance: yesNo('Says how far the hop was', false),
  finish: oneOf('The race ends', ['first-home', 'hops-used'], 'first-home'),
  hops: whole('Hops each at most', 5, 60, 30),
});
export type HopParameters = typeof DEFAULTS;
