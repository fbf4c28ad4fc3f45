import { wantedBy } from '../skills/skill';
import { expectedRight } from '../mastery/knowledgeTracing';
import { heartThere, heldAt, ideaThere } from '../mastery/parameters';
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
}

export interface LearnerNeeds {
  readonly learner: string;
  readonly nickname: string;
  readonly age: number;
  readonly known: Float64Array;
  /** How much practice of each skill is worth to this learner now, 0 … 1. */
  readonly need: Float64Array;
  /** Expected share of right answers per skill. */
  readonly success: Float64Array;
  readonly ready: Uint8Array;
  /** How far the least of what a step needs is there, 0 … 1. */
  readonly readiness: Float64Array;
  /** Held, and worth meeting again. */
  readonly due: Uint8Array;
  readonly supported: boolean;
  readonly accommodations: readonly Accommodation[];
  /** Games this child asks for. */
  readonly likings: readonly string[];
}

/** A gap that is not ready yet is worth this part of one that is. */
const notReadyShare = 0.2;
const reviewNeed = 0.35;
/** How far off everything counts that is no goal, for a child who goes by goals alone. */
const notGoalYears = 2;
/** Years over which a skill wanted later loses worth. */
const aheadYears = 0.7;

/**
 * Need = size of the gap × (ready ? 1 : 0.2) × closeness of the date it is wanted,
 * plus a share for held skills that are due for review. Common practice, no source.
 */
export function learnerNeeds(graph: SkillGraph, learner: NeedyLearner, known: Float64Array, due: Uint8Array): LearnerNeeds {
  const n = graph.skills.length;
  const need = new Float64Array(n);
  const success = new Float64Array(n);
  const ready = new Uint8Array(n);
  const readiness = new Float64Array(n);
  for (let k = 0; k < n; k++) {
    readiness[k] = graph.needs[k]!.reduce(
      (least, { index, sort }) =>
        sort === 'heart' && learner.supported ? least : Math.min(least, known[index]! / (sort === 'heart' ? heartThere : ideaThere)),
      1,
    );
    ready[k] = readiness[k] === 1 ? 1 : 0;
    success[k] = expectedRight(known[k]!, readiness[k]!);
    // A goal is wanted now, whatever the age; without norms nothing else presses.
    const goal = learner.goals?.has(k) ?? false;
    const ahead = goal ? 0 : learner.withoutNorms ? notGoalYears : Math.max(0, wantedBy(graph.skills[k]!, learner.framework) - learner.age);
    const gap = Math.max(0, heldAt + 0.05 - known[k]!);
    need[k] = gap * (ready[k] ? 1 : notReadyShare) * Math.exp(-ahead / aheadYears) + (due[k] ? reviewNeed : 0);
  }
  return {
    learner: learner.id,
    nickname: learner.nickname,
    age: learner.age,
    known,
    need,
    success,
    ready,
    readiness,
    due,
    supported: learner.supported,
    accommodations: learner.accommodations ?? [],
    likings: learner.likings ?? [],
  };
}
