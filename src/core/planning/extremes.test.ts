import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { below, createRng, uniform } from '../shared/rng';
import { checkPlan } from './checkPlan';
import type { PlanInstance } from './instance';
import { tight } from './instances.testing';
import type { SolveModel } from './linearModel';
import { planSession, prepare } from './planSession';

let solve: SolveModel;
beforeAll(async () => void (solve = await loadSolver()));
const options = { seed: 1, moves: 5000 };

function session(learners: number, rounds: number, games: number, more: Partial<PlanInstance> = {}): PlanInstance {
  const rng = createRng(learners * 1000 + games);
  const each = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => make(i));
  return {
    learners,
    rounds,
    tables: Math.ceil(learners / 3),
    helpers: 4,
    preparationMinutes: 120,
    stock: [40],
    slopes: [1, 0.5],
    games: each(games, () => ({ min: 2, max: 3 + below(rng, 2), materials: [[0, 1]], helper: 0, preparation: below(rng, 4) })),
    gaps: each(learners, () => [1, 0.5]),
    value: each(learners, () => each(games, () => (uniform(rng) < 0.3 ? -1 : uniform(rng) / 10))),
    dose: each(learners, () => each(games, () => [[below(rng, 2), uniform(rng)]])),
    ...more,
  };
}

describe('sessions at the edge', () => {
  it.each([
    ['sixty children in six rounds', () => session(60, 6, 80)],
    ['five thousand games', () => session(8, 2, 5000)],
    [
      'one child',
      () => session(1, 2, 4, { games: [1, 2, 3, 4].map(() => ({ min: 1, max: 2, materials: [], helper: 0, preparation: 0 })) }),
    ],
  ])('%s have a plan in which everybody sits', (_name, make) => {
    const instance = make();
    const { status, schedule, objective, bound } = planSession(instance, solve, options);
    expect(['good', 'optimal']).toContain(status);
    expect(checkPlan(instance, schedule)).toEqual([]);
    expect(schedule.flat().reduce((sum, t) => sum + t.learners.length, 0)).toBe(instance.learners * instance.rounds);
    expect(objective).toBeLessThanOrEqual(bound + 1e-9);
  });
  it('nobody present is no session, and no fault', () => {
    const { status, schedule } = planSession(session(0, 3, 4), solve, options);
    expect(status).toBe('optimal');
    expect(schedule).toEqual([[], [], []]);
  });
  it.each<[string, () => PlanInstance, string | null]>([
    ['no table', () => ({ ...session(6, 1, 8), tables: 0 }), 'tables'],
    ['nothing to play with', () => ({ ...session(6, 1, 8), stock: [0] }), 'stock'],
    ['every game barred', () => ({ ...session(6, 1, 8), value: session(6, 1, 8).value.map((row) => row.map(() => -1)) }), null],
    ['no game at all', () => session(6, 1, 0), null],
    [
      'not a minute to get ready',
      () => ({ ...session(6, 1, 8), preparationMinutes: 0, games: session(6, 1, 8).games.map((g) => ({ ...g, preparation: 5 })) }),
      'preparation',
    ],
  ])('%s: nobody sits, and it is said what would help', (_name, make, relax) => {
    const { status, diagnosis, schedule } = planSession(make(), solve, options);
    expect(status).toBe('infeasible');
    expect(schedule.flat()).toEqual([]);
    expect(diagnosis!.unseatedBefore).toBe(6);
    expect(diagnosis!.relax.map((x) => x.relax)).toEqual(relax === null ? [] : [relax]);
    expect(diagnosis!.unseatedAfter).toBe(relax === null ? 6 : 0);
  });
  it('more children than seats: as many sit as can, and nobody rests twice before all did once', () => {
    const crowded = { ...session(9, 3, 12), tables: 2, games: session(9, 3, 12).games.map((g) => ({ ...g, max: 3, preparation: 0 })) };
    const { status, schedule, diagnosis } = planSession(crowded, solve, { seed: 1, moves: 40_000 });
    expect(status).toBe('partial');
    expect(diagnosis!.unseatedBefore).toBe(9);
    const rests = Array.from({ length: 9 }, (_, l) => schedule.filter((r) => !r.some((t) => t.learners.includes(l))).length);
    expect(rests).toEqual(Array<number>(9).fill(1));
    // Who rested lately sits.
    const fair = planSession({ ...crowded, rounds: 1, rested: [3, 3, 3, 0, 0, 0, 0, 0, 0] }, solve, { seed: 1, moves: 40_000 });
    expect(fair.schedule.flat().flatMap((t) => t.learners)).toEqual(expect.arrayContaining([0, 1, 2]));
  });
  it('more children than the tables hold: that needs no solver, and is told at once', () => {
    let asked = 0;
    const counting: SolveModel = (model, how) => {
      if (model.integer.some(Boolean)) asked++;
      return solve(model, how);
    };
    const full = { ...session(9, 2, 12), tables: 2, games: session(9, 2, 12).games.map((g) => ({ ...g, max: 4, preparation: 0 })) };
    const ready = prepare(full, counting, { seed: 1 });
    expect(ready).toMatchObject({ partial: true, rest: 'search', diagnosis: { unseatedBefore: 2, relax: [{ relax: 'tables', by: 1 }] } });
    expect(ready.first!.map((round) => round.flatMap((t) => t.learners).length)).toEqual([8, 8]);
    expect(prepare(full, counting, { seed: 1, wholeOnly: true })).toMatchObject({ first: null, rest: 'none' });
    expect(asked).toBe(0);
    // Who stays away from a round takes no seat in it.
    expect(prepare({ ...full, resting: [[0, 0]] }, counting, { seed: 1 }).diagnosis!.unseatedBefore).toBe(1);
    expect(
      prepare(
        {
          ...full,
          resting: [
            [0, 0],
            [3, 1],
          ],
        },
        counting,
        { seed: 1 },
      ),
    ).toMatchObject({ partial: false });
  });
  it('what is wished gives way before what is there, and is named', () => {
    const open = session(6, 1, 3);
    const base = { ...open, value: open.value.map((row) => row.map(() => 0.1)), dose: open.dose.map((row) => row.map(() => [])) };
    const games = base.games.map((g) => ({ ...g, max: 3, preparation: 0, loud: true }));
    const lively = planSession({ ...base, tables: 2, games, aims: { loud: 1 } }, solve, options);
    expect(lively.diagnosis).toMatchObject({ unseatedBefore: 3, unseatedAfter: 0, relax: [{ relax: 'lively' }] });
    const one = { ...base, tables: 1, games: games.map((g) => ({ ...g, max: 6 })) };
    expect(planSession({ ...one, aims: { apart: [[0, 1]] } }, solve, options).diagnosis).toMatchObject({ relax: [{ relax: 'apart' }] });
    // With another table beside it, where both stand in the way; alone, where no wish does.
    const crowded = planSession({ ...base, tables: 1, games, aims: { loud: 1, apart: [[0, 1]] } }, solve, options);
    expect(crowded.diagnosis!.relax.map((r) => r.relax)).toEqual(['lively', 'tables']);
    const calm = { ...base, tables: 1, games: games.map((g) => ({ ...g, loud: false })), aims: { loud: 1, apart: [[0, 1]] as const } };
    expect(planSession(calm, solve, options).diagnosis!.relax.map((r) => r.relax)).toEqual(['tables']);
  });
  it('a solver that falls over costs the bound and the last improvement, not the plan', () => {
    const broken: SolveModel = () => {
      throw new Error('out of memory');
    };
    const instance = tight(200);
    const { status, schedule, objective, bound } = planSession(instance, broken, { seed: 1, moves: 20_000 });
    expect(status).toBe('good');
    expect(checkPlan(instance, schedule)).toEqual([]);
    expect(bound).toBeGreaterThanOrEqual(objective);
    // What would help is found by trying then.
    expect(planSession({ ...instance, tables: 0 }, broken, options)).toMatchObject({
      status: 'infeasible',
      diagnosis: { relax: [{ relax: 'tables' }] },
    });
  });
});
