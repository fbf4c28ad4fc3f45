import { shapeAt } from './shapes';

/** What shapes are called, with their article. */
const shapeWords: Readonly<Record<string, string>> = {
  circle: 'a circle',
  oval: 'an oval',
  'triangle-equal': 'a triangle with equal sides',
  'triangle-two-equal': 'a triangle with two equal sides',
  'triangle-right': 'a triangle with a right angle',
  'triangle-uneven': 'an uneven triangle',
  square: 'a square',
  rectangle: 'a rectangle',
  rhombus: 'a rhombus',
  parallelogram: 'a parallelogram',
  'one-pair-parallel': 'a shape with one pair of parallel sides',
  kite: 'a kite',
  pentagon: 'a pentagon',
  hexagon: 'a hexagon',
  octagon: 'an octagon',
  'arrow-head': 'an arrow head',
  cube: 'a cube',
  box: 'a box',
  pyramid: 'a pyramid',
  prism: 'a prism',
  ball: 'a ball',
  can: 'a can',
  cone: 'a cone',
};
/** A shape in words, with its article. */
/** A shape by its place, in words. */
export const shapeText = (index: number): string => shapeWords[shapeAt(index).id] ?? 'a shape';
