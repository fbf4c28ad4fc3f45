import { oneOf, parameters, whole } from '../../../play/parameters';
import { impossible } from '../../../play/refuse';
import { type Box, circle, line } from '../../box';
import { fitted } from '../../letters';
import { slice } from '../../pictures/fraction';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA: ASKED, DEFAULTS: GIVEN } = parameters({
  shows: oneOf('On the parts', ['numbers', 'words'], 'numbers'),
  low: whole('From', 0, 1000, 1),
  high: whole('To', 1, 1000, 6),
  spinners: whole('Spinners on the page', 1, 4, 2),
});
const SCHEMA = {
  ...ASKED,
  properties: {
    ...ASKED.properties,
    words: { type: 'array', maxItems: 12, items: { type: 'string', minLength: 1, maxLength: 16 }, title: 'Words, one a part' },
  },
};
const DEFAULTS: typeof GIVEN & { readonly words: readonly string[] } = { ...GIVEN, words: ['plus', 'minus'] };
type P = typeof DEFAULTS;
const mostParts = 24;

export default sheetKind<P, readonly string[]>({
  id: 'spinner',
  title: 'Spinner',
  about: 'Even chances with any numbers or words; a paper clip round a pencil tip spins.',
  group: 'boards',
  forFamilies: ['track-race', 'sum-columns', 'compare-cards'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => {
    const parts = p.shows === 'words' ? p.words.length : p.high - p.low + 1;
    if (parts < 2) return impossible(p.shows === 'words' ? 'words' : 'high', 'A spinner needs two parts at least.');
    return parts > mostParts ? impossible('high', `${parts} parts are too narrow to land on; ${mostParts} are the most.`) : null;
  },
  make: (p) => (p.shows === 'words' ? p.words : Array.from({ length: p.high - p.low + 1 }, (_, i) => String(p.low + i))),
  verify: (made, p) => {
    const parts = made.map((_, i) => anglesOf(i, made.length));
    const wide = parts.map(([from, to]) => to - from);
    return [
      ...(made.length === (p.shows === 'words' ? p.words.length : p.high - p.low + 1) ? [] : ['A part is missing.']),
      ...(Math.max(...wide) - Math.min(...wide) < 1e-9 && Math.abs(wide.reduce((x, y) => x + y, 0) - 360) < 1e-6
        ? []
        : ['The parts are not alike.']),
    ];
  },
  checked: (made) => `${made.length} parts of ${Math.round(3600 / made.length) / 10}° each: every one is as likely.`,
  hazards: ['small-parts'],
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

const anglesOf = (i: number, n: number): readonly [number, number] => [(360 * i) / n, (360 * (i + 1)) / n];

function page(made: readonly string[], p: P, { w, h, large }: Drawing): Box[] {
  const spinners = large ? 1 : p.spinners;
  const columns = spinners > 2 ? 2 : 1;
  const [cw, ch] = [w / columns, h / Math.ceil(spinners / columns)];
  const r = Math.min(cw, ch) / 2 - 3;
  return Array.from({ length: spinners }, (_, k) => k).flatMap((k): Box[] => {
    const [cx, cy] = [(k % columns) * cw + cw / 2, Math.floor(k / columns) * ch + ch / 2];
    return [
      ...made.flatMap((words, i): Box[] => {
        const [from, to] = anglesOf(i, made.length);
        const a = (((from + to) / 2 - 90) * Math.PI) / 180;
        const room = Math.min(r * 0.42, 2 * r * 0.68 * Math.sin(Math.PI / made.length));
        const [x, y] = [cx + r * 0.68 * Math.cos(a), cy + r * 0.68 * Math.sin(a)];
        return [
          slice(cx, cy, r, from, to, {
            line: 'ink',
            width: 0.5,
            fill: i % 2 === 0 && (made.length % 2 === 0 || i < made.length - 1) ? 'wash' : 'white',
            frame: true,
          }),
          fitted(x - room / 2, y - r * 0.09, room, r * 0.18, words, { bold: true, most: 34 }),
        ];
      }),
      circle(cx, cy, 1.2, { fill: 'ink', frame: true }),
      line(cx - 4, cy, cx + 4, cy, { width: 0.3, frame: true }),
      line(cx, cy - 4, cx, cy + 4, { width: 0.3, frame: true }),
    ];
  });
}
