import { addFractions, fractionCode, greatestCommonDivisor } from '../../items/fraction';
import { type ActHalf, actHalfNames, actHalves, matchesOf } from '../../play/actHalves';
import type { ItemChannel } from '../../simulate/itemChannel';
import type { MatchParameters } from './parameters';

/** The two numbers of a match, as its operation reads them. */
export type Match = readonly [number, number];

/** One sort of halves: the act of recognising a match, and every match there can be, each with another answer. */
interface Halves {
  channel(p: MatchParameters): ItemChannel;
  list(p: MatchParameters): Match[];
}

/** Fractions do not lie on a dense grid; they are counted by name. */
const offGrid = { a: [0, 1], b: [0, 1] } as const;
const most = (p: MatchParameters): number => Math.max(12, p.highest);
const upTo = (low: number, high: number): number[] => Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);
const range = (p: MatchParameters, least: number): number[] => upTo(Math.max(least, p.lowest), p.highest);
const clockMinutes = 720;

/** Keeps the first match of each answer, so that every half has one partner only. */
function oneEach(matches: readonly Match[], answerOf: (a: number, b: number) => number): Match[] {
  const seen = new Set<number>();
  return matches.filter(([a, b]) => {
    const answer = answerOf(a, b);
    return !seen.has(answer) && Boolean(seen.add(answer));
  });
}

const lowestTerms = (n: number, d: number): boolean => greatestCommonDivisor(n, d) === 1;

/** Forms of equal fractions with denominators up to twelve, one half lowest, the other multiplied. */
export function fractionHalves(): Match[] {
  const found: Match[] = [];
  for (let d = 2; d <= 6; d++)
    for (let n = 1; n < d; n++)
      if (lowestTerms(n, d)) for (let k = 2; k * d <= 12; k++) found.push([fractionCode(n, d), fractionCode(n * k, d * k)]);
  return found;
}

/** Two fractions that make a whole, the smaller first. */
function wholes(): Match[] {
  return upTo(2, 12).flatMap((d) =>
    upTo(1, Math.floor(d / 2))
      .filter((n) => lowestTerms(n, d))
      .map((n): Match => [fractionCode(n, d), fractionCode(d - n, d)]),
  );
}

/** Two fractions of one denominator and their sum below a whole. */
function sumsAlike(): Match[] {
  return oneEach(
    upTo(3, 12).flatMap((d) =>
      upTo(2, d - 1).map((sum): Match => [fractionCode(Math.ceil(sum / 2), d), fractionCode(Math.floor(sum / 2), d)]),
    ),
    addFractions,
  );
}

/** Two fractions of different denominators and their sum. */
function sumsUnlike(): Match[] {
  const bottoms = [2, 3, 4, 5, 6, 8, 10];
  const proper = bottoms.flatMap((d) =>
    upTo(1, d - 1)
      .filter((n) => lowestTerms(n, d))
      .map((n) => [n, d] as const),
  );
  return oneEach(
    proper.flatMap(([n, d]) =>
      proper
        .filter(([, other]) => other > d && (other % d === 0 || other * d <= 30))
        .map(([m, other]): Match => [fractionCode(n, d), fractionCode(m, other)]),
    ),
    addFractions,
  );
}

/** Fewest of these coins that make an amount, one of them worth one: of all last coins the one that leaves least. */
export function fewestCoins(amount: number, worths: readonly number[]): number {
  const fewest = [0];
  for (let n = 1; n <= amount; n++) fewest[n] = 1 + Math.min(...worths.flatMap((c) => (c <= n ? [fewest[n - c]!] : [])));
  return fewest[amount]!;
}

function products(p: MatchParameters): Match[] {
  return oneEach(
    upTo(2, 12)
      .flatMap((x) => upTo(x, 12).map((y): Match => [x, y]))
      .filter(([x, y]) => x * y >= p.lowest && x * y <= p.highest),
    (x, y) => x * y,
  );
}

/** A time and so much later: from two steps to six, a different one after each. */
function later(p: MatchParameters): Match[] {
  const starts = upTo(0, clockMinutes / p.clockStep - 1).map((i): Match => [i * p.clockStep, (2 + (i % 5)) * p.clockStep]);
  return oneEach(
    starts.filter(([, wait]) => wait <= clockMinutes / 2),
    (at, wait) => (at + wait) % clockMinutes,
  );
}

/** Numbers that round to each of thirty places, never from the place itself. */
const roundPlaces = 30;
function rounded(p: MatchParameters): Match[] {
  return upTo(1, roundPlaces).map((k): Match => {
    const off = ((k * 37) % p.roundTo) - p.roundTo / 2;
    return [k * p.roundTo + (off === 0 ? -1 : off), p.roundTo];
  });
}

/** Every sort of halves; a new one is one line here and one name in the parameters. */
/** Halves of an act: each pair that can come up, one for each answer. */
const ofAct = (name: ActHalf): Halves => ({
  channel: () => ({ op: actHalves[name].op, unknown: 'result', rep: actHalves[name].rep, ...offGrid }),
  list: (p) => matchesOf(name, p.lowest, p.highest),
});

export const halves: Readonly<Record<MatchParameters['halves'], Halves>> = {
  ...(Object.fromEntries(actHalfNames.map((name) => [name, ofAct(name)])) as Record<ActHalf, Halves>),
  'sum-and-result': {
    channel: (p) => ({ op: 'add', unknown: 'result', rep: 'expression', a: [0, most(p)], b: [0, most(p)] }),
    list: (p) => range(p, 2).map((n) => [n, 0]),
  },
  'product-and-result': {
    channel: () => ({ op: 'multiply', unknown: 'result', rep: 'expression', a: [0, 12], b: [0, 12] }),
    list: products,
  },
  'numeral-and-dots': {
    channel: (p) => ({ op: p.highest > 10 ? 'count' : 'subitise', unknown: 'result', rep: 'dots', a: [0, most(p)], b: [0, 0] }),
    list: (p) => range(p, 1).map((n) => [n, 0]),
  },
  'equal-fractions': {
    channel: () => ({ op: 'equivalent-fraction', unknown: 'result', rep: 'picture', ...offGrid }),
    list: fractionHalves,
  },
  'parts-of-a-whole': { channel: () => ({ op: 'add-fraction', unknown: 'b', rep: 'numerals', ...offGrid }), list: wholes },
  'fraction-sum-alike': { channel: () => ({ op: 'add-fraction', unknown: 'result', rep: 'expression', ...offGrid }), list: sumsAlike },
  'fraction-sum-unlike': { channel: () => ({ op: 'add-fraction', unknown: 'result', rep: 'expression', ...offGrid }), list: sumsUnlike },
  'clock-and-time': {
    channel: () => ({ op: 'tell-time', unknown: 'result', rep: 'clock', a: [0, clockMinutes], b: [0, 60] }),
    list: (p) => upTo(0, clockMinutes / p.clockStep - 1).map((i) => [i * p.clockStep, p.clockStep]),
  },
  'clock-and-later': {
    channel: () => ({ op: 'elapsed-time', unknown: 'result', rep: 'clock', a: [0, clockMinutes], b: [0, clockMinutes / 2] }),
    list: later,
  },
  'coins-and-amount': {
    channel: (p) => ({ op: 'count-money', unknown: 'result', rep: 'coins', a: [0, most(p)], b: [0, 20] }),
    list: (p) => range(p, 1).map((n) => [n, fewestCoins(n, p.coins)]),
  },
  'number-and-rounded': {
    channel: (p) => ({ op: 'round', unknown: 'result', rep: 'numerals', a: [0, (roundPlaces + 1) * p.roundTo], b: [p.roundTo, p.roundTo] }),
    list: rounded,
  },
  'sum-family': {
    channel: (p) => ({ op: 'fact-family', unknown: 'result', rep: 'expression', a: [0, most(p)], b: [0, most(p)] }),
    list: (p) => range(p, 3).map((n) => [n, 0]),
  },
  'times-family': { channel: () => ({ op: 'times-family', unknown: 'result', rep: 'expression', a: [0, 12], b: [0, 12] }), list: products },
  'picture-and-turned': {
    channel: () => ({ op: 'turn', unknown: 'result', rep: 'picture', a: [0, 3], b: [0, 3] }),
    list: () => upTo(0, 3).flatMap((facing) => upTo(1, 3).map((quarters): Match => [facing, quarters])),
  },
};

/** Sorts whose list holds a whole only; its two parts are drawn anew each time. */
export const partsDrawn: readonly MatchParameters['halves'][] = ['sum-and-result', 'sum-family'];
