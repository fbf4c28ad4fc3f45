import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import type { PlanInstance } from './instance';
import type { SolveModel } from './linearModel';
import { planSession } from './planSession';

let solve: SolveModel;
beforeAll(async () => void (solve = await loadSolver()));

/** Tables of `size` where all that counts is to meet somebody new; nobody meets the same twice without losing by it. */
function mixing(learners: number, size: number, rounds: number): PlanInstance {
  const pairs = Array.from({ length: learners }, (_, x) => Array.from({ length: x }, (_, y): [number, number] => [x, y])).flat();
  const games = Array.from({ length: rounds }, () => ({ min: size, max: size, materials: [], helper: 0, preparation: 0 }));
  return {
    learners,
    rounds,
    tables: learners / size,
    helpers: 0,
    preparationMinutes: 0,
    stock: [],
    slopes: [1],
    games,
    gaps: Array.from({ length: learners }, () => []),
    value: Array.from({ length: learners }, () => games.map(() => 0)),
    dose: Array.from({ length: learners }, () => games.map(() => [])),
    aims: { together: pairs.map((pair) => ({ pair, worth: [1, ...Array<number>(rounds).fill(-1)] })) },
  };
}
const pairsOf = (n: number): number => (n * (n - 1)) / 2;

describe('everyone with everyone', () => {
  // Affine planes of order 3 and 4: nine in threes meet in four rounds, sixteen in fours in five. T. P. Kirkman 1850:
  // fifteen in threes in seven rounds.
  it.each([
    [9, 3, 4, 200_000],
    [16, 4, 5, 2_000_000],
  ])('%i at tables of %i meet all others once in %i rounds', (learners, size, rounds, moves) => {
    const { objective, status, bound } = planSession(mixing(learners, size, rounds), solve, { seed: 1, moves });
    expect(objective).toBe(pairsOf(learners));
    expect(bound).toBe(pairsOf(learners));
    expect(status).toBe('optimal');
  });
  it('fifteen at tables of three meet all others once in seven rounds', () => {
    const instance = mixing(15, 3, 7);
    let best = 0;
    for (let seed = 1; seed <= 6 && best < pairsOf(15); seed++)
      best = Math.max(best, planSession(instance, solve, { seed, moves: 1_500_000 }).objective);
    expect(best).toBe(pairsOf(15));
  });
  it('plays every pair once at tables of two, in a round robin', () => {
    const { objective, schedule } = planSession(mixing(8, 2, 7), solve, { seed: 1, moves: 400_000 });
    expect(objective).toBe(pairsOf(8));
    expect(new Set(schedule.flat().map((t) => [...t.learners].sort((x, y) => x - y).join())).size).toBe(28);
  });
});
