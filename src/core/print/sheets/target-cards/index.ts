import { targetCombine } from '../../../mechanisms/target-combine';
import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/target-combine/parameters';
import { deal, drawDecoy, newDealer, scaleOf, solveHand } from '../../../mechanisms/target-combine/rules';
import type { Step } from '../../../mechanisms/target-combine/solver';
import { operationSigns } from '../../../play/arithmetic';
import { parameters, whole, yesNo } from '../../../play/parameters';
import { type Box, circle, line, text } from '../../box';
import { fitted, paragraph } from '../../letters';
import { numeral, written } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';
import { byRule } from '../../teachingDeck';

const own = parameters({ count: whole('Cards', 1, 60, 12), teach: yesNo('Backs that teach the game', false) });
const DEFAULTS = { ...own.DEFAULTS, ...FAMILY };
type P = typeof DEFAULTS;
interface Side {
  readonly numbers: readonly number[];
  readonly works: boolean;
}
interface Card {
  readonly sides: readonly Side[];
  readonly stars: number;
  readonly ways: number;
  readonly steps: readonly Step[];
}
const size = { w: 60, h: 84 } as const;
const dealTries = 60;

export default sheetKind<P, readonly Card[]>({
  id: 'target-cards',
  title: 'Target cards',
  about: 'Numbers that make a target, with stars for how hard it is and a way on the back; or two on a card, of which one works.',
  group: 'to solve',
  forFamilies: ['target-combine'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...own.SCHEMA.properties, ...FAMILY_SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => targetCombine.check(p),
  make: (p, { rng }) => {
    const dealer = newDealer(p);
    const scale = scaleOf(p);
    const made: Card[] = [];
    for (let tries = 0; made.length < p.count && tries < p.count * dealTries; tries++) {
      const hand = deal(dealer, p, rng);
      if (hand.stars < p.leastStars || hand.stars > p.mostStars) continue;
      const right: Side = { numbers: [...dealer.numbers].map((n) => n / scale), works: true };
      if (made.some((c) => c.sides.some((s) => s.numbers.join() === right.numbers.join()))) continue;
      const sides = [right];
      if (p.twoOnACard) {
        if (!drawDecoy(dealer, p, rng)) continue;
        const wrong: Side = { numbers: [...dealer.decoy].map((n) => n / scale), works: false };
        if (tries % 2 === 0) sides.push(wrong);
        else sides.unshift(wrong);
      }
      made.push({ sides, stars: hand.stars, ways: hand.ways, steps: hand.easiest });
    }
    return made;
  },
  verify: (made, p) => {
    const faults: string[] = [];
    if (made.length !== p.count) faults.push(`Only ${made.length} such cards were found; ask for fewer, or for other stars.`);
    made.forEach((c, i) => {
      for (const s of c.sides) {
        const solved =
          solveHand(
            s.numbers.map((n) => Math.round(n * scaleOf(p))),
            p,
          ).stars > 0;
        if (solved !== s.works) faults.push(`Card ${i + 1}: ${s.numbers.join(', ')} ${solved ? 'makes' : 'does not make'} ${p.target}.`);
      }
      if (p.twoOnACard && c.sides.filter((s) => s.works).length !== 1) faults.push(`Card ${i + 1}: not exactly one of the two works.`);
      if (c.stars < p.leastStars || c.stars > p.mostStars) faults.push(`Card ${i + 1} has ${c.stars} stars.`);
      const last = c.steps.at(-1);
      if (!last || Math.abs(last.result - p.target) > 1e-9 || c.steps.some((s) => !isTrue(s)))
        faults.push(`Card ${i + 1}: the way on its back is wrong.`);
    });
    return faults;
  },
  checked: (made, p) =>
    `${made.length} cards, every one solved by going through all ways${p.twoOnACard ? '; of the two on a card exactly one works' : ''}; stars ${p.leastStars} to ${p.mostStars}.`,
  teaches: (made, _p, rng) =>
    byRule(
      'pile',
      made.map((c) => (c.stars === 1 ? 'one star' : `${c.stars} stars`)),
      rng,
    ),
  draw: (made, p) => ({
    pieces: [
      {
        ...size,
        count: made.length,
        face: (n, { w, h }) => [
          ...made[n]!.sides.flatMap((s, i, { length }) =>
            rail(s.numbers, w, 7 + (i * (h - 24)) / length, 5 + ((i + 1) * (h - 24)) / length),
          ),
          ...stars(made[n]!.stars, w, h - 12.5),
          line(8, h - 15, w - 8, h - 15, { line: 'pale', width: 0.3, frame: true }),
          text(6, h - 13, 20, 8, 'makes', 11, { align: 'start', fill: 'soft' }),
          fitted(w / 2 - 12, h - 13.5, 24, 9.5, written(p.target), { bold: true, most: 26, align: 'middle' }),
        ],
        back: (n, { w, h }) => [
          text(0, 5, w, 6, `${made[n]!.ways} ${made[n]!.ways === 1 ? 'way' : 'ways'}; one is`, 10, { fill: 'soft' }),
          ...made[n]!.steps.flatMap((s, i) => paragraph(4, h * 0.26 + i * 9, w - 8, sayStep(s), 15, { align: 'middle' }).boxes),
          ...(made[n]!.sides.length === 2
            ? [text(0, h - 14, w, 6, made[n]!.sides[0]!.works ? 'the upper one works' : 'the lower one works', 10, { fill: 'soft' })]
            : []),
        ],
      },
    ],
  }),
  key: (made) => made.map((c, i) => `${i + 1}: ${c.steps.map(sayStep).join(', ')}`),
});

/** Denominators that a result on a card may have; what has none of them is worked out in another way. */
const mostBelow = 1000;

/**
 * A result as it is: a whole number, a decimal that ends, or a fraction in lowest terms. Never a rounded decimal, which would
 * be called equal and is not. // => said(1 / 3) is '1/3', said(0.25) is '0.25'
 */
export function said(n: number): string {
  const short = Number(n.toFixed(4));
  if (Math.abs(short - n) < 1e-12) return written(short);
  for (let below = 2; below <= mostBelow; below++) {
    const above = Math.round(n * below);
    if (Math.abs(above / below - n) < 1e-9) return `${written(above)}/${below}`;
  }
  return written(short);
}
const round = said;
const sayStep = (s: Step): string => `${round(s.a)} ${operationSigns[s.op]} ${round(s.b)} = ${round(s.result)}`;
function isTrue(s: Step): boolean {
  const value = { add: s.a + s.b, subtract: s.a - s.b, multiply: s.a * s.b, divide: s.a / s.b }[s.op];
  return Math.abs(value - s.result) < 1e-6;
}

const stars = (n: number, w: number, y: number): Box[] =>
  Array.from({ length: n }, (_, i) => text(w - 9 - i * 5, y, 5, 6, '★', 10, { fill: 'ochre' }));

/** Lamps of a rail in two rows, the lower one between the upper one's, so that no order of the numbers suggests itself. */
function rail(numbers: readonly number[], w: number, from: number, to: number): Box[] {
  const aRow = Math.ceil(numbers.length / 2);
  const drop = 2;
  const down = (to - from - drop) / 2;
  const size = Math.min((w - 8) / (aRow + 0.5), down);
  const d = size - 1.4;
  const left = (w - size * (aRow + 0.5)) / 2;
  return [
    line(4, from, w - 4, from, { line: 'ink', width: 0.7, frame: true }),
    ...numbers.flatMap((n, i) => {
      const lower = i >= aRow;
      const x = left + ((i % aRow) + (lower ? 1 : 0.5)) * size;
      const top = from + drop + (lower ? Math.min(1.3 * size, down) : 0);
      return [
        line(x, from, x, top, { line: 'soft', width: 0.35, frame: true }),
        circle(x, top + d / 2, d / 2, { line: 'ink', width: 0.45, frame: true }),
        ...numeral(x - d * 0.38, top + d * 0.2, d * 0.76, d * 0.58, written(n), { most: 70 }),
      ];
    }),
  ];
}
