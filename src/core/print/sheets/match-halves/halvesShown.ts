import { addFractions, fractionText } from '../../../items/fraction';
import { shapeText } from '../../../items/acts/shapeWords';
import { between } from '../../../play/deck';
import { type ActHalf, actHalves, isActHalf } from '../../../play/actHalves';
import { partsDrawn } from '../../../mechanisms/match-sets/halves';
import type { MatchParameters } from '../../../mechanisms/match-sets/parameters';
import { below, type Rng } from '../../../shared/rng';
import { clockText, type Shown } from '../../pictures/shown';

export interface Half {
  readonly shown: Shown;
  /** What it is worth, as something that can be compared; two halves with one worth are partners. */
  readonly worth: string;
}

const words = (text: string): Shown => ({ as: 'words', words: text });
/** Letters that look different in each of their four positions. */
const letters = 'FGJLPRQKEBCDTUVA';

/** Greedy from the largest: fewest for the coins that countries use. */
function coinsOf(amount: number, coins: readonly number[]): number[] {
  const found: number[] = [];
  let left = amount;
  for (const c of [...coins].sort((a, b) => b - a)) while (left >= c) [left] = [left - c, found.push(c)];
  return found;
}

/** The two halves of a match, drawn as the family reads it. */
export function halvesShown(p: MatchParameters, [a, b]: readonly [number, number], n: number, rng: Rng): readonly [Half, Half] {
  const both = (first: Shown, second: Shown, worth: string | number): readonly [Half, Half] => [
    { shown: first, worth: String(worth) },
    { shown: second, worth: String(worth) },
  ];
  const sort = p.halves;
  if (isActHalf(sort)) return actShown(sort, a, b, n, both);
  if (partsDrawn.includes(sort)) {
    const x = between(rng, Math.max(1, Math.ceil(a / 2)), Math.max(1, a - 1));
    const y = a - x;
    return sort === 'sum-family'
      ? both(words(`${x} + ${y} = ${a}`), words(`${a} − ${y} = ${x}`), a)
      : both(words(`${x} + ${y}`), { as: 'number', n: a }, a);
  }
  switch (sort) {
    case 'product-and-result':
      return both(words(`${a} × ${b}`), { as: 'number', n: a * b }, a * b);
    case 'times-family':
      return both(words(`${a} × ${b} = ${a * b}`), words(`${a * b} ÷ ${b} = ${a}`), a * b);
    case 'numeral-and-dots':
      return both({ as: 'number', n: a }, { as: 'amount', n: a, look: a <= 20 ? 'dots' : 'base-ten' }, a);
    case 'equal-fractions':
      return both({ as: 'fraction', code: a }, { as: 'pie', code: b }, `${a}=${b}`);
    case 'parts-of-a-whole':
      return both({ as: 'fraction', code: a }, { as: 'fraction', code: b }, a);
    case 'fraction-sum-alike':
    case 'fraction-sum-unlike':
      return both(words(`${fractionText(a)} + ${fractionText(b)}`), fractionOrNumber(fractionText(addFractions(a, b))), addFractions(a, b));
    case 'clock-and-time':
      return both({ as: 'clock', minutes: a }, words(clockText(a)), a);
    case 'clock-and-later':
      return both({ as: 'later', minutes: a, by: b }, words(clockText(a + b)), (a + b) % 720);
    case 'coins-and-amount':
      return both({ as: 'coins', coins: coinsOf(a, p.coins) }, { as: 'worth', hundredths: a }, a);
    case 'number-and-rounded':
      return both({ as: 'number', n: a }, words(`about ${Math.round(a / b) * b}`), Math.round(a / b) * b);
    default: {
      const letter = letters[n % letters.length]!;
      return both({ as: 'letter', letter, quarters: a }, { as: 'letter', letter, quarters: a + b }, letter);
    }
  }
}

const fractionOrNumber = (text: string): Shown => {
  const m = /^(\d+)\/(\d+)$/.exec(text);
  return m ? { as: 'fraction', code: Number(m[1]) * 100 + Number(m[2]) } : words(text);
};

/** Acts that are seen and not read. */
function actShown(
  sort: ActHalf,
  a: number,
  b: number,
  n: number,
  both: (first: Shown, second: Shown, worth: string | number) => readonly [Half, Half],
): readonly [Half, Half] {
  const [first, second] = actHalves[sort].pair(a, b);
  const figure = (figure: 'rectangle' | 'triangle' | 'slanting' | 'joined', unit: string): readonly [Half, Half] =>
    both({ as: 'measured', figure, a, b }, words(`${second} ${unit}`), `${sort} ${second}`);
  switch (sort) {
    case 'scales':
      return both({ as: 'gauge', value: a, step: b }, words(second), second);
    case 'thermometers':
      return both({ as: 'thermometer', value: a }, words(second), second);
    case 'shape-and-name':
    case 'solid-and-name':
      return both({ as: 'shape', index: a, turned: (n * 50) % 360 }, words(shapeText(a).replace(/^an? /, '')), a);
    case 'line-graphs':
      return both({ as: 'line-graph', value: a }, words(second), second);
    case 'line-plots':
      return both({ as: 'line-plot', quarters: a, count: b }, words(`${second} crosses`), second);
    case 'way-round':
      return figure('rectangle', 'round');
    case 'triangle-areas':
      return figure('triangle', 'squares');
    case 'slanting-areas':
      return figure('slanting', 'squares');
    case 'joined-areas':
      return figure('joined', 'squares');
    case 'day-hours':
      return both(words(first), { as: 'clock', minutes: a % 720 }, a % 720);
    default:
      return both(fractionOrNumber(first), fractionOrNumber(second), `${first} = ${second}`);
  }
}

/** Draws so many different matches of a list. */
export function someOf<T>(list: readonly T[], n: number, rng: Rng): T[] {
  const left = [...list];
  return Array.from({ length: Math.min(n, left.length) }, () => left.splice(below(rng, left.length), 1)[0]!);
}
