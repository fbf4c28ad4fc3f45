import { exactModel, restPenalty } from './exactModel';
import type { PlanInstance } from './instance';
import type { SolveModel } from './linearModel';

/** What would let everyone sit down, and how many seats are missing as things are. */
export interface Obstacle {
  readonly relax: 'tables' | 'helpers' | 'stock' | 'preparation' | 'locks' | 'repeats' | 'games';
  readonly kind?: number;
  /** Learner-rounds without a seat before and after relaxing this alone. */
  readonly unseatedBefore: number;
  readonly unseatedAfter: number;
}

const secondsEach = 3;

/**
 * Why nothing fits: relaxes one rule at a time in the elastic model and reports the rules
 * whose relaxing seats more learners.
 */
export function diagnose(instance: PlanInstance, solve: SolveModel): Obstacle[] {
  const before = unseated(instance, solve);
  const trials: { relax: Obstacle['relax']; kind?: number; instance: PlanInstance }[] = [
    { relax: 'locks', instance: { ...instance, locks: [] } },
    { relax: 'tables', instance: { ...instance, tables: instance.tables + 1 } },
    { relax: 'helpers', instance: { ...instance, helpers: instance.helpers + 1 } },
    { relax: 'preparation', instance: { ...instance, preparationMinutes: 1e6 } },
    ...instance.stock.map((_, kind) => ({
      relax: 'stock' as const,
      kind,
      instance: { ...instance, stock: instance.stock.map((q, k) => (k === kind ? q + 2 : q)) },
    })),
    {
      relax: 'repeats',
      instance: {
        ...instance,
        games: instance.games.flatMap((g, i) => Array.from({ length: instance.rounds }, (_, c) => ({ ...g, family: i * 10 + c }))),
        value: instance.value.map((row) => row.flatMap((v) => Array<number>(instance.rounds).fill(v))),
        dose: instance.dose.map((row) => row.flatMap((d) => Array(instance.rounds).fill(d) as (typeof d)[])),
        locks: [],
      },
    },
  ];
  const found: Obstacle[] = [];
  for (const { relax, kind, instance: relaxed } of trials) {
    if (relax === 'locks' && !instance.locks?.length) continue;
    const after = unseated(relaxed, solve);
    if (after < before) found.push({ relax, kind, unseatedBefore: before, unseatedAfter: after });
  }
  if (found.length === 0) found.push({ relax: 'games', unseatedBefore: before, unseatedAfter: before });
  return found.sort((x, y) => x.unseatedAfter - y.unseatedAfter);
}

function unseated(instance: PlanInstance, solve: SolveModel): number {
  const { model } = exactModel(instance, { elastic: true });
  // Only the missing seats count here, not the worth of the plan.
  const cost = model.cost.map((c) => (c === -restPenalty ? -1 : 0));
  const outcome = solve({ ...model, cost }, { seconds: secondsEach });
  return outcome.values ? Math.max(0, Math.round(-outcome.objective)) + 0 : instance.learners * instance.rounds;
}
