import { createRng } from '../shared/rng';
import { boundModel, mostTogether } from './boundModel';
import { checkPlan } from './checkPlan';
import { diagnose, type Diagnosis } from './diagnose';
import { exactModel } from './exactModel';
import { greedy, greedyKeeping } from './greedy';
import { type PlanInstance, rests, type Schedule } from './instance';
import { carefully, type SolveModel } from './linearModel';
import { learnerValue, objectiveOf } from './objective';
import { type Found, searchFrom } from './searchFrom';
import { seatModel } from './seatModel';

export interface PlanOptions {
  readonly seed: number;
  /** Moves of each start. The same number gives the same plan on every machine; a slow one takes longer. */
  readonly moves: number;
  /** Only a plan that seats everybody is of use; where there is none that is answered without a search or the reasons. */
  readonly wholeOnly?: boolean;
  readonly onProgress?: (share: number, best: number) => boolean;
}

export interface PlanOutcome {
  readonly status: 'optimal' | 'good' | 'stopped-early' | 'partial' | 'infeasible';
  readonly schedule: Schedule;
  readonly objective: number;
  /** No schedule can be worth more than this. */
  readonly bound: number;
  /** Why not all find a seat; null where they do. */
  readonly diagnosis: Diagnosis | null;
}

/** Independent searches of which the best is taken. */
export const starts = 2;
/** Moves of one start in the work that is called a second; with a whole shelf a machine of today makes about so many in one. */
export const movesPerSecond = 400_000;

/** Seats × games below which a round is solved exactly. */
const exactSize = 420;
/** The same with several rounds, whose orders are all alike to the solver: only where there is next to nothing to choose. */
const tinySize = 120;
const exactNodes = 2000;
/** Fewest seats missing: what the search does not do better anyway is not waited for. */
const partlyNodes = 50;
const partlySeconds = 4;
const greedyTries = 40;
const enoughTries = 8;
/** On larger sessions the first legal plan is enough to begin with: seats × games. */
const largeSize = 10_000;
const optimalTolerance = 1e-6;
/** A missing seat costs so many times the best that anybody could play, and so much more for each round rested lately. */
const restWorths = 20;
const restedMore = 0.25;
/** Far more than it takes; only a solver that hangs is ended by it. */
const hangingSeconds = 20;

/** A session made ready to be searched: a first legal plan, and what stood in the way of a whole one. */
export interface Prepared {
  readonly instance: PlanInstance;
  /** Null where not even a part of a session can be had. */
  readonly first: Schedule | null;
  /** Why not all find a seat; null where they do. */
  readonly diagnosis: Diagnosis | null;
  /** How much is left to do: nothing where the plan is proven best, or is of no use to whoever asked. */
  readonly rest: 'search' | 'none';
  /** Not all find a seat. */
  readonly partial: boolean;
}

/** A plan to begin with, from which a search may go on. */
export type Searchable = Prepared & { readonly first: Schedule; readonly rest: 'search' };
export const isSearched = (ready: Prepared): ready is Searchable => ready.rest === 'search' && ready.first !== null;

/**
 * Plans one session: who plays what with whom in each round. Small sessions are solved exactly; larger ones by
 * annealing from several greedy starts, each followed by a mixed-integer programme with all tables fixed and all
 * seats free. Where not all find a seat, the plan seats as many as can be and says what would seat the others.
 * Every result is checked independently before it is returned.
 */
export function planSession(instance: PlanInstance, anySolve: SolveModel, options: PlanOptions): PlanOutcome {
  const solve = carefully(anySolve);
  const ready = prepare(instance, solve, options);
  if (!isSearched(ready)) return withoutSearch(ready);
  const found: Found[] = [];
  for (let start = 0; start < starts && !found.some((f) => f.stopped); start++) {
    const onProgress = (share: number, best: number): boolean =>
      options.onProgress?.((start + share) / starts, Math.max(best, ...found.map((f) => f.objective))) ?? true;
    found.push(searchFrom(ready.instance, solve, ready.first, { ...options, start, onProgress }));
  }
  return joinFound(ready, found, quickBound(ready.instance, solve));
}

/** A first legal plan. Where there is none for everybody, one that leaves as few as can be without a seat. */
export function prepare(instance: PlanInstance, solve: SolveModel, options: Pick<PlanOptions, 'seed' | 'wholeOnly'>): Prepared {
  const size = instance.learners * instance.rounds * instance.games.length;
  const whole = { instance, diagnosis: null, partial: false };
  const companions = instance.aims?.together ?? instance.aims?.apart;
  if (size <= (instance.rounds === 1 ? exactSize : tinySize) && !companions) {
    const exact = exactModel(instance);
    const outcome = solve(exact.model, { seconds: hangingSeconds, nodes: exactNodes });
    const first = outcome.values ? exact.scheduleOf(outcome.values) : null;
    if (first && checkPlan(instance, first).length === 0)
      return { ...whole, first, rest: outcome.status === 'optimal' ? 'none' : 'search' };
  }
  const nobody = seatsWanted(instance) === 0;
  const first = nobody ? Array.from({ length: instance.rounds }, () => []) : greedyPlan(instance, options.seed);
  if (nobody && first) return { ...whole, first, rest: 'none' };
  if (first) return { ...whole, first, rest: 'search' };
  return partly(instance, solve, options);
}

function greedyPlan(instance: PlanInstance, seed: number): Schedule | null {
  let best: Schedule | null = null;
  let bestValue = -Infinity;
  const kept = greedyKeeping(instance, createRng(seed, greedyTries));
  if (kept && checkPlan(instance, kept.schedule()).length === 0) [best, bestValue] = [kept.schedule(), kept.total];
  for (let i = 0; i < greedyTries; i++) {
    const state = greedy(instance, createRng(seed, i), i === 0 ? 0 : 0.2 + i / greedyTries);
    if (state && state.total > bestValue) {
      const schedule = state.schedule();
      if (checkPlan(instance, schedule).length > 0) continue;
      best = schedule;
      bestValue = state.total;
    }
    if (best && (i >= enoughTries || instance.learners * instance.rounds * instance.games.length > largeSize)) break;
  }
  return best;
}

/** The fewest rounds without a seat that can be, by the solver; then it is known whether everybody can be seated after all. */
function partly(instance: PlanInstance, solve: SolveModel, { seed, wholeOnly }: Pick<PlanOptions, 'seed' | 'wholeOnly'>): Prepared {
  const least = leastUnseated(instance);
  const nothing: Prepared = { instance, first: null, diagnosis: null, partial: true, rest: 'none' };
  if (least > 0 && instance.games.length > 0) {
    if (wholeOnly) return nothing;
    const resting = withRests(instance);
    const first = greedyPlan(resting, seed);
    // As few without a seat as there can be: nothing is left to be proven.
    if (first && unseatedBy(instance, first) === least)
      return { instance: resting, first, diagnosis: diagnose(instance, solve, least), partial: true, rest: 'search' };
  }
  const seats = seatModel(instance, { relax: false });
  const { values } = solve(seats.model, { seconds: partlySeconds, nodes: partlyNodes });
  const schedule = values ? seats.scheduleOf(values) : null;
  if (schedule && checkPlan(instance, schedule).length === 0)
    return { instance, first: schedule, diagnosis: null, partial: false, rest: 'search' };
  if (wholeOnly) return nothing;
  const resting = withRests(instance);
  const first = schedule && checkPlan(resting, schedule).length === 0 ? schedule : greedyPlan(resting, seed);
  const unseated = values ? seats.unseatedIn(values) : seatsWanted(instance);
  return {
    instance: resting,
    first,
    diagnosis: diagnose(instance, solve, unseated),
    partial: true,
    rest: first && instance.games.length > 0 ? 'search' : 'none',
  };
}

/** Rounds of learners that cannot have a seat, since the tables do not hold so many even where all play the game for most. */
function leastUnseated(instance: PlanInstance): number {
  const largest = Math.max(0, ...instance.games.map((g) => g.max));
  let least = 0;
  for (let r = 0; r < instance.rounds; r++) {
    const here = Array.from({ length: instance.learners }, (_, l) => l).filter((l) => !rests(instance, l, r)).length;
    least += Math.max(0, here - instance.tables * largest);
  }
  return least;
}

/** Rounds of learners without a seat who are to have one. */
const unseatedBy = (instance: PlanInstance, schedule: Schedule): number =>
  seatsWanted(instance) - schedule.flat().reduce((sum, t) => sum + t.learners.length, 0);

/** Seats in all rounds for all who are there. */
const seatsWanted = ({ learners, rounds, resting = [] }: PlanInstance): number => learners * rounds - resting.length;

/** The same session where a seat may be missing, at a price that no worth of playing comes near; who rested lately pays more. */
export function withRests(instance: PlanInstance): PlanInstance {
  if (instance.aims?.rest) return instance;
  let most = 1;
  for (let l = 0; l < instance.learners; l++)
    for (let g = 0; g < instance.games.length; g++) if (instance.value[l]![g]! >= 0) most = Math.max(most, learnerValue(instance, l, [g]));
  const rest = Array.from({ length: instance.learners }, (_, l) => restWorths * most * (1 + restedMore * (instance.rested?.[l] ?? 0)));
  return { ...instance, aims: { ...instance.aims, rest } };
}

/** A session in which nobody sits is none. */
const partialStatus = (schedule: Schedule): 'partial' | 'infeasible' => (schedule.flat().length > 0 ? 'partial' : 'infeasible');

/** What is to be told without a search: proven best, or nothing to be had. */
export function withoutSearch({ instance, first, partial, diagnosis }: Prepared): PlanOutcome {
  if (!first) return { status: 'infeasible', schedule: [], objective: 0, bound: 0, diagnosis };
  const objective = objectiveOf(instance, first);
  return { status: partial ? partialStatus(first) : 'optimal', schedule: first, objective, bound: objective, diagnosis };
}

/** The linear bound over the session with its rounds summed out: at most so much is possible. */
export function boundOf(instance: PlanInstance, solve: SolveModel): number {
  const model = boundModel(instance);
  const linear = solve({ ...model, integer: model.integer.map(() => false) }, { seconds: hangingSeconds });
  return linear.status === 'optimal' ? linear.bound + mostTogether(instance) : looseBound(instance);
}

/** Learners × games beyond which the linear bound would take longer than the search. */
const mostBound = 30_000;

/** The linear bound where it comes in no time, else the loose one, which nobody is shown. */
export const quickBound = (instance: PlanInstance, solve: SolveModel): number =>
  instance.learners * instance.games.length > mostBound ? looseBound(instance) : boundOf(instance, solve);

/** A bound that needs no solver: for each learner as many of the best games as there are rounds, each as if it were alone. */
export function looseBound(instance: PlanInstance): number {
  let sum = mostTogether(instance) + instance.learners * instance.rounds * (instance.aims?.keep?.worth ?? 0);
  for (let l = 0; l < instance.learners; l++)
    sum += instance.games
      .flatMap((_, g) => Array<number>(instance.timesEach ?? 1).fill(instance.value[l]![g]! >= 0 ? learnerValue(instance, l, [g]) : 0))
      .sort((x, y) => y - x)
      .slice(0, instance.rounds)
      .reduce((s, v) => s + v, 0);
  return sum;
}

/** The best of what the starts found, checked once more. */
export function joinFound(ready: Searchable, found: readonly Found[], bound: number): PlanOutcome {
  const { instance, partial } = ready;
  const best = found.reduce((x, y) => (y.objective > x.objective ? y : x));
  const broken = checkPlan(instance, best.schedule);
  if (broken.length > 0) throw new Error(`A plan broke a rule: ${JSON.stringify(broken[0])}`);
  const objective = objectiveOf(instance, best.schedule);
  const proven = Math.max(bound, objective);
  const optimal = objective >= proven - optimalTolerance * Math.max(1, Math.abs(proven));
  const status = found.some((f) => f.stopped) ? 'stopped-early' : partial ? partialStatus(best.schedule) : optimal ? 'optimal' : 'good';
  const seated = best.schedule.flat().reduce((sum, t) => sum + t.learners.length, 0);
  // The search may have seated more than was known before it.
  const diagnosis = ready.diagnosis && { ...ready.diagnosis, unseatedBefore: seatsWanted(instance) - seated };
  return { status, schedule: best.schedule, objective, bound: proven, diagnosis };
}
