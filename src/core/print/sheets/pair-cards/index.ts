import { DEFAULTS as FAMILY, type PairMemoryParameters, SCHEMA as FAMILY_SCHEMA } from '../../../mechanisms/pair-memory/parameters';
import { pairMemory } from '../../../mechanisms/pair-memory';
import { pairsOf } from '../../../mechanisms/pair-memory/rules';
import { denominatorOf, numeratorOf } from '../../../items/fraction';
import { parameters, yesNo } from '../../../play/parameters';
import { createRng, shuffle } from '../../../shared/rng';
import type { Box } from '../../box';
import { amount, type AmountLook, mostShown } from '../../pictures/amount';
import { fractionText, pie } from '../../pictures/fraction';
import { cardSizes, sheetKind } from '../../sheetKind';
import { withRest } from '../../teachingDeck';

const own = parameters({ teach: yesNo('Backs that teach the game', false) });
const DEFAULTS = { ...FAMILY, ...own.DEFAULTS };
type P = PairMemoryParameters & typeof own.DEFAULTS;
interface Card {
  readonly n: number;
  readonly look: P['firstLook'];
  readonly pair: number;
}
const looks: Readonly<Record<string, AmountLook>> = {
  pips: 'like-a-die',
  beads: 'beads',
  dots: 'dots',
  words: 'words',
  'ten-frame': 'ten-frame',
};
const lookOf = (look: string): AmountLook => looks[look] ?? 'numerals';

export default sheetKind<P, readonly Card[]>({
  id: 'pair-cards',
  title: 'Pair cards',
  about: 'Two cards that belong together by their sum, their difference, or as one amount in two looks.',
  group: 'cards',
  forFamilies: ['pair-memory', 'ask-for-cards'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...FAMILY_SCHEMA.properties, ...own.SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) => {
    const problem = pairMemory.check(p);
    if (problem) return problem;
    const look = [p.firstLook, p.secondLook].find((l) => p.relation !== 'equal-fraction' && p.highestCard > mostShown[lookOf(l)]);
    return look
      ? {
          code: 'impossible-parameters',
          field: 'highestCard',
          message: `${p.highestCard} cannot be shown as ${look}; ${mostShown[lookOf(look)]} is the most.`,
        }
      : null;
  },
  make: (p, { rng }) => {
    const all = pairsOf(p).map((pair) => [...pair] as [number, number]);
    shuffle(rng, all, all.length);
    const wanted = (p.rows * p.columns) / 2;
    return Array.from({ length: wanted }, (_, i) => all[i % all.length]!).flatMap(([x, y], pair) => [
      { n: x, look: p.firstLook, pair },
      { n: y, look: p.secondLook, pair },
    ]);
  },
  verify: (made, p) => {
    const allowed = new Set(pairsOf(p).map(([x, y]) => `${x} ${y}`));
    const faults: string[] = [];
    if (made.length !== p.rows * p.columns) faults.push(`${made.length} cards do not fill ${p.rows} rows of ${p.columns}.`);
    for (let i = 0; i < made.length; i += 2) {
      const [a, b] = [made[i]!, made[i + 1]!];
      if (a.pair !== b.pair || !allowed.has(`${a.n} ${b.n}`)) faults.push(`${a.n} and ${b.n} do not belong together.`);
    }
    return faults;
  },
  checked: (made, p) => `${made.length / 2} pairs, each found among all pairs of the rule; ${p.rows} rows of ${p.columns}.`,
  // A pair to take; two that do not match; and its partner, found again.
  teaches: (made, p, rng) => {
    const allowed = new Set(pairsOf(p).map(([x, y]) => `${x} ${y}`));
    const match = (x: Card, y: Card): boolean => allowed.has(`${x.n} ${y.n}`) || allowed.has(`${y.n} ${x.n}`);
    const stranger = made.findIndex((c, i) => i > 3 && !match(made[2]!, c));
    if (stranger < 0) return null;
    return {
      laid: 'rows',
      order: withRest([0, 1, 2, stranger, 3], made.length, rng),
      turns: [
        { cards: 2, say: 'a pair, taken' },
        { cards: 2, say: 'no pair, turned back' },
        { cards: 1, say: 'belongs to 3' },
      ],
    };
  },
  draw: (made, p) => ({
    pieces: [
      {
        ...cardSizes.usual,
        count: made.length,
        marked: true,
        face: (i, { w, h }) => faceOf(made[i]!, p, w, h),
        back: () => [],
      },
    ],
  }),
  key: (made) => Array.from({ length: made.length / 2 }, (_, i) => `${say(made[2 * i]!.n)} and ${say(made[2 * i + 1]!.n)}`),
});

const isFraction = (n: number): boolean => n > 100 && n % 100 > 1;
const say = (n: number): string => (isFraction(n) ? `${numeratorOf(n)}/${denominatorOf(n)}` : String(n));

function faceOf(c: Card, p: P, w: number, h: number): Box[] {
  if (p.relation !== 'equal-fraction') return amount(lookOf(c.look), c.n, 6, 14, w - 12, h - 28, createRng(c.pair));
  if (c.look === 'numerals') return fractionText(numeratorOf(c.n), denominatorOf(c.n), 8, 12, w - 16, h - 24);
  return pie(numeratorOf(c.n), denominatorOf(c.n), w / 2, h / 2, Math.min(w, h) * 0.36);
}
