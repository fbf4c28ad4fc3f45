import { answerOf, belongs, families, flatShapes, questionIndex, shapes, type ShapeQuestion, solidShapes } from '../../items/acts/shapes';
import type { WhichShapeParameters } from './parameters';

/** A question that can be asked with yes or no: an attribute with a value, or a family. */
export interface Ask {
  readonly sort: 'attribute' | 'family';
  readonly of: number;
  /** The number asked for, where the attribute is a number: "has it three sides?" */
  readonly value: number;
}

export const poolOf = (p: WhichShapeParameters): readonly number[] => {
  const corners = (n: number): number => shapes[n]!.corners.length;
  switch (p.shapes) {
    case 'flat-shapes':
      return flatShapes;
    case 'four-sided':
      return flatShapes.filter((s) => corners(s) === 4);
    case 'triangles':
      return flatShapes.filter((s) => corners(s) === 3);
    case 'triangles-and-four-sided':
      return flatShapes.filter((s) => corners(s) === 3 || corners(s) === 4);
    case 'solids':
      return solidShapes;
    case 'flat-and-solid':
      return [...flatShapes, ...solidShapes];
  }
};

const numbers: Readonly<Record<Exclude<WhichShapeParameters['asks'], 'families' | 'everything'>, readonly ShapeQuestion[]>> = {
  'sides-and-corners': ['sides', 'corners', 'curved', 'faces', 'edges', 'solid', 'all-sides-alike'],
  'angles-and-parallels': ['right-angles', 'parallel-pairs', 'square-sides', 'mirror-lines'],
};

/** Every question that divides the pool of a version. */
export function asksOf(p: WhichShapeParameters): readonly Ask[] {
  const pool = poolOf(p);
  const wanted: readonly ShapeQuestion[] =
    p.asks === 'families'
      ? []
      : p.asks === 'everything'
        ? [...numbers['sides-and-corners'], ...numbers['angles-and-parallels']]
        : numbers[p.asks];
  const attributes = wanted.flatMap((q): Ask[] =>
    [...new Set(pool.map((s) => answerOf(s, questionIndex(q))))].map((value) => ({ sort: 'attribute', of: questionIndex(q), value })),
  );
  const kinds: Ask[] =
    p.asks === 'families' || p.asks === 'everything' ? families.map((_, f) => ({ sort: 'family', of: f, value: 1 })) : [];
  return [...attributes, ...kinds].filter((a) => new Set(pool.map((s) => holds(a, s))).size === 2);
}

export const holds = (a: Ask, shape: number): boolean => (a.sort === 'family' ? belongs(shape, a.of) : answerOf(shape, a.of) === a.value);
