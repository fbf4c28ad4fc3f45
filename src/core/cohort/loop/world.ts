import type { Offer } from '../../recommend/offer';
import type { SkillGraph } from '../../skills/skillGraph';
import { type Rng } from '../../shared/rng';
import { ASSUMPTIONS, type Assumptions, trulyHeldFrom } from '../assumptions';
import { inventLearner } from '../simulateLearner';

/**
 * Invented learners who play for twelve weeks: the item-response learners of this folder, who also learn from every
 * chance, forget between meetings, regain by meeting again, and hang on what comes before. Shares no code with
 * estimator or planner.
 */
export interface LoopLearner {
  readonly age: number;
  /** Years ahead of the norm over all lines. */
  readonly ahead: number;
  /** Speed of learning against the set's. */
  readonly speed: number;
  readonly ability: Float64Array;
  /** Day a skill was last met, −1 when never here, and how often. */
  readonly lastMet: Float64Array;
  readonly times: Float64Array;
}

/** What a loop assumes beside the set: all fixed before anything was tuned, none measured. */
export const LOOP = {
  /** Chances in a meeting that teach as much as the set's one meeting of practice. */
  fullPractice: 12,
  /** Each meeting slows forgetting by this part. */
  spacing: 0.3,
  /** Slow, medium and fast children: speed of learning. */
  speeds: { slow: 0.6, medium: 1, fast: 1.5 } as Readonly<Record<string, number>>,
  /** Share of seats of which a note is written. */
  noted: 0.85,
  answersWatched: 6,
};

/** Judged: four seeds each of slow, medium and fast children. Others are for training. */
export const LOOP_SEEDS: readonly (readonly [seed: number, speed: string])[] = [
  [1101, 'slow'],
  [1102, 'medium'],
  [1103, 'fast'],
  [1104, 'slow'],
  [1105, 'medium'],
  [1106, 'fast'],
  [1107, 'slow'],
  [1108, 'medium'],
  [1109, 'fast'],
  [1110, 'slow'],
  [1111, 'medium'],
  [1112, 'fast'],
];
export const TRAINING_SEEDS: readonly (readonly [seed: number, speed: string])[] = [
  [7, 'medium'],
  [8, 'slow'],
  [9, 'fast'],
  [10, 'medium'],
  [11, 'slow'],
  [12, 'fast'],
];

export interface Cohort {
  readonly id: string;
  readonly ages: readonly number[];
  /** Days of a week with a meeting. */
  readonly days: readonly number[];
  readonly rounds: number;
  readonly tables: number;
  readonly minutes: number;
}

const spread = (n: number, from: number, to: number): number[] => Array.from({ length: n }, (_, i) => from + ((to - from) * (i + 0.5)) / n);

export const COHORTS: readonly Cohort[] = [
  { id: 'family', ages: [5, 7, 9], days: [0, 1, 3, 4], rounds: 1, tables: 1, minutes: 15 },
  { id: 'co-op', ages: spread(12, 5, 11), days: [1, 3], rounds: 3, tables: 4, minutes: 15 },
  { id: 'class', ages: spread(24, 7, 9), days: [0, 2, 4], rounds: 2, tables: 6, minutes: 15 },
];

export const WEEKS = 12;
/** Days after the last week on which the delayed test lies. */
export const TEST_AFTER = 28;

export const setById = (id: string): Assumptions => ASSUMPTIONS.find((a) => a.id === id)!;

export function inventPlayer(graph: SkillGraph, age: number, a: Assumptions, speed: number, rng: Rng): LoopLearner {
  const l = inventLearner(graph, age, a, rng);
  // The learner's own place is read off what was drawn: the mean over all skills of ability against the norm.
  const ahead = graph.skills.reduce((sum, s, k) => sum + l.ability[k]! * a.yearsPerUnit - (age - s.wantedAt.us), 0) / graph.skills.length;
  return {
    age,
    ahead,
    speed,
    ability: l.ability,
    lastMet: l.lastMet,
    times: new Float64Array(l.ability.length),
  };
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** Ability on a day: what was not met for long is harder to get at, less so the more often it was met. */
export function abilityOf(l: LoopLearner, k: number, day: number, a: Assumptions): number {
  const weeks = l.lastMet[k]! < 0 ? 0 : Math.max(0, day - l.lastMet[k]!) / 7;
  return l.ability[k]! - (a.forgetting * Math.log2(1 + weeks)) / (1 + LOOP.spacing * l.times[k]!) + a.outside * (day / 7);
}

export const rightChance = (ability: number, a: Assumptions, tool: boolean): number =>
  a.guess + (1 - a.guess - a.slip) * logistic(a.discrimination * (ability + (tool ? a.toolLift : 0)));

export const holds = (l: LoopLearner, k: number, day: number, a: Assumptions): boolean =>
  logistic(a.discrimination * abilityOf(l, k, day, a)) >= trulyHeldFrom;

/** Whether what a skill needs is there, 0 … 1: at even chances of holding up it counts half. */
const readyFor = (graph: SkillGraph, l: LoopLearner, k: number, day: number, a: Assumptions): number =>
  graph.needs[k]!.reduce((least, { index }) => Math.min(least, logistic(2 * abilityOf(l, index, day, a))), 1);

/** What so many chances at a skill add to ability, if `done` came before on the same day. Most is learnt where about half is there. */
export function rise(graph: SkillGraph, l: LoopLearner, k: number, day: number, a: Assumptions, chances: number, done = 0): number {
  const now = abilityOf(l, k, day, a);
  const nearness = 4 * logistic(now) * (1 - logistic(now));
  const ready = a.unready + (1 - a.unready) * readyFor(graph, l, k, day, a);
  const amount = Math.log((LOOP.fullPractice + done + chances) / (LOOP.fullPractice + done)) / Math.LN2;
  return l.speed * a.learning * nearness * ready * amount;
}

/** Chances at all skills of a version in one round, taken in. `done` holds the chances of the day so far. */
export function play(
  graph: SkillGraph,
  l: LoopLearner,
  offer: Offer,
  minutes: number,
  day: number,
  a: Assumptions,
  done: Float64Array,
): void {
  const gains = [...offer.doses.keys()].flatMap((k) => {
    const chances = (offer.doses[k]! * minutes) / 10;
    return chances < 0.5 ? [] : [{ k, chances, gain: rise(graph, l, k, day, a, chances, done[k]!) }];
  });
  for (const { k, chances, gain } of gains) {
    // Meeting it again brings back part of what was out of reach; the rest of that is lost.
    const away = l.ability[k]! + a.outside * (day / 7) - abilityOf(l, k, day, a);
    const regained = Math.min(1, chances / LOOP.fullPractice);
    l.ability[k]! += gain - 0.5 * away * (1 - regained);
    if (done[k] === 0) l.times[k]! += regained;
    l.lastMet[k] = day;
    done[k]! += chances;
  }
}
