import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  start: whole('First number', 0, 10000, 1),
  step: whole('Step', 1, 1000, 1),
  direction: oneOf('Direction', ['forward', 'backward'], 'forward'),
  rows: whole('Rows', 1, 10, 4),
  columns: whole('Columns', 3, 10, 5),
  blanks: oneOf('Blank cells', ['every-other', 'a-row', 'a-column', 'scattered', 'all-but-first'], 'scattered'),
  share: whole('Scattered: of a hundred cells, blank', 10, 90, 50),
  form: oneOf('Played', ['each-own-grid', 'one-grid-in-turn'], 'each-own-grid'),
  sayRow: yesNo('Each finished row is read aloud', false),
});
export type SequenceParameters = typeof DEFAULTS;
