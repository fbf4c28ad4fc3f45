import { shapes } from '../../items/acts/shapes';
import { alone, nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { WhichShapeParameters } from './parameters';
import { poolOf } from './rules';

const lie: Readonly<Record<WhichShapeParameters['shapes'], string>> = {
  'flat-shapes': 'flat shapes',
  'four-sided': 'four-sided shapes',
  triangles: 'triangles',
  'triangles-and-four-sided': 'triangles and four-sided shapes',
  solids: 'solids',
  'flat-and-solid': 'flat shapes and solids',
};
const asked: Readonly<Record<WhichShapeParameters['asks'], string>> = {
  'sides-and-corners': 'sides, corners and curves: “Has it three corners?”',
  'angles-and-parallels': 'right angles, parallel sides and lines of symmetry: “Has it a right angle?”',
  families: 'families: “Is it a parallelogram?”',
  everything: 'anything that can be seen of them',
};

export function howTo(p: WhichShapeParameters): HowTo {
  const laid = Math.min(p.laid, poolOf(p).length);
  const drawn = poolOf(p)
    .filter((s) => shapes[s]!.corners.length > 0)
    .slice(0, 3);
  const outlines = drawn.map((s, i) => place(shapes[s]!.corners, i * 5 + 0.5));
  return {
    setUp: [`Lay out ${laid} shapes: ${lie[p.shapes]}.`, 'One player chooses one of them in secret.'],
    turn: [
      `The others ask questions that are answered yes or no, about ${asked[p.asks]}`.replace(/(”)?$/, '$1.').replace('”.', '”.'),
      'After each answer turn down the shapes that it cannot be, and say why.',
      `When one is left, or after ${many(p.questions, 'question')}, name the shape.`,
    ],
    scoring: [],
    end: `Everyone hides ${many(p.hidden, 'shape')}; all who ask have found it together.`,
    ask: 'Which question would halve what is left?',
    tool: 'Run a finger round the shape and count the corners.',
    smaller: `Lay out ${Math.max(4, smallerThan(p.laid))} shapes.`,
    presence: p.shapes === 'solids' || p.asks === 'families' ? nearby('settles what a shape is called') : alone,
    pictures: [
      { picture: { draw: 'shape', columns: 15, rows: 6, outlines }, say: 'One of these is secret.' },
      {
        picture:
          outlines.length > 0 ? { draw: 'shape', columns: 15, rows: 6, outlines, dots: [] } : { draw: 'say', words: 'Has it a curve?' },
        say: 'Ask: yes or no?',
      },
      { picture: { draw: 'shape', columns: 15, rows: 6, outlines: outlines.slice(0, 1) }, say: 'Only one is left. Name it.' },
    ],
  };
}

/** A shape drawn about four squares wide. */
function place(corners: readonly (readonly [number, number])[], at: number): [number, number][] {
  const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
  const [left, top] = [Math.min(...xs), Math.max(...ys)];
  const scale = 4 / Math.max(Math.max(...xs) - left, top - Math.min(...ys));
  return corners.map(([x, y]) => [at + (x - left) * scale, 1 + (top - y) * scale]);
}
