/**
 * How invented learners learn, forget and answer: an item-response model with learning.
 * Three sets, so that an estimate is not judged by one idea of children alone; the worst
 * counts. All numbers are assumptions, none is measured; they were fixed, with the seeds,
 * before the estimator was tuned.
 */
export interface Assumptions {
  readonly id: string;
  readonly words: string;
  /** Spread of learners about the norm, in years, and of one line about a learner. */
  readonly learnerYears: number;
  readonly strandYears: number;
  /** Years for one unit of ability. */
  readonly yearsPerUnit: number;
  /** Spread of single skills about their line, in units of ability. */
  readonly skillSpread: number;
  /** How steeply right answers rise with ability above difficulty. */
  readonly discrimination: number;
  readonly slip: number;
  readonly guess: number;
  /** Units of ability gained by one meeting's practice at best. */
  readonly learning: number;
  /** Share of learning that is left when a prerequisite is missing. */
  readonly unready: number;
  /** Units of ability lost over a doubling of the quiet time in weeks. */
  readonly forgetting: number;
  /** Units of ability gained in a week from life outside. */
  readonly outside: number;
  /** What a tool in hand adds, and how often it is in hand when the answer is not there. */
  readonly toolLift: number;
  readonly toolUse: number;
  /** A helper's misjudgement of a whole table note. */
  readonly noteNoise: number;
}

export const ASSUMPTIONS: readonly Assumptions[] = [
  {
    id: 'steady',
    words: 'learn steadily, forget slowly, helpers see well',
    learnerYears: 0.7,
    strandYears: 0.35,
    yearsPerUnit: 0.45,
    skillSpread: 0.5,
    discrimination: 1.7,
    slip: 0.05,
    guess: 0.08,
    learning: 0.25,
    unready: 0.35,
    forgetting: 0.08,
    outside: 0.01,
    toolLift: 1.2,
    toolUse: 0.5,
    noteNoise: 0.05,
  },
  {
    id: 'forgetful',
    words: 'learn in jumps, forget fast, hang on what comes before',
    learnerYears: 0.8,
    strandYears: 0.5,
    yearsPerUnit: 0.5,
    skillSpread: 0.7,
    discrimination: 1.5,
    slip: 0.07,
    guess: 0.1,
    learning: 0.4,
    unready: 0.1,
    forgetting: 0.3,
    outside: 0,
    toolLift: 1.5,
    toolUse: 0.6,
    noteNoise: 0.08,
  },
  {
    id: 'uneven',
    words: 'differ widely from the norm, slip and guess often, helpers misjudge',
    learnerYears: 1.2,
    strandYears: 0.7,
    yearsPerUnit: 0.6,
    skillSpread: 0.9,
    discrimination: 1.2,
    slip: 0.12,
    guess: 0.15,
    learning: 0.2,
    unready: 0.5,
    forgetting: 0.15,
    outside: 0.03,
    toolLift: 1,
    toolUse: 0.7,
    noteNoise: 0.15,
  },
];

/** Seeds of the judged cohorts; others are for trying things out. */
export const JUDGED_SEEDS: readonly number[] = [101, 202, 303];

/** A skill counts as truly held when four answers of five come right with no tool. */
export const trulyHeldFrom = 0.8;
