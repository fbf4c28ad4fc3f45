import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, line, polygon, text } from '../../box';
import { sizeFor, textWidth } from '../../letters';
import { leastText } from '../../paper';
import { written } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  size: whole('The axes go to', 4, 20, 8),
  quarters: oneOf('The grid has', ['one-quarter', 'four-quarters'], 'one-quarter'),
  grids: whole('Grids on the page', 1, 2, 1),
});
type P = typeof DEFAULTS;

export default sheetKind<P, readonly number[]>({
  id: 'coordinate-grid',
  title: 'Grid with axes',
  about: 'Lines that cross at whole numbers, in one quarter or in four.',
  group: 'to write on',
  forFamilies: ['find-the-spot'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => {
    const low = p.quarters === 'four-quarters' ? -p.size : 0;
    return Array.from({ length: p.size - low + 1 }, (_, i) => low + i);
  },
  verify: (made, p) =>
    made.at(-1) === p.size &&
    made[0] === (p.quarters === 'four-quarters' ? -p.size : 0) &&
    made.every((n, i) => i === 0 || n === made[i - 1]! + 1)
      ? []
      : ['A line of the grid is missing.'],
  checked: (made) => `${made.length} by ${made.length} lines, equally far apart.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: readonly number[], p: P, { w, h }: Drawing): Box[] {
  const gh = h / p.grids;
  const s = Math.min((w - 16) / (made.length - 1), (gh - 16) / (made.length - 1));
  const span = s * (made.length - 1);
  const left = (w - span) / 2;
  const zero = made.indexOf(0);
  const widest = written(made.reduce((x, n) => (textWidth(written(n), 1) > textWidth(written(x), 1) ? n : x)));
  // Every number, or every second, fifth or tenth one, so that none is too small to be read.
  const every = [1, 2, 5].find((k) => sizeFor(widest, s * k * 0.86, 4.4, 12) >= leastText) ?? 10;
  const size = Math.min(12, sizeFor(widest, s * every * 0.86, 4.4, 12));
  return Array.from({ length: p.grids }, (_, g) => g).flatMap((g): Box[] => {
    const top = g * gh + 6;
    const x = (i: number): number => left + i * s;
    const y = (i: number): number => top + span - i * s;
    return [
      ...made.flatMap((_, i): Box[] => [
        line(x(i), top, x(i), top + span, { line: 'pale', width: 0.3, frame: true }),
        line(left, y(i), left + span, y(i), { line: 'pale', width: 0.3, frame: true }),
      ]),
      line(x(zero), top + span + 2, x(zero), top - 4, { width: 0.7, frame: true }),
      line(left - 2, y(zero), left + span + 4, y(zero), { width: 0.7, frame: true }),
      polygon(
        [
          [x(zero), top - 6],
          [x(zero) - 1.6, top - 2.6],
          [x(zero) + 1.6, top - 2.6],
        ],
        { fill: 'ink', frame: true },
      ),
      polygon(
        [
          [left + span + 6, y(zero)],
          [left + span + 2.6, y(zero) - 1.6],
          [left + span + 2.6, y(zero) + 1.6],
        ],
        { fill: 'ink', frame: true },
      ),
      ...made.flatMap((n, i): Box[] =>
        n % every !== 0 || (n === 0 && p.quarters === 'four-quarters')
          ? []
          : [
              text(x(i) - (s * every) / 2, y(zero) + 1, s * every, 4.4, written(n), size),
              ...(n === 0 ? [] : [text(x(zero) - 8.5, y(i) - 2.2, 7.4, 4.4, written(n), size, { align: 'end' })]),
            ],
      ),
    ];
  });
}
