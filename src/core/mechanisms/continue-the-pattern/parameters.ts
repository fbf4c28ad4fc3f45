import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  kind: oneOf('The pattern', ['repeats', 'grows', 'either'], 'repeats'),
  shortest: whole('Shortest part that repeats', 2, 5, 2),
  longest: whole('Longest part that repeats', 2, 6, 4),
  shown: whole('Pieces shown', 4, 24, 10),
  step: whole('Largest step of a growing pattern', 1, 20, 3),
  asks: oneOf('Asked', ['what-comes-next', 'what-is-missing', 'far-ahead'], 'what-comes-next'),
  tasks: whole('Patterns each', 1, 20, 8),
  makeOwn: yesNo('Makes one for the neighbour', false),
});
export type PatternParameters = typeof DEFAULTS;
