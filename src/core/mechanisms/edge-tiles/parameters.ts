import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  colours: whole('Colours of edges', 1, 6, 4),
  lowest: whole('Lowest number on an edge', 0, 12, 1),
  highest: whole('Highest number on an edge', 2, 25, 10),
  tiles: whole('Tiles', 12, 120, 48),
  hand: whole('Tiles in hand', 1, 6, 4),
  operation: oneOf('Edges are joined by', ['sum', 'product', 'difference'], 'sum'),
  step: oneOf('Allowed results are multiples of', [1, 2, 3, 4, 5, 10, 25], 5),
  most: whole('Largest allowed result', 2, 200, 20),
  joinTo: oneOf('Join to', ['any', 'last'], 'any'),
  sameColour: yesNo('Colours must agree', true),
  inner: oneOf('A spot between two tiles', ['both-count', 'must-fit-only', 'not-allowed'], 'both-count'),
  noScorePairs: yesNo('Equal number and colour may join for nothing', true),
  turning: yesNo('Tiles may be turned', true),
  scoring: oneOf('Scoring', ['single', 'running-total'], 'running-total'),
  target: whole('Points to reach', 10, 500, 100),
});
export type EdgeTileParameters = typeof DEFAULTS;
