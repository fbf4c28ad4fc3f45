import { fractionCode, greatestCommonDivisor } from '../../items/fraction';
import type { ItemChannel } from '../../simulate/itemChannel';
import type { MatchParameters } from './parameters';

/** Forms of equal fractions with denominators up to twelve, one half lowest, the other multiplied. */
export function fractionHalves(): (readonly [number, number])[] {
  const halves: [number, number][] = [];
  for (let d = 2; d <= 6; d++)
    for (let n = 1; n < d; n++) {
      if (greatestCommonDivisor(n, d) > 1) continue;
      for (let k = 2; k * d <= 12; k++) halves.push([fractionCode(n, d), fractionCode(n * k, d * k)]);
    }
  return halves;
}

/** The item of recognising one match; numbers come from `matchesOf`. */
export function channelOf(p: MatchParameters): ItemChannel {
  const most = Math.max(12, p.highest);
  if (p.halves === 'sum-and-result') return { op: 'add', unknown: 'result', rep: 'expression', a: [0, most], b: [0, most] };
  if (p.halves === 'product-and-result') return { op: 'multiply', unknown: 'result', rep: 'expression', a: [0, 12], b: [0, 12] };
  if (p.halves === 'numeral-and-dots') return { op: p.highest > 10 ? 'count' : 'subitise', unknown: 'result', rep: 'dots', a: [0, most], b: [0, 0] };
  if (p.halves === 'equal-fractions') return { op: 'equivalent-fraction', unknown: 'result', rep: 'picture', a: [0, 1], b: [0, 1] };
  if (p.halves === 'clock-and-time') return { op: 'tell-time', unknown: 'result', rep: 'clock', a: [0, 720], b: [0, 60] };
  return { op: 'count-money', unknown: 'result', rep: 'coins', a: [0, most], b: [0, 20] };
}

/** Coins that make an amount, fewest first: 25, 10, 5 and 1. */
export function fewestCoins(amount: number): number {
  let left = amount;
  let coins = 0;
  for (const value of [25, 10, 5, 1]) {
    coins += Math.floor(left / value);
    left %= value;
  }
  return coins;
}

/** Every match this variant can have on its cards, each with a different answer, as (a, b). */
export function matchesOf(p: MatchParameters): (readonly [number, number])[] {
  const list: [number, number][] = [];
  if (p.halves === 'equal-fractions') return fractionHalves();
  if (p.halves === 'clock-and-time') {
    for (let t = 0; t < 720; t += p.clockStep) list.push([t, p.clockStep]);
    return list;
  }
  if (p.halves === 'product-and-result') {
    const seen = new Set<number>();
    for (let x = 2; x <= 12; x++)
      for (let y = x; y <= 12; y++) {
        if (x * y < p.lowest || x * y > p.highest || seen.has(x * y)) continue;
        seen.add(x * y);
        list.push([x, y]);
      }
    return list;
  }
  for (let n = Math.max(p.halves === 'sum-and-result' ? 2 : 1, p.lowest); n <= p.highest; n++) list.push(p.halves === 'sum-and-result' ? [n, 0] : p.halves === 'coins-and-amount' ? [n, fewestCoins(n)] : [n, 0]);
  return list;
}
