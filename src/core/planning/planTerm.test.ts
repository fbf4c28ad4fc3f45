import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import type { SolveModel } from './linearModel';
import { planTerm } from './planTerm';
import { child, graph, input, meeting, standing } from './smallTerm.testing';

let solve: SolveModel;
beforeAll(async () => {
  solve = await loadSolver();
});

describe('planning a term', () => {
  it('seats everybody in every round of every meeting, each within its bound', () => {
    const planned = planTerm(graph, input(), solve);
    expect(planned.map((m) => m.date)).toEqual(['2026-11-10', '2026-11-17', '2026-11-24']);
    for (const m of planned) {
      expect(['optimal', 'good']).toContain(m.status);
      expect(m.objective).toBeLessThanOrEqual(m.bound + 1e-9);
      for (const round of m.rounds) {
        expect(round.tables.flatMap((t) => t.seats.map((s) => s.learner)).sort()).toEqual(['a', 'b', 'c', 'd']);
        expect(round.tables.filter((t) => t.game === 'lamps' || t.game === 'bees').length).toBeLessThanOrEqual(1);
      }
    }
  });

  it('carries mastery forward, so that worth falls as practice is planned', () => {
    const planned = planTerm(
      graph,
      input({ meetings: Array.from({ length: 5 }, (_, i) => meeting(`2026-1${i < 3 ? 1 : 2}-0${(i % 3) + 1}`)) }),
      solve,
    );
    expect(planned.at(-1)!.objective).toBeLessThan(planned[0]!.objective);
  });

  it('leaves the absent out and keeps locks and rests of the first meeting', () => {
    const [first, second] = planTerm(
      graph,
      input({
        meetings: [meeting('2026-11-10'), meeting('2026-11-17', ['a', 'b'])],
        locks: [{ learner: 'a', round: 0, game: 'clock' }],
        resting: [{ learner: 'd', round: 1 }],
      }),
      solve,
    );
    expect(first!.rounds[0]!.tables.find((t) => t.game === 'clock')!.seats.map((s) => s.learner)).toContain('a');
    expect(first!.rounds[1]!.resting).toEqual(['d']);
    expect(second!.rounds[0]!.tables.flatMap((t) => t.seats.map((s) => s.learner)).sort()).toEqual(['a', 'b']);
  });

  it('gives every seat its reason, and the nearest thing where nothing is ready', () => {
    const hard = { ...child('z'), skills: standing(graph.skills.map(() => 1e-6)) };
    const [m] = planTerm(
      graph,
      input({ learners: [...['a', 'b', 'c'].map(child), hard], meetings: [meeting('2026-11-10', ['a', 'b', 'c', 'z'])] }),
      solve,
    );
    const seats = m!.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats));
    expect(seats.filter((s) => s.learner === 'z').every((s) => s.stretched)).toBe(true);
    for (const s of seats.filter((x) => x.learner !== 'z')) expect(s.skill).not.toBeNull();
  });

  it('names the material that stands in the way', () => {
    const [m] = planTerm(
      graph,
      input({
        meetings: [meeting('2026-11-10')],
        stock: [
          ['deck', 0],
          ['die', 0],
        ],
      }),
      solve,
    );
    expect(m!.status).toBe('infeasible');
    expect(m!.rounds.flatMap((r) => r.tables)).toEqual([]);
    expect(m!.missing).toMatchObject({ unseatedAfter: 0, steps: [{ relax: 'stock', kind: 'die', by: 1 }] });
    // One die more is all it takes.
    const stock: [string, number][] = [
      ['deck', 0],
      ['die', 1],
    ];
    const [again] = planTerm(graph, input({ meetings: [meeting('2026-11-10')], stock }), solve);
    expect(again!.missing).toBeNull();
  });

  it('makes the same plan for the same seed', () => {
    expect(planTerm(graph, input(), solve).map((m) => m.rounds)).toEqual(planTerm(graph, input(), solve).map((m) => m.rounds));
  });
});
