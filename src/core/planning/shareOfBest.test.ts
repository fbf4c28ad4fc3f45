import { describe, expect, it } from 'vitest';
import type { PlanInstance } from './instance';
import { bestAlone, sharesOfBest } from './shareOfBest';

/** Two learners, four games in three families, one gap each; a second unit is worth half. */
const instance: PlanInstance = {
  learners: 2,
  rounds: 2,
  tables: 1,
  helpers: 1,
  preparationMinutes: 99,
  stock: [],
  slopes: [1, 0.5],
  games: [0, 0, 1, 2].map((family) => ({ min: 1, max: 4, materials: [], helper: 0, preparation: 0, family })),
  gaps: [[10], [10]],
  value: [
    [0, 0, 0, -1],
    [0, 0, 0, 0],
  ],
  dose: [
    [[[0, 1]], [[0, 0.9]], [[0, 0.5]], null],
    [[[0, 0.1]], [], [[0, 0.2]], [[0, 2]]],
  ],
};

describe('the share of the best a child would have alone', () => {
  it('is of the best different games, each counted for what it adds', () => {
    // 10 for the first unit, then half a unit at half worth; the second game of a family and what is barred do not count.
    expect(bestAlone(instance, 0)).toBeCloseTo(12.5, 9);
    expect(bestAlone(instance, 1)).toBeCloseTo(15, 9);
    expect(bestAlone({ ...instance, rounds: 1 }, 0)).toBeCloseTo(10, 9);
  });
  it('leaves out the rounds in which a child rests', () => {
    expect(bestAlone({ ...instance, resting: [[0, 1]] }, 0)).toBeCloseTo(10, 9);
  });
  it('is told for each, and is whole where nothing could be given', () => {
    const schedule = [[{ game: 0, learners: [0, 1] }], [{ game: 2, learners: [0, 1] }]];
    const [first, second] = sharesOfBest(instance, schedule);
    expect(first).toBeCloseTo(1, 9);
    expect(second).toBeCloseTo(3 / 15, 9);
    expect(sharesOfBest({ ...instance, gaps: [[0], [10]] }, schedule)[0]).toBe(1);
    expect(sharesOfBest(instance, [[], []])).toEqual([0, 0]);
    // A seat at what is barred gives nothing.
    expect(sharesOfBest(instance, [[{ game: 3, learners: [0] }], []])[0]).toBe(0);
  });
});
