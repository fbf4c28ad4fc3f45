import { wantedBy } from '../skills/skill';
import { rightAt } from '../mastery/field';
import { FIELD, FORECAST, there } from '../mastery/parameters';
import { readinessBy } from '../mastery/retention';
import type { KnownOf } from '../mastery/standing';
import type { Accommodation } from './accommodations';
import type { SkillGraph } from '../skills/skillGraph';

export interface NeedyLearner {
  readonly id: string;
  readonly nickname: string;
  readonly age: number;
  readonly framework: string;
  /** A support is in use: it opens what *needs it by heart*. */
  readonly supported: boolean;
  /** Indices of agreed goals and what they need. */
  readonly goals?: ReadonlySet<number>;
  readonly withoutNorms?: boolean;
  readonly accommodations?: readonly Accommodation[];
  readonly likings?: readonly string[];
  /** Tools this child keeps, with full credit. */
  readonly keeps?: readonly string[];
  /** How many times the need of a step counts, by index: what a pacing list has for these weeks. */
  readonly leaning?: ReadonlyMap<number, number>;
}

export interface LearnerNeeds {
  readonly learner: string;
  readonly nickname: string;
  readonly age: number;
  readonly known: Float64Array;
  readonly theta: Float64Array;
  /** How much practice of each skill is worth to this learner now. */
  readonly need: Float64Array;
  /** Expected share of right answers per skill, with a tool where it is hard. */
  readonly success: Float64Array;
  /** What one item of a skill is worth at that success, 0 … 1. */
  readonly fit: Float64Array;
  readonly ready: Uint8Array;
  /** How far the least of what a step needs is there, 0 … 1. */
  readonly readiness: Float64Array;
  /** Held, and worth meeting again. */
  readonly due: Uint8Array;
  readonly supported: boolean;
  readonly accommodations: readonly Accommodation[];
  /** Games this child asks for. */
  readonly likings: readonly string[];
  /** Tools this child keeps, with full credit. */
  readonly keeps: readonly string[];
  /** Steps that a pacing list has for these weeks. */
  readonly leaning?: ReadonlyMap<number, number>;
}

/** Figures of the need, fitted on training seeds of invented learners (`docs/evaluation.md`); common practice, no source. */
export const NEED = {
  /** Worth of a step wanted in two years, and of one wanted later. */
  twoYearsAhead: 0.3,
  beyond: 0.1,
  /** All else, where a child goes by goals alone. */
  noGoal: 0.04,
  /** How narrow the neighbourhood of the threshold is, in units of θ: what can close soon comes first. */
  nearLine: 1.5,
  /** More for each step that waits for this one, up to so many. */
  perWaiting: 0.12,
  mostWaiting: 4,
  /** The least that readiness leaves, so that nobody new to a step is barred from it. */
  leastReady: 0.05,
  /** A step that has faded and is worth meeting again. */
  review: 0.1,
};

/** The band in which practice is neither dull nor hopeless, and how steeply worth falls about it (common practice, no source). */
export const successBand: readonly [number, number] = [0.7, 0.9];
const below = 0.22;
const above = 11;
const leastFit = 0.2;
/** Under this share of right answers a tool is laid out, which brings half of what is missing to it. */
const toolBelow = 0.68;

/** What practice is worth at an expected share of right answers: 1 in the band, falling below it and, faster, above it. */
export function fitOf(success: number): number {
  const [low, high] = successBand;
  if (success < low) return Math.exp(-(((low - success) / below) ** 2));
  return success > high ? Math.max(leastFit, 1 - above * (success - high)) : 1;
}

/** Expected share of right answers at an ability, with a tool laid out where that is low. */
export function successAt(theta: number): number {
  const bare = rightAt(theta, 0, FORECAST);
  return bare < toolBelow ? (bare + toolBelow) / 2 : bare;
}

/** Closeness of the date at which a step is wanted, in years ahead: 1 now, falling evenly over two years. */
export function closeness(yearsAhead: number): number {
  if (yearsAhead <= 0) return 1;
  return yearsAhead <= 2 ? 1 - (yearsAhead / 2) * (1 - NEED.twoYearsAhead) : NEED.beyond;
}

/**
 * Need = what is likely not held × closeness of the date × nearness to being held × what waits for it × readiness,
 * plus a little for what has faded. Looked at or not makes no difference: the estimate knows how sure it is.
 */
export function learnerNeeds(graph: SkillGraph, learner: NeedyLearner, now: KnownOf): LearnerNeeds {
  const n = graph.skills.length;
  const need = new Float64Array(n);
  const success = new Float64Array(n);
  const fit = new Float64Array(n);
  const ready = new Uint8Array(n);
  const readiness = new Float64Array(n);
  for (let k = 0; k < n; k++) {
    const theta = now.theta[k]!;
    readiness[k] = graph.needs[k]!.reduce(
      (least, { index, sort }) => (sort === 'heart' && learner.supported ? least : Math.min(least, readinessBy(now.theta[index]!))),
      1,
    );
    ready[k] = readiness[k]! >= there ? 1 : 0;
    success[k] = successAt(theta);
    fit[k] = fitOf(success[k]!);
    // A goal is wanted now, whatever the age; without norms nothing else presses.
    const goal = learner.goals?.has(k) ?? false;
    const close = goal ? 1 : learner.withoutNorms ? NEED.noGoal : closeness(wantedBy(graph.skills[k]!, learner.framework) - learner.age);
    const away = Math.max(0, FIELD.heldFrom - theta) / NEED.nearLine;
    const waiting = 1 + NEED.perWaiting * Math.min(NEED.mostWaiting, graph.neededBy[k]!.length);
    const soft = NEED.leastReady + (1 - NEED.leastReady) * readiness[k]!;
    need[k] =
      (1 - now.held[k]!) * close * Math.exp((-away * away) / 2) * waiting * soft * (learner.leaning?.get(k) ?? 1) +
      (now.due[k] ? NEED.review : 0);
  }
  return {
    learner: learner.id,
    nickname: learner.nickname,
    age: learner.age,
    known: Float64Array.from(now.held),
    theta: Float64Array.from(now.theta),
    need,
    success,
    fit,
    ready,
    readiness,
    due: Uint8Array.from(now.due),
    supported: learner.supported,
    accommodations: learner.accommodations ?? [],
    likings: learner.likings ?? [],
    keeps: learner.keeps ?? [],
    ...(learner.leaning && learner.leaning.size > 0 ? { leaning: learner.leaning } : {}),
  };
}
