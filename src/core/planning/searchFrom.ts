import { createRng } from '../shared/rng';
import { anneal, type OnProgress } from './anneal';
import { checkPlan } from './checkPlan';
import { exactModel } from './exactModel';
import { greedy } from './greedy';
import type { PlanInstance, Schedule } from './instance';
import type { SolveModel } from './linearModel';
import { objectiveOf } from './objective';
import { SearchState } from './searchState';

/** One start of the search: its number, the seed of the plan and how many moves it makes. */
export interface SearchOptions {
  readonly seed: number;
  readonly start: number;
  readonly moves: number;
  readonly onProgress?: OnProgress;
}

export interface Found {
  readonly schedule: Schedule;
  readonly objective: number;
  readonly stopped: boolean;
}

/** Nodes that seating anew may look at: a count, not a clock, so that the same plan comes out anywhere. */
const reseatNodes = 60;
/** Far more than it takes; only a solver that hangs is ended by it. */
const hangingSeconds = 20;
const noiseOf = (start: number): number => (start === 0 ? 0 : 0.3);

/**
 * Searches from one start: annealing from a greedy plan (the first start begins at `from`), then all tables as they
 * stand with all seats free as a mixed-integer programme. Never answers anything worth less than `from`. Freeing the
 * games of one round as well was tried round by round after it: two of twelve rounds of set C gained, in 1 to 10 s each;
 * half as many moves more bring more.
 */
export function searchFrom(instance: PlanInstance, solve: SolveModel, from: Schedule, options: SearchOptions): Found {
  const { seed, start, moves } = options;
  const rng = createRng(seed, 100 + start);
  let state = start === 0 ? null : greedy(instance, rng, noiseOf(start));
  if (!state) {
    state = new SearchState(instance);
    state.load(from);
  }
  let best: Schedule = from;
  let bestValue = objectiveOf(instance, from);
  let stopped = false;
  const better = (schedule: Schedule): void => {
    const value = objectiveOf(instance, schedule);
    if (value > bestValue && checkPlan(instance, schedule).length === 0) [best, bestValue] = [schedule, value];
  };
  const found = anneal(state, rng, moves, (share, value, incumbent) => {
    const goOn = options.onProgress?.(share, Math.max(value, bestValue), () => (value > bestValue ? incumbent() : best)) ?? true;
    stopped ||= !goOn;
    return goOn;
  });
  better(found.schedule);
  if (!stopped) better(reseat(instance, solve, best));
  return { schedule: best, objective: bestValue, stopped };
}

/** Seats to choose among, beyond which the programme takes longer than it brings. */
const mostSeats = 3000;

/** All tables as they stand, all seats free; the schedule itself where that is too many. */
export function reseat(instance: PlanInstance, solve: SolveModel, schedule: Schedule): Schedule {
  const seats = instance.learners * schedule.reduce((sum, round) => sum + new Set(round.map((t) => t.game)).size, 0);
  if (seats > mostSeats) return schedule;
  const fixed = exactModel(instance, { menu: schedule.map((round) => round.map((t) => t.game)) });
  const outcome = solve(fixed.model, { seconds: hangingSeconds, nodes: reseatNodes, relativeGap: 1e-5 });
  return outcome.values ? fixed.scheduleOf(outcome.values) : schedule;
}
