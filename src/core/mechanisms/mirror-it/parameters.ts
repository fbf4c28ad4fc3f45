import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  line: oneOf('The line stands', ['upright', 'lying', 'slanting', 'any-way'], 'upright'),
  grid: whole('Squares on each side of the line', 2, 8, 3),
  rows: whole('Rows along the line', 2, 12, 4),
  filled: whole('Coloured squares', 2, 24, 5),
  tasks: whole('Pictures each', 1, 12, 4),
  check: yesNo('Checked with a mirror or by folding', true),
});
export type MirrorParameters = typeof DEFAULTS;
