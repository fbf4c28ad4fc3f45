import { describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { createRng } from '../shared/rng';
import { anneal } from './anneal';
import { boundModel } from './boundModel';
import { checkPlan } from './checkPlan';
import { greedy } from './greedy';
import type { PlanInstance } from './instance';
import { tight } from './instances.testing';
import { objectiveOf } from './objective';
import { SearchState, scheduleFrom } from './searchState';

const seeds = Array.from({ length: 12 }, (_, i) => 100 + i);
const begin = (instance: PlanInstance, seed: number): SearchState | null => {
  for (let i = 0; i < 12; i++) {
    const state = greedy(instance, createRng(seed, i), 0.1 * i);
    if (state) return state;
  }
  return null;
};

describe('the first plan', () => {
  it('keeps every rule, whoever it could seat', () => {
    const found = seeds.map((s) => begin(tight(s), s));
    expect(found.filter((s) => s !== null).length).toBeGreaterThan(8);
    for (const state of found) if (state) expect(checkPlan(state.instance, state.schedule())).toEqual([]);
  });
});

describe('moves', () => {
  it.each(seeds)('keep every rule and count right, and never end below where they began (%i)', (seed) => {
    const state = begin(tight(seed), seed);
    if (!state) return;
    const before = objectiveOf(state.instance, state.schedule());
    const { schedule, value } = anneal(state, createRng(seed, 7), 30_000);
    expect(checkPlan(state.instance, schedule)).toEqual([]);
    expect(objectiveOf(state.instance, schedule)).toBeCloseTo(value, 6);
    expect(value).toBeGreaterThanOrEqual(before - 1e-9);
    // What they leave behind keeps the rules too, and its books agree with it.
    expect(checkPlan(state.instance, state.schedule())).toEqual([]);
    expect(state.total).toBeCloseTo(objectiveOf(state.instance, state.schedule()), 6);
  });
  it('come from a first plan that fills up tables which one fixed child opens', () => {
    let tried = 0;
    for (const seed of seeds)
      for (let game = 0; game < 12; game++) {
        const instance = tight(seed);
        const learner = instance.value.findIndex((row) => row[game]! >= 0);
        const state = begin(tight(seed, [{ learner, round: 0, game }]), seed);
        if (!state) continue;
        tried++;
        expect(checkPlan(state.instance, state.schedule())).toEqual([]);
      }
    expect(tried).toBeGreaterThan(40);
  });
  it('leave what is fixed where it is', () => {
    let tried = 0;
    for (const seed of seeds) {
      const free = begin(tight(seed), seed);
      if (!free) continue;
      const at = free.schedule()[1]![0]!;
      const locks = at.learners.map((learner) => ({ learner, round: 1, game: at.game }));
      const state = begin(tight(seed, locks), seed);
      if (!state) continue;
      tried++;
      const { schedule } = anneal(state, createRng(seed, 8), 30_000);
      expect(checkPlan(state.instance, schedule)).toEqual([]);
      for (const { learner } of locks) expect(schedule[1]!.find((t) => t.learners.includes(learner))!.game).toBe(at.game);
    }
    expect(tried).toBeGreaterThan(4);
  });
});

describe('the rules', () => {
  it('say when a table is too small or too large, and for whom a game is not', () => {
    const instance: PlanInstance = {
      ...tight(1),
      learners: 6,
      rounds: 1,
      resting: [],
      locks: [],
      games: tight(1).games.map((g) => ({ ...g, min: 2, max: 3, materials: [], helper: 0, preparation: 0 })),
      value: tight(1)
        .value.slice(0, 6)
        .map((row, l) => row.map((_, g) => (l === 5 && g === 1 ? -1 : 0))),
    };
    const rules = (tables: { game: number; learners: number[] }[]): string[] => checkPlan(instance, [tables]).map((v) => v.rule);
    expect(
      rules([
        { game: 0, learners: [0, 1, 2] },
        { game: 1, learners: [3, 4] },
        { game: 2, learners: [5] },
      ]),
    ).toEqual(['size']);
    expect(
      rules([
        { game: 0, learners: [0, 1, 2, 3] },
        { game: 2, learners: [4, 5] },
      ]),
    ).toEqual(['size']);
    expect(
      rules([
        { game: 0, learners: [0, 1, 2] },
        { game: 2, learners: [3, 4, 5] },
      ]),
    ).toEqual([]);
    expect(
      rules([
        { game: 0, learners: [0, 1, 2] },
        { game: 1, learners: [3, 4, 5] },
      ]),
    ).toEqual(['eligible']);
    expect(
      rules([
        { game: 0, learners: [0, 1, 2] },
        { game: 2, learners: [3, 4] },
      ]),
    ).toEqual(['placed']);
  });
});

describe('a search state', () => {
  it('tells its tables and who sits where', () => {
    const game = Int32Array.of(3, -1, 5, 4);
    const seat = Int32Array.of(0, 1, 0, 0, -1, 1);
    expect(scheduleFrom(game, seat, 3, 2, 2)).toEqual([
      [{ game: 3, learners: [0, 1] }],
      [
        { game: 5, learners: [1] },
        { game: 4, learners: [0, 2] },
      ],
    ]);
  });
  it('takes in a schedule whole', () => {
    const seed = seeds.find((s) => begin(tight(s), s) !== null)!;
    const state = begin(tight(seed), seed)!;
    const other = new SearchState(state.instance);
    other.load(state.schedule());
    expect(other.schedule()).toEqual(state.schedule());
    expect(other.total).toBeCloseTo(state.total, 9);
    expect(other.preparationLeft()).toBeCloseTo(state.preparationLeft(), 9);
  });
});

describe('the bound', () => {
  it('is what one learner can have of one gap, no more and no less', async () => {
    const solve = await loadSolver();
    const one = (dose: PlanInstance['dose'][number]): number =>
      solve(
        boundModel({
          learners: 1,
          rounds: 1,
          tables: 1,
          helpers: 0,
          preparationMinutes: 9,
          stock: [],
          slopes: [1],
          games: dose.map(() => ({ min: 1, max: 1, materials: [], helper: 0, preparation: 0 })),
          gaps: [[1]],
          value: [dose.map((d) => (d === null ? -1 : 0))],
          dose: [dose],
        }),
        { seconds: 5 },
      ).objective;
    expect(one([[[0, 0.5]], [], null])).toBeCloseTo(0.5, 9);
    expect(one([[], [], null])).toBeCloseTo(0, 9);
    expect(one([[[0, 0.2]], [[0, 0.7]], null])).toBeCloseTo(0.7, 9);
  });
});
