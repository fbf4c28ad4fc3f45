import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { shippedOffers } from '../../contract/shippedOffers.testing';
import { mechanismById } from '../mechanisms/registry';
import { meanDoses } from '../simulate/meanDoses';
import { seatsFor } from '../simulate/seats';
import { Simulation } from '../simulate/simulation';
import { simulationResult } from '../simulate/simulationResult';
import { atTable, layOutMinutes, likelyPlayers, playingShare, sizeShare } from './atTable';
import type { Offer } from './offer';

const graph = shippedGraph();
const offers = shippedOffers();

describe('chances at a table of another size', () => {
  it('halve in turn at twice the players, and stay where all are busy at once', () => {
    expect(sizeShare({ seats: 2, waiting: 1 / 2 }, 4)).toBeCloseTo(1 / 2, 12);
    expect(sizeShare({ seats: 3, waiting: 2 / 3 }, 2)).toBeCloseTo(3 / 2, 12);
    expect(sizeShare({ seats: 3, waiting: 0 }, 6)).toBeCloseTo(1, 12);
    // Of one alone nothing tells how it would be with more.
    expect(sizeShare({ seats: 1, waiting: 0 }, 3)).toBe(1);
    // Half of the time everybody's, half in turn among two: three of four are busy; among four, five of eight.
    expect(sizeShare({ seats: 2, waiting: 1 / 4 }, 4)).toBeCloseTo(5 / 8 / (3 / 4), 12);
  });
  it('are those counted at the counted table, and fewer the more sit there', () => {
    const counted = fc.record({ seats: fc.integer({ min: 2, max: 6 }), waiting: fc.double({ min: 0, max: 1, noNaN: true }) });
    fc.assert(
      fc.property(counted, fc.integer({ min: 1, max: 8 }), (c, n) => {
        expect(sizeShare(c, c.seats)).toBeCloseTo(1, 9);
        expect(sizeShare(c, n + 1)).toBeLessThanOrEqual(sizeShare(c, n) + 1e-12);
      }),
    );
  });
  it('come near what the engine counts there', () => {
    // One version of each family, at the least and the most that play it.
    const seen = new Set<string>();
    const apart: number[] = [];
    for (const o of offers) {
      if (seen.has(o.mechanism!) || !o.counted) continue;
      seen.add(o.mechanism!);
      const mechanism = mechanismById(o.mechanism!)!;
      for (const n of [Math.max(2, o.players[0], mechanism.seats.min), Math.min(5, o.players[1], mechanism.seats.max)]) {
        if (n === o.counted.seats) continue;
        const sim = new Simulation(mechanism, seatsFor(mechanism, o.parameters, n), graph, { seed: 3, games: 64 });
        while (!sim.advance());
        const all = [...meanDoses(simulationResult(sim)).values()].reduce((sum, d) => sum + d.mean, 0);
        const told = o.doses.reduce((sum, d) => sum + d, 0) * sizeShare(o.counted, n);
        if (told > 0) apart.push(Math.abs(Math.log(all / told)));
      }
    }
    apart.sort((x, y) => x - y);
    expect(apart.length).toBeGreaterThan(40);
    // The middle of the families within a tenth; nine of ten within a third.
    expect(apart[Math.floor(apart.length / 2)]).toBeLessThan(Math.log(1.1));
    expect(apart[Math.floor(apart.length * 0.9)]).toBeLessThan(Math.log(1.34));
  });
});

describe('a game that ends early', () => {
  it('is laid out again, and that takes from play', () => {
    // Three plays of four minutes and two layings out make fourteen.
    expect(playingShare(4, 14)).toBeCloseTo(12 / 14, 12);
    expect(playingShare(15, 15)).toBe(1);
    expect(playingShare(20, 15)).toBe(1);
    expect(playingShare(1, 15)).toBeLessThan(0.6);
    expect(layOutMinutes).toBeGreaterThan(0);
  });
  it('gives less the shorter it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 14, noNaN: true }), (m) => {
        expect(playingShare(m, 15)).toBeLessThanOrEqual(playingShare(m + 0.5, 15) + 1e-12);
      }),
    );
  });
});

describe('a version at a table', () => {
  const one: Offer = { ...offers[0]!, minutes: 20, players: [2, 4], counted: { seats: 2, waiting: 0.5 } };
  const sum = (o: Offer): number => o.doses.reduce((x, y) => x + y, 0);
  it('has its chances there, no more players than can play, and the owner’s word as it stands', () => {
    expect(sum(atTable(one, 4, 15))).toBeCloseTo(sum(one) / 2, 6);
    expect(sum(atTable(one, 9, 15))).toBeCloseTo(sum(one) / 2, 6);
    expect(atTable(one, 2, 15)).toBe(one);
    expect(atTable(one, null, 15)).toBe(one);
    const { counted: _, ...declared } = one;
    expect(atTable(declared, 4, 15)).toBe(declared);
    expect(sum(atTable({ ...one, minutes: 4 }, null, 14))).toBeCloseTo((sum(one) * 86) / 100, 6);
    expect(atTable(one, 4, 15).doses).toBe(atTable(one, 4, 15).doses);
  });
  it('is where so many share so many tables', () => {
    expect([likelyPlayers(14, 4), likelyPlayers(9, 4), likelyPlayers(1, 4), likelyPlayers(3, 0)]).toEqual([4, 2, 1, 3]);
  });
});
