import { describe, expect, it } from 'vitest';
import { near } from '../mechanisms/playing.testing';
import type { Mechanism, Seat } from '../mechanisms/mechanism';
import { mechanismById } from '../mechanisms/registry';
import { bestOf } from '../play/bestOf';
import { uniform } from '../shared/rng';
import { courseOf } from './course';
import { seatsFor } from './seats';

type Pointer = (round: number, draw: number) => number;

/** A game of so many rounds in which each round brings one point to the seat that `pointTo` names. */
function points(rounds: number, pointTo: Pointer, count = 2): { mechanism: Mechanism; seats: readonly Seat<object>[] } {
  const family = mechanismById('press-your-luck')!;
  const mechanism: Mechanism = {
    ...family,
    createTable: () => (rng, log) => {
      for (let round = 0; round < rounds; round++) {
        for (let s = 0; s < count; s++) log.turn(s, 1);
        const to = pointTo(round, uniform(rng));
        if (to >= 0) log.scores[to]!++;
      }
      log.winner = bestOf(log.scores, count);
    },
  };
  return {
    mechanism,
    seats: Array.from({ length: count }, () => ({ parameters: family.defaults, policy: 'careful', errorRate: 0, headStart: 0 })),
  };
}
const course = (rounds: number, pointTo: Pointer, games = 8000) => {
  const { mechanism, seats } = points(rounds, pointTo);
  return courseOf(mechanism, seats, 7, games)!;
};

/** Chance that a walk of +1 with chance p, else −1, is above nought after so many more steps. */
function above(lead: number, steps: number, p: number): number {
  if (steps === 0) return lead > 0 ? 1 : 0;
  return p * above(lead + 1, steps - 1, p) + (1 - p) * above(lead - 1, steps - 1, p);
}

/** Exact: chance that the leader first has 95 of 100 after each round, by going through all walks. */
function firstCertain(rounds: number): number[] {
  const at = Array<number>(rounds + 1).fill(0);
  const walk = (lead: number, round: number, chance: number): void => {
    if (round === rounds || (round > 0 && lead !== 0 && above(Math.abs(lead), rounds - round, 0.5) >= 0.95)) {
      at[round]! += chance;
      return;
    }
    walk(lead + 1, round + 1, chance / 2);
    walk(lead - 1, round + 1, chance / 2);
  };
  walk(0, 0, 1);
  return at;
}

/** Exact: how often a fair walk goes from one side of nought to the other. */
function changesOfSide(rounds: number): number {
  let all = 0;
  const walk = (lead: number, side: number, round: number, chance: number): void => {
    if (round === rounds) return;
    for (const step of [1, -1]) {
      const now = lead + step;
      if (now !== 0 && side !== 0 && Math.sign(now) !== side) all += chance / 2;
      walk(now, now === 0 ? side : Math.sign(now), round + 1, chance / 2);
    }
  };
  walk(0, 0, 0, 1);
  return all;
}

describe('how a game goes', () => {
  it.each([7, 9])('is measured as all walks of %i coin tosses say', (rounds) => {
    const at = firstCertain(rounds);
    let sum = 0;
    const middle = at.findIndex((chance) => (sum += chance) > 0.5);
    // The middle must not stand on an edge, or chance decides which side is met.
    const before = at.slice(0, middle).reduce((a, b) => a + b, 0);
    expect(Math.min(0.5 - before, sum - 0.5)).toBeGreaterThan(0.03);
    const found = course(rounds, (_, draw) => (draw < 0.5 ? 0 : 1));
    expect(found.known).toBeCloseTo(middle / rounds, 9);
    near(found.leadChanges, changesOfSide(rounds));
    expect(found.level.mean).toBe(0);
    near(found.weakest, 1);
  });
  it('finds the weaker of two seats', () => {
    near(course(5, (_, draw) => (draw < 0.6 ? 0 : 1)).weakest, 2 * above(0, 5, 0.4));
  });
  it('counts games that end level apart from games won', () => {
    const found = course(2, (_, draw) => (draw < 0.5 ? 0 : 1));
    near(found.level, 0.5);
    near(found.weakest, 1);
  });
  it('is known after the first round where one seat always scores, and at the end where only the last round counts', () => {
    expect(course(10, () => 0)).toMatchObject({ known: 0.1, leadChanges: { mean: 0 }, weakest: { mean: 0 } });
    expect(course(10, (round, draw) => (round < 9 ? -1 : draw < 0.5 ? 0 : 1)).known).toBe(1);
  });
  it('is nothing where nobody plays against another', () => {
    const { mechanism, seats } = points(3, () => -1);
    expect(courseOf(mechanism, seats, 7, 100)).toBeNull();
    expect(courseOf(mechanism, seats.slice(0, 1), 7, 100)).toBeNull();
  });
  it.each([
    ['track-race', { end: 20 }],
    ['neighbour-race', {}],
    ['place-digit-hop', {}],
    ['close-the-tiles', {}],
    ['money-race', {}],
    ['cover-grid', {}],
    ['sum-columns', {}],
    ['product-board', {}],
    ['fill-the-whole', {}],
  ])('follows places and lines of %s, not only points at the end', (id, parameters) => {
    const mechanism = mechanismById(id)!;
    expect(courseOf(mechanism, seatsFor(mechanism, parameters, 2), 7, 200)!.leadChanges.mean).toBeGreaterThan(0);
  });
});
