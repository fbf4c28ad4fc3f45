import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  unit: oneOf('Measured with', ['cubes', 'dominoes', 'hand-spans', 'centimetres', 'inches'], 'cubes'),
  shortest: whole('Shortest thing, in centimetres', 3, 50, 10),
  longest: whole('Longest thing, in centimetres', 6, 300, 60),
  things: whole('Things each', 1, 12, 5),
  estimate: yesNo('Estimates first', true),
  chart: oneOf('Recorded in', ['table', 'bars'], 'table'),
  scale: oneOf('One square of the chart is', [1, 2, 5], 1),
  ask: oneOf('Then asked', ['which-is-longer', 'how-much-longer', 'both'], 'which-is-longer'),
});
export type MeasureParameters = typeof DEFAULTS;
