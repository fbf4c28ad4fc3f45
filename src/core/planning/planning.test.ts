import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { createRng } from '../shared/rng';
import { boundModel } from './boundModel';
import { checkPlan } from './checkPlan';
import { exactModel } from './exactModel';
import { greedy } from './greedy';
import { anneal } from './anneal';
import { familyOf, type PlanInstance, type Schedule } from './instance';
import { lpText, type SolveModel } from './linearModel';
import { gapWorth, objectiveOf } from './objective';
import { planSession } from './planSession';

let solve: SolveModel;
beforeAll(async () => {
  solve = await loadSolver();
});

const smallInstance = fc
  .record({
    learners: fc.integer({ min: 2, max: 4 }),
    rounds: fc.integer({ min: 1, max: 2 }),
    tables: fc.integer({ min: 1, max: 2 }),
    helpers: fc.integer({ min: 0, max: 1 }),
    preparationMinutes: fc.integer({ min: 5, max: 20 }),
    games: fc.integer({ min: 2, max: 4 }),
    seed: fc.integer({ min: 1, max: 1e6 }),
  })
  .map(({ seed, games, ...rest }): PlanInstance => {
    const rng = createRng(seed);
    const roll = (n: number): number => Math.floor(((rng.counter++, createRng(seed, rng.counter).keyA) >>> 0) % n);
    const gaps = Array.from({ length: rest.learners }, () => [1, 0.5]);
    return {
      ...rest,
      stock: [1, 2],
      slopes: [1, 0.5, 0.2],
      games: Array.from({ length: games }, () => ({
        min: 1 + roll(2),
        max: 2 + roll(3),
        materials: [[roll(2), 1]] as [number, number][],
        helper: roll(3) === 0 ? 1 : 0,
        preparation: roll(8),
      })),
      gaps,
      value: gaps.map(() => Array.from({ length: games }, () => (roll(6) === 0 ? -1 : roll(10) / 10))),
      dose: gaps.map(() => Array.from({ length: games }, () => [[roll(2), [0.5, 1][roll(2)]!]] as [number, number][])),
    };
  });

/** Best worth by trying every seat of every learner in every round; −1 when nothing fits. */
function bruteForce(instance: PlanInstance): number {
  const { learners: L, rounds: R, games, tables: S } = instance;
  const slots = L * R;
  const choice = new Array<number>(slots).fill(0);
  let best = -1;
  const tablesNeeded = (g: number, n: number): number => Math.ceil(n / games[g]!.max);
  const visit = (i: number): void => {
    if (i < slots) {
      for (let g = 0; g < games.length; g++) {
        choice[i] = g;
        visit(i + 1);
      }
      return;
    }
    const schedule: Schedule = Array.from({ length: R }, (_, r) =>
      games.flatMap((_, g) => {
        const seated = Array.from({ length: L }, (_, l) => l).filter((l) => choice[l * R + r] === g);
        const n = seated.length ? tablesNeeded(g, seated.length) : 0;
        return Array.from({ length: n }, (_, t) => ({ game: g, learners: seated.filter((_, k) => k % n === t) }));
      }),
    );
    if (schedule.some((round) => round.length > S) || checkPlan(instance, schedule).length > 0) return;
    best = Math.max(best, objectiveOf(instance, schedule));
  };
  visit(0);
  return best;
}

describe('the session model', () => {
  it('agrees with trying everything on small sessions', () => {
    fc.assert(
      fc.property(smallInstance, (instance) => {
        fc.pre(instance.games.length ** (instance.learners * instance.rounds) <= 70_000);
        const want = bruteForce(instance);
        const exact = exactModel(instance);
        const outcome = solve(exact.model, { seconds: 10 });
        if (want < 0) {
          expect(outcome.status).toBe('infeasible');
          expect(planSession(instance, solve, { seed: 1, seconds: 0.1 }).status).toBe('infeasible');
          return;
        }
        expect(outcome.status).toBe('optimal');
        const schedule = exact.scheduleOf(outcome.values!);
        expect(checkPlan(instance, schedule)).toEqual([]);
        expect(objectiveOf(instance, schedule)).toBeCloseTo(want, 6);
        expect(solve(boundModel(instance), { seconds: 10 }).bound).toBeGreaterThanOrEqual(want - 1e-6);
        const planned = planSession(instance, solve, { seed: 1, seconds: 0.1 });
        expect(planned.objective).toBeLessThanOrEqual(want + 1e-6);
        expect(planned.objective).toBeGreaterThanOrEqual(want * 0.9 - 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('solves the smallest bench instance to its proven optimum', () => {
    const a1 = JSON.parse(readFileSync('bench/planning-instances/A1.json', 'utf8')) as PlanInstance & { provenOptimum: number };
    const outcome = planSession(a1, solve, { seed: 1, seconds: 1 });
    expect(outcome).toMatchObject({ status: 'optimal' });
    expect(outcome.objective).toBeCloseTo(a1.provenOptimum, 6);
  });

  it('plans the same for the same seed, and within its bound', () => {
    const b1 = JSON.parse(readFileSync('bench/planning-instances/B1.json', 'utf8')) as PlanInstance & { bound: number };
    const first = planSession(b1, solve, { seed: 3, seconds: 0.3 });
    expect(planSession(b1, solve, { seed: 3, seconds: 0.3 }).schedule).toEqual(first.schedule);
    expect(first.objective).toBeLessThanOrEqual(first.bound + 1e-9);
    expect(first.bound / b1.bound).toBeLessThan(1.05);
    expect(checkPlan(b1, first.schedule)).toEqual([]);
  });

  it('keeps locks and rests', () => {
    const b1 = JSON.parse(readFileSync('bench/planning-instances/B1.json', 'utf8')) as PlanInstance;
    const free = planSession(b1, solve, { seed: 3, seconds: 0.1 });
    const table = free.schedule[1]![0]!;
    const locks = table.learners.map((learner) => ({ learner, round: 1, game: table.game }));
    const away = Array.from({ length: b1.learners }, (_, l) => l).find((l) => !table.learners.includes(l))!;
    const again = planSession({ ...b1, locks, resting: [[away, 0]] }, solve, { seed: 4, seconds: 0.1 });
    expect(checkPlan({ ...b1, locks, resting: [[away, 0]] }, again.schedule)).toEqual([]);
    expect(again.schedule[1]!.some((t) => t.game === table.game && table.learners.every((l) => t.learners.includes(l)))).toBe(true);
    expect(again.schedule[0]!.some((t) => t.learners.includes(away))).toBe(false);
  });

  it('says which rule to relax when nothing fits', () => {
    const base: PlanInstance = {
      learners: 4,
      rounds: 1,
      tables: 1,
      helpers: 0,
      preparationMinutes: 10,
      stock: [5],
      slopes: [1],
      games: [{ min: 2, max: 3, materials: [[0, 1]], helper: 0, preparation: 0 }],
      gaps: [[1], [1], [1], [1]],
      value: [[0], [0], [0], [0]],
      dose: [[[]], [[]], [[]], [[]]],
    };
    expect(planSession(base, solve, { seed: 1, seconds: 0.1 })).toMatchObject({
      status: 'infeasible',
      obstacles: [{ relax: 'tables', unseatedBefore: 1, unseatedAfter: 0 }],
    });
    const oneDeck = { ...base, tables: 2, stock: [1] };
    expect(planSession(oneDeck, solve, { seed: 1, seconds: 0.1 }).obstacles[0]).toMatchObject({ relax: 'stock', kind: 0 });
  });
});

describe('the independent check', () => {
  const b1 = JSON.parse(readFileSync('bench/planning-instances/B1.json', 'utf8')) as PlanInstance;
  const good = greedy(b1, createRng(1), 0)!.schedule();
  const rules = (schedule: Schedule, instance: PlanInstance = b1): string[] => [
    ...new Set(checkPlan(instance, schedule).map((v) => v.rule)),
  ];

  it('accepts a greedy plan and every step of annealing from it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const state = greedy(b1, createRng(seed), 0.4);
        fc.pre(state !== null);
        const before = state.total();
        const found = anneal(state, createRng(seed, 1), 4000);
        expect(checkPlan(b1, state.schedule())).toEqual([]);
        expect(checkPlan(b1, found.schedule)).toEqual([]);
        expect(objectiveOf(b1, found.schedule)).toBeCloseTo(found.value, 6);
        expect(found.value).toBeGreaterThanOrEqual(before - 1e-9);
      }),
      { numRuns: 15 },
    );
  });

  it('finds a missing child, a doubled child, a repeat, a crowd and too little of everything', () => {
    expect(rules(good)).toEqual([]);
    const dropped = good.map((round, r) =>
      r === 0 ? round.map((t, i) => (i === 0 ? { ...t, learners: t.learners.slice(1) } : t)) : round,
    );
    expect(rules(dropped)).toContain('placed');
    expect(rules([good[0]!, good[0]!, good[2]!])).toContain('repeat');
    expect(rules(good.slice(0, 2))).toContain('rounds');
    const all = Array.from({ length: b1.learners }, (_, l) => l);
    expect(rules([[{ game: 0, learners: all }], good[1]!, good[2]!])).toEqual(expect.arrayContaining(['size']));
    expect(rules(good, { ...b1, tables: 1, helpers: 0, stock: b1.stock.map(() => 0), preparationMinutes: 0 })).toEqual(
      expect.arrayContaining(['tables', 'stock', 'preparation']),
    );
    const game = good[0]!.find((t) => t.learners.length > 0)!;
    const barred = { ...b1, value: b1.value.map((row, l) => row.map((v, g) => (l === game.learners[0] && g === game.game ? -1 : v))) };
    expect(rules(good, barred)).toContain('eligible');
    expect(rules(good, { ...b1, locks: [{ learner: game.learners[0]!, round: 1, game: game.game }] })).toContain('lock');
  });

  it('counts diminishing worth and families', () => {
    expect(gapWorth([1, 0.5, 0.2], 0.5)).toBe(0.5);
    expect(gapWorth([1, 0.5, 0.2], 2.5)).toBeCloseTo(1.6, 12);
    expect(familyOf(b1, 3)).toBe(3);
  });

  it('writes its model as LP text for a solver outside', () => {
    const text = lpText(
      exactModel({ ...b1, learners: 2, gaps: b1.gaps.slice(0, 2), value: b1.value.slice(0, 2), dose: b1.dose.slice(0, 2), rounds: 1 })
        .model,
    );
    expect(text).toMatch(/^Maximize\n obj: /);
    expect(text).toMatch(/\nGeneral\n .*x0/);
    expect(text.trimEnd().endsWith('End')).toBe(true);
  });
});
