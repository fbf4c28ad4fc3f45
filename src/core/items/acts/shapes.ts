import { type Act, pairsOf, span } from './act';

/**
 * Flat shapes by their corners, and solids by their faces; what can be said of a shape follows from
 * these. Corners lie counter-clockwise; a curved shape has none. Kept apart from the words, which
 * stand in the text layer under the same place.
 */
export interface Shape {
  readonly id: string;
  readonly corners: readonly (readonly [x: number, y: number])[];
  readonly curved: boolean;
  /** Faces, edges and corners of a solid. */
  readonly solid?: readonly [faces: number, edges: number, corners: number];
}
const flat = (id: string, ...corners: (readonly [number, number])[]): Shape => ({ id, corners, curved: false });
const round = (id: string): Shape => ({ id, corners: [], curved: true });
const solid = (id: string, faces: number, edges: number, corners: number, curved = false): Shape => ({
  id,
  corners: [],
  curved,
  solid: [faces, edges, corners],
});
const regular = (n: number): (readonly [number, number])[] =>
  Array.from({ length: n }, (_, i) => [Math.cos((2 * Math.PI * i) / n), Math.sin((2 * Math.PI * i) / n)] as const);

export const shapes: readonly Shape[] = [
  round('circle'),
  round('oval'),
  flat('triangle-equal', ...regular(3)),
  flat('triangle-two-equal', [0, 0], [4, 0], [2, 5]),
  flat('triangle-right', [0, 0], [4, 0], [0, 3]),
  flat('triangle-uneven', [0, 0], [5, 0], [1, 2]),
  flat('square', [0, 0], [2, 0], [2, 2], [0, 2]),
  flat('rectangle', [0, 0], [4, 0], [4, 2], [0, 2]),
  flat('rhombus', [0, 0], [5, 0], [8, 4], [3, 4]),
  flat('parallelogram', [0, 0], [4, 0], [5, 2], [1, 2]),
  flat('one-pair-parallel', [0, 0], [6, 0], [4, 2], [1, 2]),
  flat('kite', [0, 0], [2, 3], [0, 4], [-2, 3]),
  flat('pentagon', ...regular(5)),
  flat('hexagon', ...regular(6)),
  flat('octagon', ...regular(8)),
  flat('arrow-head', [0, 0], [3, -1], [0, 4], [-3, -1]),
  solid('cube', 6, 12, 8),
  solid('box', 6, 12, 8),
  solid('pyramid', 5, 8, 5),
  solid('prism', 5, 9, 6),
  solid('ball', 1, 0, 0, true),
  solid('can', 3, 2, 0, true),
  solid('cone', 2, 1, 1, true),
];
export const shapeAt = (index: number): Shape => shapes[index] ?? shapes[0]!;
export const shapeIndex = (id: string): number => shapes.findIndex((s) => s.id === id);
export const flatShapes: readonly number[] = shapes.flatMap((s, i) => (s.solid ? [] : [i]));
export const solidShapes: readonly number[] = shapes.flatMap((s, i) => (s.solid ? [i] : []));
export const straightShapes: readonly number[] = shapes.flatMap((s, i) => (s.corners.length > 0 ? [i] : []));

/** What can be asked of a shape; the answer is a number, or 1 and 0 for yes and no. */
export const questions = [
  'sides',
  'corners',
  'right-angles',
  'all-sides-alike',
  'parallel-pairs',
  'mirror-lines',
  'curved',
  'solid',
  'faces',
  'edges',
  'square-sides',
] as const;
export type ShapeQuestion = (typeof questions)[number];

const near = (x: number, y = 0): boolean => Math.abs(x - y) < 1e-9;
type Point = readonly [number, number];
const sideVectors = (c: readonly Point[]): Point[] => c.map((p, i) => [c[(i + 1) % c.length]![0] - p[0], c[(i + 1) % c.length]![1] - p[1]]);
const length = ([x, y]: Point): number => Math.hypot(x, y);
const cross = (u: Point, v: Point): number => u[0] * v[1] - u[1] * v[0];
const dot = (u: Point, v: Point): number => u[0] * v[0] + u[1] * v[1];

/** Whether mirroring in the line through `p` with direction `d` leaves the set of corners as it is. */
function mirrorsOnto(c: readonly Point[], p: Point, d: Point): boolean {
  const n = length(d);
  return c.every(([x, y]) => {
    const [dx, dy] = [x - p[0], y - p[1]];
    const along = (dx * d[0] + dy * d[1]) / n / n;
    const image: Point = [p[0] + 2 * along * d[0] - dx, p[1] + 2 * along * d[1] - dy];
    return c.some((q) => near(q[0], image[0]) && near(q[1], image[1]));
  });
}

/** Lines of symmetry pass through the middle and a corner, or the middle and the middle of a side. */
function mirrorLines(c: readonly Point[]): number {
  const middle: Point = [c.reduce((s, p) => s + p[0], 0) / c.length, c.reduce((s, p) => s + p[1], 0) / c.length];
  const through = [...c, ...c.map((p, i): Point => [(p[0] + c[(i + 1) % c.length]![0]) / 2, (p[1] + c[(i + 1) % c.length]![1]) / 2])];
  const found: Point[] = [];
  for (const t of through) {
    const d: Point = [t[0] - middle[0], t[1] - middle[1]];
    if (near(length(d)) || found.some((f) => near(cross(f, d)))) continue;
    if (mirrorsOnto(c, middle, d)) found.push(d);
  }
  return found.length;
}

/** The answer to a question about a shape, from its corners or faces. */
export function answerOf(shape: number, question: number): number {
  const s = shapeAt(shape);
  const sides = sideVectors(s.corners);
  const n = sides.length;
  switch (questions[question]) {
    case 'sides':
      return n;
    case 'corners':
      return s.solid ? s.solid[2] : n;
    case 'right-angles':
      return sides.filter((v, i) => near(dot(v, sides[(i + 1) % n]!)) && cross(v, sides[(i + 1) % n]!) > 0).length;
    case 'all-sides-alike':
      return n > 0 && sides.every((v) => near(length(v), length(sides[0]!))) ? 1 : 0;
    case 'parallel-pairs':
      return sides.reduce((sum, v, i) => sum + sides.slice(i + 1).filter((w) => near(cross(v, w))).length, 0);
    case 'square-sides':
      return sides.some((v, i) => sides.some((w, k) => k !== i && near(dot(v, w)))) ? 1 : 0;
    case 'mirror-lines':
      return n === 0 ? 0 : mirrorLines(s.corners);
    case 'curved':
      return s.curved ? 1 : 0;
    case 'solid':
      return s.solid ? 1 : 0;
    case 'faces':
      return s.solid?.[0] ?? 0;
    case 'edges':
      return s.solid?.[1] ?? 0;
    default:
      return 0;
  }
}
export const questionIndex = (q: ShapeQuestion): number => questions.indexOf(q);

/** Families of flat shapes; a square belongs to five of them. A trapezoid has at least one pair of parallel sides. */
export const families = [
  'triangle',
  'four-sided',
  'trapezoid',
  'parallelogram',
  'rectangle',
  'rhombus',
  'square',
  'right-triangle',
  'equal-triangle',
  'regular',
] as const;

/** Whether a shape belongs to a family, by what is true of it. */
export function belongs(shape: number, family: number): boolean {
  const is = (q: ShapeQuestion): number => answerOf(shape, questionIndex(q));
  const sides = is('sides');
  switch (families[family]) {
    case 'triangle':
      return sides === 3;
    case 'four-sided':
      return sides === 4;
    case 'trapezoid':
      return sides === 4 && is('parallel-pairs') >= 1;
    case 'parallelogram':
      return sides === 4 && is('parallel-pairs') === 2;
    case 'rectangle':
      return sides === 4 && is('right-angles') === 4;
    case 'rhombus':
      return sides === 4 && is('all-sides-alike') === 1;
    case 'square':
      return sides === 4 && is('right-angles') === 4 && is('all-sides-alike') === 1;
    case 'right-triangle':
      return sides === 3 && is('right-angles') === 1;
    case 'equal-triangle':
      return sides === 3 && is('all-sides-alike') === 1;
    case 'regular':
      return sides >= 3 && is('all-sides-alike') === 1 && is('mirror-lines') === sides;
    default:
      return false;
  }
}

/** Nets of a cube: six squares on paper by row and column; all eleven (a classical count). */
export const cubeNets: readonly (readonly (readonly [row: number, column: number])[])[] = [
  ['#', '####', '#'],
  ['#', '####', ' #'],
  ['#', '####', '  #'],
  ['#', '####', '   #'],
  [' #', '####', ' #'],
  [' #', '####', '  #'],
  ['##', ' ###', ' #'],
  ['##', ' ###', '  #'],
  ['##', ' ###', '   #'],
  ['###', '  ###'],
  ['##', ' ##', '  ##'],
].map((rows) => rows.flatMap((row, r) => [...row].flatMap((x, c) => (x === '#' ? [[r, c] as const] : []))));

/** Each way from a square of paper to the next rolls the cube; the face that lies down then is the one printed there. */
type Cube = readonly [down: number, up: number, north: number, south: number, west: number, east: number];
function roll([down, up, north, south, west, east]: Cube, dr: number, dc: number): Cube {
  if (dc === 1) return [east, west, north, south, down, up];
  if (dc === -1) return [west, east, north, south, up, down];
  return dr === 1 ? [south, north, down, up, west, east] : [north, south, up, down, west, east];
}

/** Which square of a net lies opposite to another when it is folded; squares are counted as they are listed. */
export function oppositeFace(net: number, face: number): number {
  const squares = cubeNets[net] ?? cubeNets[0]!;
  const side = new Map<number, number>();
  const seen = new Set<number>([0]);
  const walk = (at: number, cube: Cube): void => {
    side.set(at, cube[0]);
    for (const [dr, dc] of [
      [0, 1],
      [0, -1],
      [1, 0],
      [-1, 0],
    ] as const) {
      const next = squares.findIndex(([r, c]) => r === squares[at]![0] + dr && c === squares[at]![1] + dc);
      if (next < 0 || seen.has(next)) continue;
      seen.add(next);
      walk(next, roll(cube, dr, dc));
    }
  };
  // Sides 0 and 1, 2 and 3, 4 and 5 lie opposite to each other.
  walk(0, [0, 1, 2, 3, 4, 5]);
  const own = side.get(face) ?? 0;
  return [...side].find(([, s]) => s === (own ^ 1))?.[0] ?? 0;
}

/** 0 sharp, 1 right, 2 blunt, 3 straight, 4 more than straight, 5 a full turn. */
export const angleKind = (degrees: number): number =>
  degrees < 90 ? 0 : degrees === 90 ? 1 : degrees < 180 ? 2 : degrees === 180 ? 3 : degrees < 360 ? 4 : 5;

/** The part of the plane a point lies in, counter-clockwise from the upper right; 0 on an axis. */
export const quadrant = (x: number, y: number): number => (x === 0 || y === 0 ? 0 : y > 0 ? (x > 0 ? 1 : 2) : x < 0 ? 3 : 4);

export const shapeActs = {
  'shape-name': { result: (a) => a, operands: pairsOf(span(0, shapes.length - 1), [0, 1, 2, 3]), pace: 'look' },
  'shape-question': { result: answerOf, operands: pairsOf(span(0, shapes.length - 1), span(0, questions.length - 1)), pace: 'easy' },
  'shape-family': {
    result: (a, b) => (belongs(a, b) ? 1 : 0),
    operands: pairsOf([...straightShapes], span(0, families.length - 1)),
    pace: 'easy',
  },
  'plot-point': { result: quadrant, operands: pairsOf(span(-10, 10), span(-10, 10)), pace: 'easy' },
  'measure-angle': { result: (a) => a, operands: pairsOf(span(5, 355, 5), [1, 5, 10]), pace: 'hard' },
  'angle-kind': { result: angleKind, operands: pairsOf(span(10, 360, 10), [0]), pace: 'look' },
  'angle-missing': { result: (a, b) => a - b, operands: pairsOf([90, 180, 360], span(10, 350, 10), (a, b) => b < a), pace: 'hard' },
  perimeter: { result: (a, b) => 2 * (a + b), operands: pairsOf(span(1, 20), span(1, 20)), pace: 'hard' },
  'area-joined': { result: (a, b) => a + b, operands: pairsOf(span(2, 60, 2), span(2, 60, 2)), pace: 'hard' },
  'area-slanting': { result: (a, b) => a * b, operands: pairsOf(span(2, 12), span(2, 12)), pace: 'times' },
  'area-triangle': {
    result: (a, b) => (a * b) / 2,
    operands: pairsOf(span(2, 12), span(2, 12), (a, b) => (a * b) % 2 === 0),
    pace: 'times',
  },
  volume: { result: (a, b) => a * b, operands: pairsOf(span(2, 36), span(1, 8)), pace: 'hard' },
  'net-opposite': { result: oppositeFace, operands: pairsOf(span(0, cubeNets.length - 1), span(0, 5)), pace: 'hard' },
  'build-shape': { result: (a) => a, operands: pairsOf(span(2, 12), [0]), pace: 'hard' },
} as const satisfies Readonly<Record<string, Act>>;
