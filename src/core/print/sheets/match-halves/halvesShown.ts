import { addFractions, fractionText } from '../../../items/fraction';
import { between } from '../../../play/deck';
import { isActHalf } from '../../../play/actHalves';
import { fewestCoins, partsDrawn } from '../../../mechanisms/match-sets/halves';
import type { MatchParameters } from '../../../mechanisms/match-sets/parameters';
import { below, type Rng } from '../../../shared/rng';
import { actShown, both, fractionOrNumber, type Half, words } from '../../pictures/actShown';
import { clockText } from '../../pictures/shown';

/** Letters that look different in each of their four positions. */
const letters = 'FGJLPRQKEBCDTUVA';

/** The fewest coins of an amount, largest first: as many as the match was played with. */
export function coinsOf(amount: number, coins: readonly number[]): number[] {
  if (amount === 0) return [];
  const fewest = fewestCoins(amount, coins);
  const next = [...coins].sort((a, b) => b - a).find((c) => c <= amount && fewestCoins(amount - c, coins) === fewest - 1)!;
  return [next, ...coinsOf(amount - next, coins)];
}

/** The two halves of a match, drawn as the family reads it. */
export function halvesShown(p: MatchParameters, [a, b]: readonly [number, number], n: number, rng: Rng): readonly [Half, Half] {
  const sort = p.halves;
  if (isActHalf(sort)) return actShown(sort, a, b, n);
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

/** Draws so many different matches of a list. */
export function someOf<T>(list: readonly T[], n: number, rng: Rng): T[] {
  const left = [...list];
  return Array.from({ length: Math.min(n, left.length) }, () => left.splice(below(rng, left.length), 1)[0]!);
}
