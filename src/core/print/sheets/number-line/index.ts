import { impossible } from '../../../play/refuse';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, line } from '../../box';
import { fitted } from '../../letters';
import { written } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  low: whole('From', -1000, 100_000, 0),
  high: whole('To', -999, 1_000_000, 20),
  numbers: oneOf('Written', ['every-mark', 'every-fifth', 'every-tenth', 'ends-only'], 'every-mark'),
  parts: oneOf('Between two whole numbers', [1, 2, 4, 5, 10], 1),
  lines: whole('Lines on the page', 1, 8, 4),
});
type P = typeof DEFAULTS;
interface Mark {
  /** In parts of a whole. */
  readonly at: number;
  readonly words: string | null;
  readonly large: boolean;
}
const mostMarks = 130;

export default sheetKind<P, readonly Mark[]>({
  id: 'number-line',
  title: 'Number lines',
  about: 'Lines with marks between any two numbers, below nought too, whole or in parts.',
  group: 'mats',
  forFamilies: ['bound-guess', 'compare-cards'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => (p.high <= p.low ? impossible('high', `The line runs backwards: ${p.low} to ${p.high}.`) : null),
  make: (p) => {
    const wholes = p.high - p.low;
    // Long lines carry as many marks as can be told apart, at ones, twos, fives, tens …
    let step = 1;
    const ladder = [1, 2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000, 100_000];
    for (const s of ladder) if ((wholes * p.parts) / s > mostMarks) step = ladder[ladder.indexOf(s) + 1] ?? s;
    const marks: Mark[] = [];
    const every = { 'every-mark': 1, 'every-fifth': 5, 'every-tenth': 10, 'ends-only': Infinity }[p.numbers];
    const total = wholes * p.parts;
    for (let i = 0; i <= total; i += step) {
      const end = i === 0 || i === total;
      const whole = i % p.parts === 0;
      const shown = end || (whole && every !== Infinity && (i / step / p.parts) % Math.max(every, crowded(total / step / p.parts)) === 0);
      marks.push({
        at: i,
        words: shown ? written(p.low + i / p.parts) : null,
        large: end || (i / step) % (p.parts > 1 ? p.parts : 10) === 0,
      });
    }
    if (total % step !== 0) marks.push({ at: total, words: written(p.high), large: true });
    return marks;
  },
  verify: (made, p) => {
    const faults: string[] = [];
    if (made[0]?.at !== 0 || made.at(-1)?.at !== (p.high - p.low) * p.parts) faults.push('An end is missing.');
    if (made.some((m, i) => i > 0 && m.at <= made[i - 1]!.at)) faults.push('Marks do not rise.');
    const wrong = made.find((m) => m.words !== null && m.words !== written(p.low + m.at / p.parts));
    if (wrong) faults.push(`${wrong.words} stands in the wrong place.`);
    return faults;
  },
  checked: (made, p) => `${made.length} marks at equal steps from ${written(p.low)} to ${written(p.high)}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

/** Every how many whole numbers one can be written without touching the next. */
const crowded = (wholes: number): number => (wholes <= 21 ? 1 : wholes <= 50 ? 5 : 10);

function page(made: readonly Mark[], p: P, { w, h, large }: Drawing): Box[] {
  const lines = large ? Math.min(p.lines, 3) : p.lines;
  const step = Math.min(h / lines, 64);
  const end = (p.high - p.low) * p.parts;
  return Array.from({ length: lines }, (_, k) => k).flatMap((k): Box[] => {
    const y = k * step + step * 0.42;
    const x = (m: Mark): number => 6 + ((w - 12) * m.at) / end;
    return [
      line(2, y, w - 2, y, { width: 0.6, frame: true }),
      ...made.flatMap((m): Box[] => [
        line(x(m), y - (m.large ? 4 : 2.4), x(m), y + (m.large ? 4 : 2.4), { width: m.large ? 0.5 : 0.25, frame: true }),
        ...(m.words === null ? [] : [fitted(x(m) - 7, y + 5.5, 14, 5.5, m.words, { most: 16 })]),
      ]),
    ];
  });
}
