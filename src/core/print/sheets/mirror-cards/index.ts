import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA, type MirrorParameters } from '../../../mechanisms/mirror-it/parameters';
import { mirrorIt } from '../../../mechanisms/mirror-it';
import { parameters, whole } from '../../../play/parameters';
import { below, shuffle, type Rng } from '../../../shared/rng';
import { type Box, line, rect, text } from '../../box';
import { sheetKind } from '../../sheetKind';

const own = parameters({ count: whole('Pictures', 1, 40, 4) });
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
type Line = 'upright' | 'lying' | 'slanting';
interface Picture {
  readonly line: Line;
  readonly columns: number;
  readonly rows: number;
  /** Filled cells by column and row, all on one side of the line. */
  readonly given: readonly (readonly [number, number])[];
}
const lines = ['upright', 'lying', 'slanting'] as const;

/** Where a cell lies on the other side. */
const across = (p: Picture, [c, r]: readonly [number, number]): readonly [number, number] =>
  p.line === 'upright' ? [p.columns - 1 - c, r] : p.line === 'lying' ? [c, p.rows - 1 - r] : [r, c];

function picture(p: MirrorParameters, rng: Rng): Picture {
  const way = p.line === 'any-way' ? lines[below(rng, 3)]! : p.line;
  const [columns, rows] =
    way === 'upright'
      ? [2 * p.grid, p.rows]
      : way === 'lying'
        ? [p.rows, 2 * p.grid]
        : [Math.max(p.grid, p.rows), Math.max(p.grid, p.rows)];
  const side: (readonly [number, number])[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) if (way === 'upright' ? c < p.grid : way === 'lying' ? r < p.grid : c < r) side.push([c, r]);
  shuffle(rng, side, side.length);
  return { line: way, columns, rows, given: side.slice(0, p.filled) };
}

export default sheetKind<P, readonly Picture[]>({
  id: 'mirror-cards',
  title: 'Mirror halves',
  about: 'Half a picture on squares and a line to mirror it in: upright, lying or slanting.',
  group: 'to solve',
  forFamilies: ['mirror-it'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => mirrorIt.check(p),
  make: (p, { rng }) => Array.from({ length: p.count }, () => picture(p, rng)),
  verify: (made, p) =>
    made.flatMap((pic, i) => {
      const key = (c: readonly [number, number]): string => c.join();
      const given = new Set(pic.given.map(key));
      return [
        ...(given.size === Math.min(p.filled, pic.given.length) && pic.given.length > 0 ? [] : [`Picture ${i + 1} has a square twice.`]),
        // Mirrored twice a cell comes back, and none of the given ones lies on the other side already.
        ...(pic.given.every((c) => key(across(pic, across(pic, c))) === key(c) && !given.has(key(across(pic, c))))
          ? []
          : [`Picture ${i + 1} lies on both sides of its line.`]),
        ...(pic.given.every((c) => {
          const [x, y] = across(pic, c);
          return x >= 0 && y >= 0 && x < pic.columns && y < pic.rows;
        })
          ? []
          : [`Picture ${i + 1} leaves its grid.`]),
      ];
    }),
  checked: (made) => `${made.length} halves; each lies on one side of its line and fits on the other.`,
  draw: (made) => ({
    pieces: [
      {
        w: 90,
        h: 90,
        count: made.length,
        face: (n, { w, h }) => draw(made[n]!, n, false, w, h),
        back: (n, { w, h }) => draw(made[n]!, n, true, w, h),
      },
    ],
  }),
});

function draw(pic: Picture, n: number, whole: boolean, w: number, h: number): Box[] {
  const s = Math.min((w - 14) / pic.columns, (h - 18) / pic.rows);
  const [x, y] = [(w - s * pic.columns) / 2, 10 + (h - 14 - s * pic.rows) / 2];
  const cell = ([c, r]: readonly [number, number]): Box => rect(x + c * s, y + r * s, s, s, { fill: 'teal' });
  const grid: Box[] = [];
  for (let c = 0; c <= pic.columns; c++)
    grid.push(line(x + c * s, y, x + c * s, y + pic.rows * s, { line: 'soft', width: 0.25, frame: true }));
  for (let r = 0; r <= pic.rows; r++)
    grid.push(line(x, y + r * s, x + pic.columns * s, y + r * s, { line: 'soft', width: 0.25, frame: true }));
  const style = { line: 'vermilion', width: 1, dashed: true, frame: true } as const;
  const axis =
    pic.line === 'upright'
      ? line(w / 2, y - 3, w / 2, y + pic.rows * s + 3, style)
      : pic.line === 'lying'
        ? line(x - 3, y + (pic.rows * s) / 2, x + pic.columns * s + 3, y + (pic.rows * s) / 2, style)
        : line(x - 2, y - 2, x + pic.columns * s + 2, y + pic.rows * s + 2, style);
  return [
    text(4, 2, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
    ...pic.given.map(cell),
    ...(whole ? pic.given.map((c) => cell(across(pic, c))) : []),
    ...grid,
    axis,
  ];
}
