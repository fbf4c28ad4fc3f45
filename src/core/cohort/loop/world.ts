import type { Offer } from '../../recommend/offer';
import type { Rng } from '../../shared/rng';

/** What a version truly gives at one table: chances in ten minutes by skill, and answers in all. */
export interface TruePlay {
  readonly doses: Float64Array;
  readonly answers: number;
}
export type TrueAt = (offer: Offer, players: number, slot: number) => TruePlay;

/** An invented child in a world that decides how it learns, forgets and answers; shares no code with estimator or planner. */
export interface Player {
  readonly age: number;
  /** Years ahead of the norm over all lines. */
  readonly ahead: number;
  /** Chance of a right answer, slips and guesses in it. */
  right(k: number, day: number, tool: boolean): number;
  /** The same with slips and guesses aside. */
  ease(k: number, day: number): number;
  /** Four of five right with no tool, slips and guesses aside. */
  holds(k: number, day: number): boolean;
  /** Takes in one round; `done` holds the chances of the day so far. */
  play(what: TruePlay, minutes: number, day: number, done: Float64Array): void;
  /** What a round truly brings of the targets: the rise of what is held, smoothed, so that a step on the way counts too. */
  gain(what: TruePlay, minutes: number, day: number, targets: readonly number[]): number;
  /** Where it stands on the logit scale of right answers, for a planner that is told. */
  theta(k: number, day: number): number;
}

export interface World {
  readonly id: string;
  /** How often a tool is in hand when the answer is not there, and how often a whole note is misjudged. */
  readonly toolUse: number;
  readonly noteNoise: number;
  invent(age: number, speed: number, rng: Rng): Player;
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
  /** Minutes of a child that a sheet of ten takes. */
  checkInMinutes: 5,
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
