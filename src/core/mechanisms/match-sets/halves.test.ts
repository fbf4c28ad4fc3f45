import { describe, expect, it } from 'vitest';
import Fraction from 'fraction.js';
import { denominatorOf, fractionText, numeratorOf } from '../../items/fraction';
import { resultOf } from '../../items/item';
import { checkTable } from '../../../contract/parameters';
import { run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { seatsFor } from '../../simulate/seats';
import { tellGame } from '../../simulate/storyLog';
import { mechanismById } from '../registry';
import { fewestCoins, fractionHalves, halves, type Match } from './halves';

describe('halves that belong together', () => {
  it('have exactly one partner: no two answers alike', () => {
    const products = halves['product-and-result'].list({ ...DEFAULTS, lowest: 6, highest: 100 }).map(([a, b]) => a * b);
    expect(new Set(products).size).toBe(products.length);
    expect(halves['clock-and-time'].list({ ...DEFAULTS, clockStep: 15 }).length).toBe(48);
    for (const [x, y] of fractionHalves())
      expect([fractionText(x), Number(fractionText(x).split('/')[0]) / Number(fractionText(x).split('/')[1])]).toEqual([
        fractionText(x),
        expect.closeTo(Number(fractionText(y).split('/')[0]) / Number(fractionText(y).split('/')[1]), 12),
      ]);
  });
  it('pay any amount with the fewest of four coins, as the largest first does with coins in use', () => {
    for (const worths of [
      [25, 10, 5, 1],
      [50, 20, 10, 5, 2, 1],
    ])
      for (let n = 1; n <= 99; n++) {
        let left = n;
        const greedy = worths.reduce((sum, c) => {
          const of = Math.floor(left / c);
          left -= of * c;
          return sum + of;
        }, 0);
        expect([n, fewestCoins(n, worths)]).toEqual([n, greedy]);
      }
    // Where the largest first goes wrong: three tens, not a twenty-five and five ones.
    expect(fewestCoins(30, [1, 10, 25])).toBe(3);
  });
  it('go back as they are when they do not fit, and are matched later', () => {
    const mechanism = mechanismById('match-sets')!;
    const seats = seatsFor(mechanism, { sets: 8, highest: 30 }, [{ errorRate: 0.4 }, { errorRate: 0.4 }]);
    let wrong = 0;
    for (let game = 0; game < 60; game++) {
      const told = tellGame(mechanism, seats, 7, game).events.flatMap((e) => (e.kind === 'told' ? [e] : []));
      const matched = told.filter((e) => e.sentence === 0).map((e) => `${e.x} + ${e.y}`);
      const back = told.filter((e) => e.sentence === 1).map((e) => `${e.x} + ${e.y}`);
      wrong += back.length;
      expect(new Set(matched).size).toBe(8);
      expect(back.filter((pair) => !matched.includes(pair))).toEqual([]);
    }
    expect(wrong).toBeGreaterThan(100);
  });
  it('are matched before the timer more often with more time', () => {
    const done = (timer: number) => run('match-sets', { timer, sets: 14, highest: 30 }, 2, 400).measures['beforeTimer']!;
    expect(done(1)).toBeLessThan(0.05);
    expect(done(20)).toBe(1);
  });
});

/** A fraction code as the reference library reads it. */
const exact = (code: number): Fraction => new Fraction(numeratorOf(code), denominatorOf(code));

describe('sorts of halves', () => {
  const kinds = Object.keys(halves) as (keyof typeof halves)[];
  it.each(kinds)('%s: enough for a set, every one true and met in play', (kind) => {
    const parameters = { halves: kind, sets: 8 };
    expect(checkTable('match-sets', parameters, 2).ok).toBe(true);
    const { op } = halves[kind].channel({ ...DEFAULTS, halves: kind });
    const { items } = run('match-sets', parameters, 2, 200);
    expect(items.length).toBeGreaterThan(3);
    for (const i of items) expect([i.op, i.result]).toEqual([op, resultOf(op, i.a, i.b)]);
  });
  const sum = ([a, b]: Match): Fraction => exact(a).add(exact(b));
  it('parts of a whole make one, and each fraction is there once', () => {
    const list = halves['parts-of-a-whole'].list(DEFAULTS);
    for (const m of list) expect(sum(m).toFraction()).toBe('1');
    const all = list.flatMap(([a, b]) => (a === b ? [a] : [a, b])).map((c) => exact(c).toFraction());
    expect(new Set(all).size).toBe(all.length);
  });
  it.each(['fraction-sum-alike', 'fraction-sum-unlike'] as const)('%s: no two sums are equal, and denominators are as said', (kind) => {
    const list = halves[kind].list(DEFAULTS);
    expect(list.length).toBeGreaterThanOrEqual(24);
    expect(new Set(list.map((m) => sum(m).toFraction())).size).toBe(list.length);
    for (const [a, b] of list) {
      expect(denominatorOf(a) === denominatorOf(b)).toBe(kind === 'fraction-sum-alike');
      if (kind === 'fraction-sum-alike') expect(sum([a, b]).compare(1)).toBeLessThan(0);
    }
  });
  it.each([60, 30, 15, 5, 1] as const)('later by steps of %i minutes: times on the step, no two answers alike', (clockStep) => {
    const list = halves['clock-and-later'].list({ ...DEFAULTS, clockStep });
    expect(list.length).toBeGreaterThanOrEqual(8);
    for (const [at, wait] of list) expect([at % clockStep, wait % clockStep, wait > 0]).toEqual([0, 0, true]);
    expect(new Set(list.map(([at, wait]) => (at + wait) % 720)).size).toBe(list.length);
  });
  it.each([10, 100, 1000] as const)(
    'rounded to the nearest %i: each lies nearest its own place, halves upward, and is not the place',
    (roundTo) => {
      const list = halves['number-and-rounded'].list({ ...DEFAULTS, roundTo });
      expect(list.map(([n, to]) => resultOf('round', n, to))).toEqual(list.map((_, i) => (i + 1) * roundTo));
      for (const [n] of list) expect([n, n % roundTo !== 0]).toEqual([n, true]);
    },
  );
  it('turned pictures: every facing with every turn that is one', () => {
    expect(new Set(halves['picture-and-turned'].list(DEFAULTS).map(([f, q]) => `${f} ${q}`)).size).toBe(12);
    expect(checkTable('match-sets', { halves: 'picture-and-turned', sets: 13 }, 2)).toMatchObject({
      problem: { field: 'parameters.sets' },
    });
  });
});
