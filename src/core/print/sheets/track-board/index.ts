import { impossible } from '../../../play/refuse';
import { oneOf, pairs, parameters, whole } from '../../../play/parameters';
import { type Box, circle, path, type Point, polygon, rect, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  start: whole('Start', 0, 1000, 0),
  end: whole('End', 3, 1000, 30),
  jumps: pairs('Jumps: from, to', 1000, []),
  specialEvery: whole('Special spaces every (0: none)', 0, 20, 0),
  tokenEvery: whole('Token spaces every (0: none)', 0, 20, 0),
  road: oneOf('The track', ['winds', 'in-rows'], 'winds'),
  numbers: oneOf('Numbers', ['on-every-space', 'every-fifth', 'none'], 'on-every-space'),
});
type P = typeof DEFAULTS;
interface Space {
  readonly n: number;
  readonly special: boolean;
  readonly token: boolean;
  readonly jump: number | null;
}
/** The most spaces that can still be stood on, on one page. */
const mostSpaces = 320;

export default sheetKind<P, readonly Space[]>({
  id: 'track-board',
  title: 'Track board',
  about: 'A road of spaces from start to end, with jumps, special spaces and tokens where they are wanted.',
  group: 'boards',
  forFamilies: ['track-race', 'remainder-race', 'bound-guess'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => {
    if (p.end <= p.start) return impossible('end', `The track runs backwards: ${p.start} to ${p.end}.`);
    if (p.end - p.start + 1 > mostSpaces)
      return impossible('end', `${p.end - p.start + 1} spaces do not fit on one page; ${mostSpaces} are the most.`);
    const off = p.jumps.find(([from, to]) => from <= p.start || from >= p.end || to < p.start || to > p.end || from === to);
    return off ? impossible('jumps', `A jump from ${off[0]} to ${off[1]} does not lie on the track.`) : null;
  },
  make: (p) =>
    Array.from({ length: p.end - p.start + 1 }, (_, i): Space => {
      const n = p.start + i;
      const inner = n > p.start && n < p.end;
      return {
        n,
        special: inner && p.specialEvery > 0 && n % p.specialEvery === 0,
        token: inner && p.tokenEvery > 0 && n % p.tokenEvery === 0,
        jump: p.jumps.find(([from]) => from === n)?.[1] ?? null,
      };
    }),
  verify: (made, p) => {
    const faults: string[] = [];
    if (made.some((s, i) => s.n !== p.start + i) || made.length !== p.end - p.start + 1) faults.push('A space is missing or stands twice.');
    if (made.filter((s) => s.jump !== null).length !== p.jumps.length) faults.push('Two jumps begin on one space.');
    // From every space the end is reached by going on, unless a jump right before it always leads back.
    for (const s of made)
      if (s.jump !== null && made.some((t) => t.n === s.jump && t.jump !== null))
        faults.push(`The jump from ${s.n} ends where another begins.`);
    return faults;
  },
  checked: (made, p) =>
    `${made.length} spaces from ${p.start} to ${p.end}, none missing${p.jumps.length > 0 ? `; ${p.jumps.length} jumps, none into another` : ''}.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => road(made, p, at) } }),
});

function road(made: readonly Space[], p: P, { w, h, large }: Drawing): Box[] {
  const columns = Math.max(5, Math.round(Math.sqrt((made.length * w) / h) * (large ? 0.9 : 1)));
  const rows = Math.ceil(made.length / columns);
  const [cw, ch] = [w / columns, Math.min(h / rows, (w / columns) * 1.5)];
  const s = Math.min(cw, ch);
  const at = (i: number): Point => {
    const row = Math.floor(i / columns);
    const column = p.road === 'winds' && row % 2 === 1 ? columns - 1 - (i % columns) : i % columns;
    return [column * cw + cw / 2, h - (row + 0.5) * ch];
  };
  const ribbon = path(
    made.map((_, i) => at(i)),
    { line: 'wash', width: s * 0.3, frame: true },
  );
  const jumps = made.flatMap((sp, i): Box[] => {
    if (sp.jump === null) return [];
    const [[x1, y1], [x2, y2]] = [at(i), at(sp.jump - p.start)];
    const forward = sp.jump > sp.n;
    const [mx, my] = [(x1 + x2) / 2 + (y2 - y1) * 0.14, (y1 + y2) / 2 - (x2 - x1) * 0.14];
    const curve = Array.from({ length: 17 }, (_, k): Point => {
      const t = k / 16;
      return [(1 - t) ** 2 * x1 + 2 * t * (1 - t) * mx + t * t * x2, (1 - t) ** 2 * y1 + 2 * t * (1 - t) * my + t * t * y2];
    });
    const a = Math.atan2(y2 - my, x2 - mx);
    const tip = (d: number): Point => [x2 - 4.5 * Math.cos(a + d), y2 - 4.5 * Math.sin(a + d)];
    const tone = forward ? 'teal' : 'vermilion';
    return [
      path(curve, { line: tone, width: 0.9, dashed: !forward, frame: true }),
      polygon([[x2, y2], tip(0.4), tip(-0.4)], { fill: tone, frame: true }),
    ];
  });
  const spaces = made.flatMap((sp, i): Box[] => {
    const [x, y] = at(i);
    const k = s * 0.84;
    const end = i === 0 || i === made.length - 1;
    const written = p.numbers === 'on-every-space' || end || (p.numbers === 'every-fifth' && sp.n % 5 === 0);
    const frame = sp.special
      ? polygon(
          [
            [x, y - k * 0.56],
            [x + k * 0.56, y],
            [x, y + k * 0.56],
            [x - k * 0.56, y],
          ],
          { line: 'plum', width: 0.8, fill: 'white', frame: true },
        )
      : rect(x - k / 2, y - k / 2, k, k, { line: end ? 'vermilion' : 'ink', width: end ? 1 : 0.4, fill: 'white', frame: true });
    return [
      frame,
      ...(sp.token
        ? [circle(x + k * 0.36, y - k * 0.36, Math.max(1.1, k * 0.12), { fill: 'ochre', line: 'ink', width: 0.2, frame: true })]
        : []),
      ...(written ? numeral(x - k * 0.36, y - k * 0.22, k * 0.72, k * 0.44, String(sp.n), { most: 30 }) : []),
    ];
  });
  const [sx, sy] = at(0);
  return [ribbon, ...spaces, ...jumps, ...(s > 14 ? [text(sx - s / 2, sy + s * 0.24, s, 4, 'start', 8, { fill: 'soft' })] : [])];
}
