import { balanceTheBeam } from '../../../mechanisms/balance-the-beam';
import { type BeamParameters, DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/balance-the-beam/parameters';
import { between } from '../../../play/deck';
import { parameters, whole } from '../../../play/parameters';
import { below, type Rng } from '../../../shared/rng';
import { type Box, line, polygon, rect, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { leastYoungText, sheetKind } from '../../sheetKind';

const own = parameters({ count: whole('Cards', 1, 60, 8) });
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
/** Pegs with a weight, a peg named again for every further weight on it; one on the right is missing. */
interface Task {
  readonly left: readonly number[];
  readonly right: readonly number[];
  readonly missing: number;
}
const mostOnPeg = 3;
const total = (pegs: readonly number[]): number => pegs.reduce((x, y) => x + y, 0);

/** Pegs of so many places that add up to a sum; null where there are none. */
function partsOf(sum: number, places: number, p: BeamParameters, rng: Rng): number[] | null {
  const most = p.pegs * (p.multiples ? mostOnPeg : 1);
  if (sum < places || sum > most * places) return null;
  const parts: number[] = [];
  let rest = sum;
  for (let i = places; i > 1; i--) {
    const part = between(rng, Math.max(1, rest - most * (i - 1)), Math.min(most, rest - (i - 1)));
    parts.push(part);
    rest -= part;
  }
  return [...parts, rest];
}
/** A turning effect as one weight, or as several on a peg that gives it. */
function hung(effect: number, p: BeamParameters): number[] {
  if (effect <= p.pegs) return [effect];
  for (let n = 2; n <= mostOnPeg; n++) if (effect % n === 0 && effect / n <= p.pegs) return Array<number>(n).fill(effect / n);
  return [];
}

export default sheetKind<P, readonly Task[]>({
  id: 'beam-tasks',
  title: 'Beam tasks',
  about: 'A beam in balance with one weight missing; the answer on the back.',
  group: 'to solve',
  forFamilies: ['balance-the-beam'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => balanceTheBeam.check(p),
  make: (p, { rng }) => {
    const made: Task[] = [];
    for (let t = 0; made.length < p.count && t < 400 * p.count; t++) {
      const left = Array.from({ length: p.left }, () => 1 + below(rng, p.pegs));
      const parts = partsOf(total(left), p.right, p, rng);
      if (!parts) continue;
      const sides = parts.map((x) => hung(x, p));
      // The missing weight hangs alone on its peg, or its place would have two answers.
      const at = sides.findIndex((s) => s.length === 1);
      if (at < 0 || sides.some((s) => s.length === 0)) continue;
      const task = { left, right: sides.filter((_, i) => i !== at).flat(), missing: sides[at]![0]! };
      if (!made.some((m) => m.left.join() === task.left.join() && m.right.join() === task.right.join())) made.push(task);
    }
    return made;
  },
  verify: (made, p) => [
    ...(made.length === p.count ? [] : [`Only ${made.length} different tasks were found; ask for fewer or for more pegs.`]),
    ...made.flatMap((t, i) => [
      ...(total(t.left) === total(t.right) + t.missing ? [] : [`Task ${i + 1} does not balance.`]),
      ...([...t.left, ...t.right, t.missing].every((peg) => peg >= 1 && peg <= p.pegs)
        ? []
        : [`Task ${i + 1} uses a peg that is not there.`]),
    ]),
  ],
  checked: (made) => `${made.length} tasks; both sides of each turn the beam alike once the missing weight hangs.`,
  draw: (made, p) => ({
    pieces: [
      {
        w: 184,
        h: 50,
        count: made.length,
        face: (n, { w, h }) => face(made[n]!, n, p, w, h),
        back: (n, { w, h }) => [
          text(4, 3, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft' }),
          text(0, h * 0.3, w, h * 0.4, `peg ${made[n]!.missing}`, 24, { bold: true }),
        ],
      },
    ],
  }),
  key: (made) => made.map((t, i) => `${i + 1}: peg ${t.missing}`),
});

function face(t: Task, n: number, p: P, w: number, h: number): Box[] {
  const y = h * 0.42;
  const step = (w / 2 - 8) / p.pegs;
  const at = (peg: number, side: -1 | 1): number => w / 2 + side * peg * step;
  const weights = (pegs: readonly number[], side: -1 | 1): Box[] => {
    const high = new Map<number, number>();
    return pegs.map((peg) => {
      const k = high.get(peg) ?? 0;
      high.set(peg, k + 1);
      return rect(at(peg, side) - 1.7, y + 1.5 + k * 4.2, 3.4, 3.8, { fill: 'vermilion', line: 'ink', width: 0.3 });
    });
  };
  const marks = Array.from({ length: p.pegs }, (_, i) => i + 1).flatMap((peg): Box[] =>
    ([-1, 1] as const).flatMap((side): Box[] => [
      line(at(peg, side), y - 1.4, at(peg, side), y + 1.4, { width: 0.3 }),
      ...(p.pegs <= 10 || peg % 2 === 0
        ? [text(at(peg, side) - step, y - 7.5, 2 * step, 5, String(peg), p.pegs <= 12 ? leastYoungText : 10)]
        : []),
    ]),
  );
  return [
    text(4, 3, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
    line(4, y, w - 4, y, { width: 0.9 }),
    polygon(
      [
        [w / 2, y],
        [w / 2 - 5, h - 8],
        [w / 2 + 5, h - 8],
      ],
      { fill: 'wash', line: 'ink', width: 0.5 },
    ),
    ...marks,
    ...weights(t.left, -1),
    ...weights(t.right, 1),
    ...numeral(w - 22, h - 14, 18, 10, '?', { most: 28, fill: 'vermilion' }),
  ];
}
