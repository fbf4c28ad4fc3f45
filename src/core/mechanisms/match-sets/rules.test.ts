import { describe, expect, it } from 'vitest';
import { fractionText } from '../../items/fraction';
import { run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { fewestCoins, fractionHalves, matchesOf } from './rules';

describe('halves that belong together', () => {
  it('have exactly one partner: no two answers alike', () => {
    const products = matchesOf({ ...DEFAULTS, halves: 'product-and-result', lowest: 6, highest: 100 }).map(([a, b]) => a * b);
    expect(new Set(products).size).toBe(products.length);
    expect(matchesOf({ ...DEFAULTS, halves: 'clock-and-time', clockStep: 15 }).length).toBe(48);
    for (const [x, y] of fractionHalves()) expect([fractionText(x), Number(fractionText(x).split('/')[0]) / Number(fractionText(x).split('/')[1])]).toEqual([fractionText(x), expect.closeTo(Number(fractionText(y).split('/')[0]) / Number(fractionText(y).split('/')[1]), 12)]);
  });
  it('pay any amount with the fewest of four coins', () => {
    const table = [0];
    for (let n = 1; n <= 99; n++) table[n] = 1 + Math.min(...[25, 10, 5, 1].filter((c) => c <= n).map((c) => table[n - c]!));
    for (let n = 1; n <= 99; n++) expect([n, fewestCoins(n)]).toEqual([n, table[n]]);
  });
  it('are matched before the timer more often with more time', () => {
    const done = (timer: number) => run('match-sets', { timer, sets: 14, highest: 30 }, 2, 400).measures['beforeTimer']!;
    expect(done(1)).toBeLessThan(0.05);
    expect(done(20)).toBe(1);
  });
});
