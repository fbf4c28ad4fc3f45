import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, line, rect, text } from '../../box';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';
import { nameLine, nameRoom } from '../writing';

const { SCHEMA, DEFAULTS } = parameters({
  unit: oneOf('Measured with', ['cubes', 'dominoes', 'hand-spans', 'centimetres', 'inches'], 'cubes'),
  things: whole('Things', 1, 12, 5),
  chart: oneOf('Recorded in', ['table', 'bars'], 'table'),
  scale: oneOf('One square of the chart is', [1, 2, 5], 1),
});
type P = typeof DEFAULTS;

export default sheetKind<P, { readonly rows: number; readonly squares: number }>({
  id: 'measure-sheet',
  title: 'Measuring chart',
  about: 'What it is, my guess, what I measured; or bars by squares.',
  group: 'to write on',
  forFamilies: ['measure-and-record'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => ({ rows: p.things, squares: 20 }),
  verify: (made, p) => (made.rows === p.things && made.squares > 0 ? [] : ['A row is missing.']),
  checked: (made, p) => `${made.rows} rows in ${p.unit.replace('-', ' ')}${p.chart === 'bars' ? `, a square for ${p.scale}` : ''}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made.rows, made.squares, p, at) } }),
});

function page(rows: number, squares: number, p: P, { w, h }: Drawing): Box[] {
  const unit = p.unit.replace('-', ' ');
  const top = nameRoom + 12;
  const step = Math.min(p.chart === 'table' ? 24 : 30, (h - top - 14) / rows);
  const heading = [...nameLine(w)];
  if (p.chart === 'table') {
    const cells = [0, w * 0.4, w * 0.7, w];
    const words = ['thing', 'my guess', `measured, in ${unit}`];
    return [
      ...heading,
      ...[0, 1, 2].map((c) => ({
        ...fitted(cells[c]! + 1, nameRoom, cells[c + 1]! - cells[c]! - 2, 7, words[c]!, { most: 14, bold: true }),
        frame: true,
      })),
      ...Array.from({ length: rows }, (_, r) => r).flatMap((r): Box[] =>
        [0, 1, 2].map((c) => rect(cells[c]!, top + r * step, cells[c + 1]! - cells[c]!, step, { line: 'ink', width: 0.4, frame: true })),
      ),
    ];
  }
  const left = w * 0.24;
  const s = (w - left) / squares;
  return [
    ...heading,
    text(left, nameRoom, w - left, 7, `${unit}; one square is ${p.scale}`, 14, { align: 'start', frame: true }),
    ...Array.from({ length: rows }, (_, r) => r).flatMap((r): Box[] => {
      const y = top + r * step + step * 0.2;
      return [
        line(0, y + s, left - 4, y + s, { line: 'soft', width: 0.3, frame: true }),
        ...Array.from({ length: squares }, (_, i) =>
          rect(left + i * s, y, s, Math.min(step * 0.6, s * 1.6), { line: 'soft', width: 0.25, frame: true }),
        ),
      ];
    }),
    ...Array.from({ length: squares / 5 + 1 }, (_, i) => ({
      ...fitted(left + i * 5 * s - 6, top + rows * step + 2, 12, 5, String(i * 5 * p.scale), { most: 12 }),
      frame: true,
    })),
  ];
}
