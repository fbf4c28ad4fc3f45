import { parameters, whole } from '../../../play/parameters';
import { type Box, rect } from '../../box';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  first: whole('First row', 0, 100, 0),
  rows: whole('Rows', 2, 24, 7),
  cells: whole('Boxes in a row', 1, 12, 3),
  grids: whole('Grids on the page', 1, 4, 2),
});
type P = typeof DEFAULTS;

export default sheetKind<P, readonly number[]>({
  id: 'colour-grid',
  title: 'Colour-in grid',
  about: 'A row of boxes for every missing part, to colour as they come up.',
  group: 'to write on',
  forFamilies: ['part-whole-dice'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => Array.from({ length: p.rows }, (_, i) => p.first + i),
  verify: (made, p) => (made.length === p.rows && new Set(made).size === p.rows ? [] : ['A row is missing or stands twice.']),
  checked: (made, p) => `${p.grids} grids of ${made.length} rows.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: readonly number[], p: P, { w, h, large }: Drawing): Box[] {
  const grids = large ? 1 : p.grids;
  const columns = grids > 1 ? 2 : 1;
  const [gw, gh] = [w / columns, h / Math.ceil(grids / columns)];
  const s = Math.min(22, (gh - 8) / made.length, (gw - 22) / p.cells);
  return Array.from({ length: grids }, (_, g) => g).flatMap((g): Box[] => {
    const [x, y] = [(g % columns) * gw + 4, Math.floor(g / columns) * gh + 4];
    return made.flatMap((n, r): Box[] => [
      ...numeral(x, y + r * s + s * 0.2, 15, s * 0.6, String(n), { most: 28, level: true }),
      ...Array.from({ length: p.cells }, (_, c) => rect(x + 17 + c * s, y + r * s, s, s, { line: 'ink', width: 0.4, frame: true })),
    ]);
  });
}
