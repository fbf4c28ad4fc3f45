import { between } from '../../../play/deck';
import { impossible } from '../../../play/refuse';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { below, type Rng } from '../../../shared/rng';
import { type Box, path, type Point, polygon, rect, text } from '../../box';
import { sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  figure: oneOf('Figures', ['rectangles', 'two-joined', 'either', 'joined-squares', 'boxes-of-cubes'], 'rectangles'),
  shortest: whole('Shortest side', 1, 8, 2),
  longest: whole('Longest side', 2, 12, 6),
  pieces: whole('Squares of a joined figure', 2, 12, 5),
  squares: oneOf('Squares are drawn', ['yes', 'outline-only'], 'yes'),
  count: whole('Cards', 1, 60, 6),
});
type P = typeof DEFAULTS;
interface Figure {
  /** Unit squares by column and row; for a box the ground, with its height. */
  readonly cells: readonly Point[];
  readonly high: number;
  readonly area: number;
}
const block = (x: number, y: number, w: number, h: number): Point[] =>
  Array.from({ length: w * h }, (_, i) => [x + (i % w), y + Math.floor(i / w)] as const);

function figure(p: P, rng: Rng): Figure {
  const side = (): number => between(rng, p.shortest, p.longest);
  if (p.figure === 'boxes-of-cubes') {
    const [w, d, high] = [
      between(rng, 2, Math.min(5, p.longest)),
      between(rng, 2, Math.min(5, p.longest)),
      between(rng, 2, Math.min(5, p.longest)),
    ];
    return { cells: block(0, 0, w, d), high, area: w * d * high };
  }
  if (p.figure === 'joined-squares') {
    const cells: Point[] = [[0, 0]];
    while (cells.length < p.pieces) {
      const [x, y] = cells[below(rng, cells.length)]!;
      const [dx, dy] = (
        [
          [0, 1],
          [1, 0],
          [0, -1],
          [-1, 0],
        ] as const
      )[below(rng, 4)]!;
      if (!cells.some(([a, b]) => a === x + dx && b === y + dy)) cells.push([x + dx, y + dy]);
    }
    const [lowX, lowY] = [Math.min(...cells.map((c) => c[0])), Math.min(...cells.map((c) => c[1]))];
    return { cells: cells.map(([x, y]) => [x - lowX, y - lowY] as const), high: 1, area: cells.length };
  }
  const [w, h] = [side(), side()];
  const first = block(0, 0, w, h);
  if (p.figure === 'rectangles' || (p.figure === 'either' && below(rng, 2) === 0)) return { cells: first, high: 1, area: w * h };
  const v = side();
  let k = side();
  // As high as the first it would make one rectangle of both.
  while (k === h && p.longest > p.shortest) k = side();
  // The second stands beside the first, at its foot, so that the cut between them is one straight line.
  const second = block(w, 0, v, k);
  const rows = Math.max(h, k);
  const cells = [...first.map(([x, y]) => [x, y + rows - h] as const), ...second.map(([x, y]) => [x, y + rows - k] as const)];
  return { cells, high: 1, area: w * h + v * k };
}

export default sheetKind<P, readonly Figure[]>({
  id: 'figure-cards',
  title: 'Figure cards',
  about: 'Rectangles, joined figures and boxes of cubes to cover, to build and to work out.',
  group: 'to solve',
  forFamilies: ['cover-the-shape', 'boxes-and-nets'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.figure === 'two-joined' && p.longest === p.shortest
      ? impossible('longest', 'Sides that are all equal join to a rectangle; let the longest be longer than the shortest.')
      : p.longest < p.shortest
        ? impossible('longest', `The longest side (${p.longest}) is below the shortest (${p.shortest}).`)
        : null,
  make: (p, { rng }) => {
    const made: Figure[] = [];
    for (let t = 0; made.length < p.count && t < 60 * p.count; t++) {
      const f = figure(p, rng);
      const key = JSON.stringify([f.cells, f.high]);
      if (!made.some((m) => JSON.stringify([m.cells, m.high]) === key)) made.push(f);
    }
    return made;
  },
  verify: (made, p) => [
    ...(made.length === p.count ? [] : [`Only ${made.length} different figures can be made; ask for fewer or for longer sides.`]),
    ...made.flatMap((f, i) => {
      const keys = new Set(f.cells.map(([x, y]) => `${x} ${y}`));
      const reached = new Set([`${f.cells[0]![0]} ${f.cells[0]![1]}`]);
      for (const k of reached) {
        const [x, y] = k.split(' ').map(Number) as [number, number];
        for (const [dx, dy] of [
          [0, 1],
          [1, 0],
          [0, -1],
          [-1, 0],
        ] as const)
          if (keys.has(`${x + dx} ${y + dy}`)) reached.add(`${x + dx} ${y + dy}`);
      }
      return [
        ...(keys.size * f.high === f.area ? [] : [`Figure ${i + 1} has not ${f.area} squares.`]),
        ...(reached.size === keys.size ? [] : [`Figure ${i + 1} falls apart.`]),
      ];
    }),
  ],
  checked: (made) => `${made.length} figures, all different, each in one piece; squares counted anew.`,
  draw: (made, p) => ({
    pieces: [
      {
        w: 90,
        h: 80,
        count: made.length,
        face: (n, { w, h }) => [
          text(4, 3, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
          ...(p.figure === 'boxes-of-cubes' ? cubes(made[n]!, 8, 10, w - 16, h - 16) : drawFigure(made[n]!, p, 8, 10, w - 16, h - 16)),
        ],
        back: (n, { w, h }) => [
          text(4, 3, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
          text(0, h * 0.3, w, h * 0.4, `${made[n]!.area} ${p.figure === 'boxes-of-cubes' ? 'cubes' : 'squares'}`, 24, { bold: true }),
        ],
      },
    ],
  }),
  key: (made) => made.map((f, i) => `${i + 1}: ${f.area}`),
});

function drawFigure(f: Figure, p: P, x: number, y: number, w: number, h: number): Box[] {
  const columns = Math.max(...f.cells.map((c) => c[0])) + 1;
  const rows = Math.max(...f.cells.map((c) => c[1])) + 1;
  const s = Math.min(w / columns, h / rows, 15);
  const [dx, dy] = [x + (w - s * columns) / 2, y + (h - s * rows) / 2];
  const there = (a: number, b: number): boolean => f.cells.some(([u, v]) => u === a && v === b);
  return f.cells.flatMap(([cx, cy]): Box[] => {
    const [l, t] = [dx + cx * s, dy + cy * s];
    const edge = (x1: number, y1: number, x2: number, y2: number, open: boolean): Box[] =>
      open
        ? [
            path(
              [
                [x1, y1],
                [x2, y2],
              ],
              { line: 'ink', width: 0.8 },
            ),
          ]
        : p.squares === 'yes'
          ? [
              path(
                [
                  [x1, y1],
                  [x2, y2],
                ],
                { line: 'soft', width: 0.25 },
              ),
            ]
          : [];
    return [
      rect(l, t, s, s, { fill: 'wash' }),
      ...edge(l, t, l + s, t, !there(cx, cy - 1)),
      ...edge(l, t + s, l + s, t + s, !there(cx, cy + 1)),
      ...edge(l, t, l, t + s, !there(cx - 1, cy)),
      ...edge(l + s, t, l + s, t + s, !there(cx + 1, cy)),
    ];
  });
}

/** A box of cubes as seen from the front and above. */
function cubes(f: Figure, x: number, y: number, w: number, h: number): Box[] {
  const wide = Math.max(...f.cells.map((c) => c[0])) + 1;
  const deep = Math.max(...f.cells.map((c) => c[1])) + 1;
  const k = 0.5;
  const s = Math.min(w / (wide + deep * k), h / (f.high + deep * k), 16);
  const [l, b] = [x + (w - s * (wide + deep * k)) / 2, y + (h + s * (f.high + deep * k)) / 2];
  const boxes: Box[] = [];
  const face = (points: Point[], fill: Box['fill']): Box => polygon(points, { line: 'ink', width: 0.35, ...(fill ? { fill } : {}) });
  for (let i = 0; i < wide; i++)
    for (let j = 0; j < f.high; j++)
      boxes.push(
        face(
          [
            [l + i * s, b - j * s],
            [l + (i + 1) * s, b - j * s],
            [l + (i + 1) * s, b - (j + 1) * s],
            [l + i * s, b - (j + 1) * s],
          ],
          'wash',
        ),
      );
  for (let i = 0; i < wide; i++)
    for (let d = 0; d < deep; d++) {
      const o = d * k * s;
      boxes.push(
        face(
          [
            [l + i * s + o, b - f.high * s - o],
            [l + (i + 1) * s + o, b - f.high * s - o],
            [l + (i + 1) * s + o + k * s, b - f.high * s - o - k * s],
            [l + i * s + o + k * s, b - f.high * s - o - k * s],
          ],
          'white',
        ),
      );
    }
  for (let j = 0; j < f.high; j++)
    for (let d = 0; d < deep; d++) {
      const o = d * k * s;
      boxes.push(
        face(
          [
            [l + wide * s + o, b - j * s - o],
            [l + wide * s + o + k * s, b - j * s - o - k * s],
            [l + wide * s + o + k * s, b - (j + 1) * s - o - k * s],
            [l + wide * s + o, b - (j + 1) * s - o],
          ],
          'pale',
        ),
      );
    }
  return boxes;
}
