import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  task: oneOf('Each card asks', ['how-many-cubes', 'which-face-opposite', 'build-from-pieces'], 'how-many-cubes'),
  longest: whole('Longest side of a box', 2, 6, 4),
  pieces: whole('Most pieces of a figure', 3, 12, 6),
  bets: oneOf('Before it is checked', ['everyone-bets', 'nobody-bets'], 'everyone-bets'),
  cards: whole('Cards each', 2, 10, 4),
});
export type BoxesParameters = typeof DEFAULTS;
