import { createRng } from '../shared/rng';
import { anneal } from './anneal';
import { boundModel } from './boundModel';
import { checkPlan } from './checkPlan';
import { diagnose, type Obstacle } from './diagnose';
import { exactModel } from './exactModel';
import { greedy } from './greedy';
import type { PlanInstance, Schedule } from './instance';
import type { SolveModel } from './linearModel';
import { objectiveOf } from './objective';
import { SearchState } from './searchState';

export interface PlanOptions {
  readonly seed: number;
  /** Rough budget; it is turned into a number of moves, so that the same seed gives the same plan. */
  readonly seconds: number;
  readonly onProgress?: (share: number, best: number) => boolean;
}

export interface PlanOutcome {
  readonly status: 'optimal' | 'good' | 'stopped-early' | 'infeasible';
  readonly schedule: Schedule;
  readonly objective: number;
  /** No schedule can be worth more than this. */
  readonly bound: number;
  readonly obstacles: readonly Obstacle[];
}

/** Seats × games below which the whole model is solved exactly. */
const exactSize = 420;
/** Moves a second that a modest machine makes. */
const movesPerSecond = 350_000;
const annealStarts = 5;
const greedyTries = 40;
/** Part of the budget that goes into tightening the bound. */
const boundShare = 0.5;
const optimalTolerance = 1e-6;

/**
 * Plans one session: who plays what with whom in each round. A linear programme gives the
 * bound; small sessions are solved exactly; larger ones by annealing from several greedy
 * starts, then with all tables fixed and all seats free as a mixed-integer programme.
 * Every result is checked independently before it is returned.
 */
export function planSession(instance: PlanInstance, solve: SolveModel, options: PlanOptions): PlanOutcome {
  const size = instance.learners * instance.rounds * instance.games.length;
  if (size <= exactSize && instance.rounds === 1) {
    const exact = exactModel(instance);
    const outcome = solve(exact.model, { seconds: Math.max(2, options.seconds) });
    if (outcome.status === 'infeasible') return infeasible(instance, solve);
    if (outcome.values) return finish(instance, exact.scheduleOf(outcome.values), outcome.bound, false);
  }
  const bound = boundOf(instance, solve, options.seconds);
  if (bound === null) return infeasible(instance, solve);
  const start = firstPlan(instance, solve, options.seed);
  if (!start) return infeasible(instance, solve);
  let best: Schedule = start;
  let bestValue = objectiveOf(instance, start);
  let stopped = false;
  const moves = Math.ceil((options.seconds * movesPerSecond) / annealStarts);
  for (let a = 0; a < annealStarts && !stopped && bestValue < bound - optimalTolerance; a++) {
    const rng = createRng(options.seed, 100 + a);
    let state = a === 0 ? null : greedy(instance, rng, 0.3);
    if (!state) {
      state = new SearchState(instance);
      state.load(best);
    }
    const found = anneal(state, rng, moves, (share) => {
      const goOn = options.onProgress?.((a + share) / annealStarts, bestValue) ?? true;
      stopped = !goOn;
      return goOn;
    });
    const value = objectiveOf(instance, found.schedule);
    if (value > bestValue && checkPlan(instance, found.schedule).length === 0) {
      best = found.schedule;
      bestValue = value;
    }
  }
  if (!stopped && bestValue < bound - optimalTolerance) best = reseat(instance, solve, best, bestValue);
  return finish(instance, best, bound, stopped);
}

/**
 * The linear bound first, then as much tighter as integrality brings in the time given; the
 * plan does not depend on it, so a slower machine only promises a little less.
 */
function boundOf(instance: PlanInstance, solve: SolveModel, seconds: number): number | null {
  const model = boundModel(instance);
  const linear = solve({ ...model, integer: model.integer.map(() => false) }, { seconds: 20 });
  if (linear.status === 'infeasible') return null;
  const whole = solve(model, { seconds: Math.max(0.2, seconds * boundShare), nodes: 1 });
  if (whole.status === 'infeasible') return null;
  return Number.isFinite(whole.bound) ? Math.min(linear.bound, whole.bound) : linear.bound;
}

/** All tables as they stand, all seats free. */
function reseat(instance: PlanInstance, solve: SolveModel, schedule: Schedule, value: number): Schedule {
  const fixed = exactModel(instance, { menu: schedule.map((round) => round.map((t) => t.game)) });
  const outcome = solve(fixed.model, { seconds: 4, relativeGap: 1e-5 });
  if (!outcome.values) return schedule;
  const better = fixed.scheduleOf(outcome.values);
  return checkPlan(instance, better).length === 0 && objectiveOf(instance, better) > value ? better : schedule;
}

/** A legal plan: greedy with growing noise, then the exact model without caring for worth. */
function firstPlan(instance: PlanInstance, solve: SolveModel, seed: number): Schedule | null {
  let best: Schedule | null = null;
  let bestValue = -Infinity;
  for (let i = 0; i < greedyTries; i++) {
    const state = greedy(instance, createRng(seed, i), i === 0 ? 0 : 0.2 + i / greedyTries);
    if (!state) continue;
    const schedule = state.schedule();
    if (checkPlan(instance, schedule).length > 0) continue;
    if (state.total() > bestValue) {
      best = schedule;
      bestValue = state.total();
    }
    if (i >= 8) break;
  }
  if (best) return best;
  const exact = exactModel(instance);
  const anyPlan = solve({ ...exact.model, cost: exact.model.cost.map(() => 0) }, { seconds: 8 });
  if (!anyPlan.values) return null;
  const schedule = exact.scheduleOf(anyPlan.values);
  return checkPlan(instance, schedule).length === 0 ? schedule : null;
}

function finish(instance: PlanInstance, schedule: Schedule, bound: number, stopped: boolean): PlanOutcome {
  const broken = checkPlan(instance, schedule);
  if (broken.length > 0) throw new Error(`A plan broke a rule: ${JSON.stringify(broken[0])}`);
  const objective = objectiveOf(instance, schedule);
  const proven = Math.max(bound, objective);
  const status = objective >= proven - optimalTolerance * Math.max(1, Math.abs(proven)) ? 'optimal' : stopped ? 'stopped-early' : 'good';
  return { status, schedule, objective, bound: proven, obstacles: [] };
}

function infeasible(instance: PlanInstance, solve: SolveModel): PlanOutcome {
  return { status: 'infeasible', schedule: [], objective: 0, bound: 0, obstacles: diagnose(instance, solve) };
}
