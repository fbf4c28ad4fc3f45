import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  trays: whole('Trays', 2, 5, 3),
  pieces: whole('Pieces', 5, 100, 24),
  uneven: oneOf('The trays fill', ['evenly', 'unevenly'], 'unevenly'),
  record: oneOf('Recorded as', ['tally', 'pictures', 'bars'], 'bars'),
  scale: oneOf('One square or picture stands for', [1, 2, 5], 1),
  questions: whole('Questions each', 0, 12, 4),
  howManyMore: yesNo('Asks how many more', true),
  together: yesNo('One graph for the table', true),
});
export type GraphParameters = typeof DEFAULTS;
