import { impossible } from '../../../play/refuse';
import { parameters, whole } from '../../../play/parameters';
import { type Box, rect } from '../../box';
import { sizeFor } from '../../letters';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  first: whole('First column', 0, 100, 1),
  last: whole('Last column', 1, 120, 12),
  height: whole('Boxes in a column', 2, 20, 10),
});
type P = typeof DEFAULTS;
const mostColumns = 30;

export default sheetKind<P, readonly number[]>({
  id: 'column-sheet',
  title: 'Column sheet',
  about: 'A column of boxes for every result that can come up.',
  group: 'boards',
  forFamilies: ['sum-columns'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.last < p.first
      ? impossible('last', `The columns run backwards: ${p.first} to ${p.last}.`)
      : p.last - p.first >= mostColumns
        ? impossible('last', `${p.last - p.first + 1} columns do not fit side by side; ${mostColumns} are the most.`)
        : null,
  make: (p) => Array.from({ length: p.last - p.first + 1 }, (_, i) => p.first + i),
  verify: (made, p) =>
    made.length === p.last - p.first + 1 && made.every((n, i) => n === p.first + i) ? [] : ['A column is missing or stands twice.'],
  checked: (made, p) => `${made.length} columns, ${p.height} boxes each.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: readonly number[], p: P, { w, h }: Drawing): Box[] {
  const s = Math.min(w / made.length, (h - 14) / p.height, 24);
  const left = (w - s * made.length) / 2;
  const top = (h - 14 - s * p.height) / 2;
  // One size for all of them: a number of two figures counts no less than one of one.
  const high = Math.min(10, s * 0.8);
  const most = Math.min(30, ...made.map((n) => sizeFor(String(n), s - 2, high, 30, true)));
  return made.flatMap((n, i): Box[] => [
    ...Array.from({ length: p.height }, (_, r) => rect(left + i * s, top + r * s, s, s, { line: 'ink', width: 0.35, frame: true })),
    ...numeral(left + i * s + 1, top + p.height * s + 2, s - 2, high, String(n), { most, level: true }),
  ]);
}
