import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import type { Item } from '../items/item';
import { tenTraitOf } from '../items/traits';
import { mechanismById } from '../mechanisms/registry';
import { below, createRng, nextUint, shuffle, uniform } from '../shared/rng';
import { creditsOf } from '../skills/creditsOf';
import { quantileOf, shareUpTo } from './histogram';
import { ratioOf } from './ratio';
import { seatsFor } from './seats';
import { Simulation } from './simulation';
import { endsWithin, simulationResult } from './simulationResult';

/** Upper 0.1 % point of chi-square with n degrees of freedom (Wilson and Hilferty 1931). */
const chiLimit = (n: number): number => n * (1 - 2 / (9 * n) + 3.09 * Math.sqrt(2 / (9 * n))) ** 3;
const chiSquare = (counts: readonly number[]): number => {
  const expected = counts.reduce((a, b) => a + b, 0) / counts.length;
  return counts.reduce((sum, c) => sum + (c - expected) ** 2 / expected, 0);
};

describe('a ratio over batches', () => {
  it('has no error where every batch says the same, whatever rounding leaves', () => {
    expect(
      ratioOf(
        [0.1, 0.2, 0.3, 0.7].map((x) => (x * 2) / 3),
        [0.1, 0.2, 0.3, 0.7],
      ),
    ).toEqual({ value: expect.closeTo(2 / 3, 12) as unknown, standardError: 0 });
    expect(ratioOf([1, 2, 3], [1, 2, 3.001]).standardError).toBeGreaterThan(0);
  });
});

describe('the random numbers', () => {
  it.each([1, 7, 123456789])('of seed %i fill die faces, bytes and pairs evenly', (seed) => {
    const rng = createRng(seed, 3);
    const faces = Array<number>(6).fill(0);
    const bytes = Array<number>(256).fill(0);
    const pairs = Array<number>(36).fill(0);
    for (let i = 0; i < 120_000; i++) {
      const a = below(rng, 6);
      const b = below(rng, 6);
      faces[a]!++;
      pairs[a * 6 + b]!++;
      bytes[nextUint(rng) & 255]!++;
    }
    expect(chiSquare(faces)).toBeLessThan(chiLimit(5));
    expect(chiSquare(pairs)).toBeLessThan(chiLimit(35));
    expect(chiSquare(bytes)).toBeLessThan(chiLimit(255));
  });
  it('of neighbouring games are not alike', () => {
    const first = Array.from({ length: 10_000 }, (_, g) => below(createRng(7, g), 6));
    const counts = Array<number>(36).fill(0);
    for (let i = 1; i < first.length; i++) counts[first[i - 1]! * 6 + first[i]!]!++;
    expect(chiSquare(counts)).toBeLessThan(chiLimit(35));
  });
  it('shuffle every order of three about as often', () => {
    const seen = new Map<string, number>();
    const rng = createRng(5);
    for (let i = 0; i < 12_000; i++) {
      const deck = [1, 2, 3];
      shuffle(rng, deck, 3);
      seen.set(deck.join(), (seen.get(deck.join()) ?? 0) + 1);
    }
    expect(seen.size).toBe(6);
    expect(chiSquare([...seen.values()])).toBeLessThan(chiLimit(5));
  });
  it('stay inside their range', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 1, max: 1e6 }), (seed, limit) => {
        const rng = createRng(seed);
        const x = below(rng, limit);
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThan(limit);
        expect(uniform(rng)).toBeLessThan(1);
      }),
    );
  });
});

describe('the statistics', () => {
  it('take a ratio with its error by batches, as written down independently', () => {
    const y = [3, 5, 4, 8];
    const x = [1, 2, 2, 3];
    const r = 20 / 8;
    const squares = y.map((v, i) => (v - r * x[i]!) ** 2).reduce((a, b) => a + b, 0);
    expect(ratioOf(y, x)).toEqual({ value: r, standardError: Math.sqrt((squares * 4) / 3) / 8 });
    expect(ratioOf([0], [0]).value).toBe(0);
  });
  it('find quantiles and shares of counts', () => {
    expect(quantileOf([0, 1, 2, 1], 0.5)).toBe(2);
    expect(quantileOf([4], 0.9)).toBe(0);
    expect(shareUpTo([1, 1, 2], 1)).toBe(0.5);
    expect(endsWithin([0, 10, 10], 2)).toBe(0.5);
  });
  it('report an error that covers the truth about as often as it should', () => {
    // The mean of 47.69 rolls is exact; two standard errors should hold it in about 95 of 100 runs.
    const m = mechanismById('sum-columns')!;
    let inside = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const sim = new Simulation(m, seatsFor(m, { height: 10, picks: 0, firstColumn: 0, lastColumn: 60 }, 1), null, { seed, games: 640 });
      while (!sim.advance());
      const r = simulationResult(sim);
      if (Math.abs(r.turns.mean - 47.690953) < 2 * r.turns.standardError) inside++;
    }
    expect(inside).toBeGreaterThanOrEqual(50);
  });
});

describe('a simulation', () => {
  const m = mechanismById('pair-memory')!;
  it('stops at the precision asked, and finer costs more games', () => {
    const games = (length: number): number => {
      const sim = new Simulation(m, seatsFor(m, {}, 2), shippedGraph(), { seed: 1, precision: { length, share: 0.05 } });
      while (!sim.advance());
      const r = simulationResult(sim);
      expect(r.turns.standardError / r.turns.mean).toBeLessThanOrEqual(length);
      return r.games;
    };
    expect(games(0.002)).toBeGreaterThan(games(0.02));
  });
  it('reports progress that never falls and bounds asked games', () => {
    const sim = new Simulation(m, seatsFor(m, {}, 2), null, { seed: 1, mostGames: 200, precision: { length: 1e-9, share: 1e-9 } });
    let last = 0;
    while (!sim.advance()) {
      expect(sim.progress()).toBeGreaterThanOrEqual(last - 1e-9);
      last = sim.progress();
    }
    expect(sim.games).toBe(200);
  });
  it('counts the same doses per seat as its items say', () => {
    const sim = new Simulation(m, seatsFor(m, {}, 2), shippedGraph(), { seed: 4, games: 640 });
    while (!sim.advance());
    const r = simulationResult(sim);
    const minutes = (r.minutes.mean * r.games) / 10;
    const graph = shippedGraph();
    const k = graph.indexOf.get('pairs-of-10')!;
    const share = (i: Item): number => creditsOf(graph, i).find((c) => c.index === k)?.share ?? 0;
    const tens = r.items.filter((i) => i.seat === 0).reduce((n, i) => n + i.count * share(i), 0);
    expect(tens).toBeGreaterThan(0);
    expect(r.doses[0]!.find((d) => d.skill === 'pairs-of-10')!.perTenMinutes).toBeCloseTo(tens / minutes, 3);
  });
});

describe('traits of ten', () => {
  it.each([
    ['add', 8, 2, 'reaching'],
    ['add', 8, 5, 'crossing'],
    ['add', 28, 2, 'reaching'],
    ['add', 43, 5, 'within'],
    ['add', 20, 7, 'within'],
    ['subtract', 20, 7, 'leaving'],
    ['subtract', 34, 8, 'crossing'],
    ['subtract', 49, 3, 'within'],
    ['subtract', 44, 8, 'crossing'],
    ['subtract', 17, 7, 'reaching'],
  ] as const)('%s %i and %i is %s', (op, a, b, trait) => expect(tenTraitOf({ op, a, b })).toBe(trait));
});
