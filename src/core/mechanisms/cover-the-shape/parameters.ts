import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  figure: oneOf('Figures', ['rectangles', 'two-joined', 'either'], 'rectangles'),
  shortest: whole('Shortest side', 1, 6, 2),
  longest: whole('Longest side', 3, 12, 6),
  work: oneOf('Found by', ['counting-tiles', 'adding-rows', 'sides-times'], 'counting-tiles'),
  estimate: yesNo('Estimates first', true),
  tasks: whole('Figures each', 1, 15, 5),
});
export type CoverShapeParameters = typeof DEFAULTS;
