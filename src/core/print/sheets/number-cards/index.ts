import { missingCards, oneOf, parameters, whole, yesNo } from '../../../play/parameters';
import { below, type Rng } from '../../../shared/rng';
import { type Box, text } from '../../box';
import { boxedParagraph, figureHeight } from '../../letters';
import { canBeTurned, numeral, written } from '../../pictures/numeral';
import { cardSizes, leastNumeralMm, sheetKind } from '../../sheetKind';
import { byRule } from '../../teachingDeck';

const { SCHEMA, DEFAULTS } = parameters({
  low: whole('From', -1000, 1_000_000, 1),
  high: whole('To', -1000, 1_000_000, 10),
  copies: whole('Of each', 1, 20, 4),
  wild: whole('Wild cards', 0, 20, 0),
  by: whole('In steps of', 1, 100_000, 1),
  takeTen: whole('Take-ten cards', 0, 20, 0),
  turnRound: whole('Turn-round cards', 0, 20, 0),
  passOver: whole('Pass-over cards', 0, 20, 0),
  round: whole('Round-it cards', 0, 20, 0),
  card: oneOf('Card', ['usual', 'small'], 'usual'),
  some: whole('Only so many (0: all)', 0, 200, 0),
  only: missingCards('Only these cards'),
  teach: yesNo('Backs that teach the game', false),
});
type P = typeof DEFAULTS;

/** Cards without a number: what stands on them, and the words a child acts on. */
const specials = [
  ['wild', '★', 'any number'],
  ['takeTen', '−10', 'take ten'],
  ['turnRound', '⇄', 'the other way round'],
  ['passOver', '→', 'pass over'],
  ['round', '≈', 'to the nearest ten'],
] as const;

interface Card {
  readonly number: number | null;
  readonly special: (typeof specials)[number][0] | null;
}

/** The most numbers of a range; more would not be one deck. */
const mostNumbers = 400;

export default sheetKind<P, readonly Card[]>({
  id: 'number-cards',
  title: 'Number cards',
  about: 'Any range, any number of each, with wild and special cards.',
  group: 'cards',
  forFamilies: [
    'running-total',
    'compare-cards',
    'equation-draw',
    'ask-for-cards',
    'build-a-number',
    'angle-aim',
    'calendar-hunt',
    'remainder-race',
    'deal-order-puzzle',
  ],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.high < p.low
      ? { code: 'impossible-parameters', field: 'high', message: `The range runs backwards: ${p.low} to ${p.high}.` }
      : p.some === 0 && countOf(p) > mostNumbers
        ? {
            code: 'too-large',
            field: 'high',
            message: `${countOf(p)} different numbers; ${mostNumbers} are the most of one deck.`,
          }
        : null,
  make: (p, { rng }) => {
    if (p.only.length > 0) return p.only.map((number) => ({ number, special: null }));
    const numbers = p.some > 0 && p.some < countOf(p) ? someOf(p, rng) : rangeOf(p);
    return [
      ...Array.from({ length: p.copies }, () => numbers)
        .flat()
        .map((number) => ({ number, special: null })),
      ...specials.flatMap(([special]) => Array.from({ length: p[special] }, () => ({ number: null, special }))),
    ];
  },
  verify: (made, p) => {
    const faults: string[] = [];
    if (p.only.length > 0)
      return made.map((c) => c.number).join() === p.only.join() ? [] : ['These are not the cards that were asked for.'];
    const numbers = new Set(made.flatMap((c) => c.number ?? []));
    if (numbers.size !== (p.some > 0 ? Math.min(p.some, countOf(p)) : countOf(p))) faults.push('A number is missing.');
    for (const n of numbers)
      if (n < p.low || n > p.high || (n - p.low) % p.by !== 0 || made.filter((c) => c.number === n).length !== p.copies)
        faults.push(`${n} is not there ${p.copies} times.`);
    for (const [special] of specials)
      if (made.filter((c) => c.special === special).length !== p[special]) faults.push(`Not ${p[special]} cards of ${special}.`);
    const size = sizeOf(p);
    for (const c of made)
      if (c.number !== null && heightOf(written(c.number), size.w) < (p.card === 'small' ? leastInHandMm : leastNumeralMm))
        faults.push(`${written(c.number)} would be too small on a card of ${size.w} mm.`);
    return faults;
  },
  checked: (made, p) => {
    const turned = [...new Set(made.flatMap((c) => (c.number !== null && canBeTurned(written(c.number)) ? [written(c.number)] : [])))];
    const least = Math.min(...made.flatMap((c) => (c.number === null ? [] : [heightOf(written(c.number), sizeOf(p).w)])));
    const each = p.only.length > 0 ? '' : `, ${p.copies} of each number`;
    return `${made.length} cards${each}.${turned.length > 0 ? ` Underlined so that they are not read upside down: ${turned.slice(0, 6).join(', ')}${turned.length > 6 ? ' …' : ''}.` : ''} Numerals ${Math.round(least)} mm high at least.`;
  },
  teaches: (made, _p, rng) =>
    byRule(
      'hands',
      made.map((c) => specials.find(([s]) => s === c.special)?.[2] ?? 'a number'),
      rng,
    ),
  draw: (made, p) => ({
    pieces: [
      {
        ...sizeOf(p),
        count: made.length,
        marked: true,
        face: (n, { w, h }) => face(made[n]!, w, h),
        back: () => [],
      },
    ],
  }),
});

/** Numerals that a player holds in hand (common practice, no source). */
const leastInHandMm = 6;
/** Digits that still stand large on an upright card; longer numbers get a wide one. */
const mostUpright = 4;
const sizeOf = (p: P): { readonly w: number; readonly h: number } =>
  p.card === 'small'
    ? cardSizes.small
    : String(Math.max(Math.abs(p.low), Math.abs(p.high))).length > mostUpright
      ? cardSizes.wide
      : cardSizes.usual;

/** How many different numbers the range has. */
const countOf = (p: P): number => Math.floor((p.high - p.low) / p.by) + 1;

/** So many different numbers of the range in rising order; a range of a million is never written out. */
function someOf(p: P, rng: Rng): number[] {
  const drawn = new Set<number>();
  while (drawn.size < p.some) drawn.add(p.low + below(rng, countOf(p)) * p.by);
  return [...drawn].sort((a, b) => a - b);
}

/** Every number that may stand on a card. */
function rangeOf(p: P): number[] {
  const numbers: number[] = [];
  for (let n = p.low; n <= p.high; n += p.by) numbers.push(n);
  return numbers;
}

const heightOf = (words: string, w: number): number => {
  const [box] = numeral(0, 0, w - 10, 34, words);
  return figureHeight(box!.size!);
};

function face(card: Card, w: number, h: number): Box[] {
  if (card.number !== null) return numeral(5, h * 0.25, w - 10, h * 0.5, written(card.number), { most: 130 });
  const [, sign, words] = specials.find(([s]) => s === card.special)!;
  return [
    text(0, h * 0.26, w, h * 0.28, sign, 54, { fill: 'vermilion' }),
    ...boxedParagraph(5, h * 0.6, w - 10, h * 0.22, words, 18, 10, { bold: true }),
  ];
}
