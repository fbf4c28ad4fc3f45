import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  shapes: oneOf(
    'On the table lie',
    ['flat-shapes', 'four-sided', 'triangles', 'triangles-and-four-sided', 'solids', 'flat-and-solid'],
    'flat-shapes',
  ),
  laid: whole('Shapes on the table', 4, 16, 8),
  asks: oneOf('Questions are about', ['sides-and-corners', 'angles-and-parallels', 'families', 'everything'], 'sides-and-corners'),
  hidden: whole('Shapes to find each', 1, 6, 2),
  questions: whole('Questions at most for each', 2, 12, 6),
});
export type WhichShapeParameters = typeof DEFAULTS;
