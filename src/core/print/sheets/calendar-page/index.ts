import { parameters, whole, yesNo } from '../../../play/parameters';
import { daysBetween, weekdayOf } from '../../../shared/days';
import { type Box, line, rect, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  year: whole('Year', 1900, 2200, 2026),
  month: whole('Month', 1, 12, 1),
  blank: yesNo('Without its numbers', false),
});
type P = typeof DEFAULTS;
const months = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
interface Made {
  readonly days: number;
  /** Place of the first day in its week; 0 is Monday. */
  readonly first: number;
  readonly sundayFirst: boolean;
}

const firstOf = (y: number, m: number): string => `${y}-${String(m).padStart(2, '0')}-01`;
const firstOfNext = (y: number, m: number): string => (m === 12 ? firstOf(y + 1, 1) : firstOf(y, m + 1));

/**
 * Day of the week by Zeller's congruence for the Gregorian calendar (C. Zeller 1887, from memory); 0 is Monday. It
 * stands beside the app's own days, so that a printed month is reckoned in two ways.
 */
function zeller(year: number, month: number, day: number): number {
  const [m, y] = month < 3 ? [month + 12, year - 1] : [month, year];
  const [k, j] = [y % 100, Math.floor(y / 100)];
  const h = (day + Math.floor((13 * (m + 1)) / 5) + k + Math.floor(k / 4) + Math.floor(j / 4) + 5 * j) % 7;
  return (h + 5) % 7;
}

export default sheetKind<P, Made>({
  id: 'calendar-page',
  title: 'Calendar page',
  about: 'One month to play and count on, its week beginning as it does in your country.',
  group: 'mats',
  forFamilies: ['calendar-hunt'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p, { country }) => ({
    days: daysBetween(firstOf(p.year, p.month), firstOfNext(p.year, p.month)),
    first: weekdayOf(firstOf(p.year, p.month)) - 1,
    sundayFirst: country.dates === 'month-first',
  }),
  verify: (made, p) => {
    // The same month reckoned from its end: the last day must lie as many days on as the month has.
    const last = zeller(p.year, p.month, made.days);
    return [
      ...(made.days >= 28 && made.days <= 31 ? [] : ['The month has a wrong number of days.']),
      ...((made.first + made.days - 1) % 7 === last ? [] : ['The month begins on another day.']),
      ...(zeller(p.month === 12 ? p.year + 1 : p.year, p.month === 12 ? 1 : p.month + 1, 1) === (last + 1) % 7
        ? []
        : ['The next month does not follow on it.']),
    ];
  },
  checked: (made) => `${made.days} days; the next month was found to begin on the day after the last one.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page(made: Made, p: P, { w, h }: Drawing): Box[] {
  const cw = w / 7;
  const first = made.sundayFirst ? (made.first + 1) % 7 : made.first;
  const names = made.sundayFirst ? [days[6]!, ...days.slice(0, 6)] : days;
  const rows = Math.ceil((first + made.days) / 7);
  const ch = Math.min(34, (h - 34) / rows);
  return [
    ...(p.blank
      ? [line(0, 14, w * 0.6, 14, { line: 'soft', width: 0.4, frame: true })]
      : [text(0, 2, w, 14, `${months[p.month - 1]!} ${p.year}`, 30, { bold: true, align: 'start' })]),
    ...names.map((d, i) => text(i * cw, 22, cw, 8, d, 14, { frame: true })),
    ...Array.from({ length: rows * 7 }, (_, i) => i).flatMap((i): Box[] => {
      const n = i - first + 1;
      const inside = n >= 1 && n <= made.days;
      const [x, y] = [(i % 7) * cw, 32 + Math.floor(i / 7) * ch];
      return [
        rect(x, y, cw, ch, { line: inside ? 'ink' : 'pale', width: inside ? 0.4 : 0.2, frame: true }),
        ...(inside && !p.blank ? numeral(x + 2, y + 2, cw * 0.5, ch * 0.4, String(n), { most: 20, level: true }) : []),
      ];
    }),
  ];
}
