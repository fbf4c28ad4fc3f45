import type { SkillEstimate } from '../mastery/estimateMastery';
import { heldAt } from '../mastery/parameters';
import { chanceRight } from '../mastery/knowledgeTracing';
import { PARAMETERS } from '../mastery/parameters';
import type { SkillGraph } from '../skills/skillGraph';

export interface LearnerNeeds {
  readonly learner: string;
  readonly nickname: string;
  readonly age: number;
  readonly known: Float64Array;
  /** How much practice of each skill is worth to this learner now, 0 … 1. */
  readonly need: Float64Array;
  /** Expected share of right answers per skill. */
  readonly success: Float64Array;
  readonly frontier: Uint8Array;
  readonly supported: boolean;
}

/** A gap that is not ready yet is worth this part of one that is. */
const notReadyShare = 0.2;
const reviewNeed = 0.35;
/** Years over which a skill wanted later loses worth. */
const aheadYears = 0.7;

/**
 * Need = size of the gap × (ready ? 1 : 0.2) × closeness of the date it is wanted,
 * plus a share for held skills that are due for review. Common practice, no source.
 */
export function learnerNeeds(graph: SkillGraph, learner: { id: string; nickname: string; age: number; framework: 'us' | 'england'; supported: boolean }, estimates: readonly SkillEstimate[]): LearnerNeeds {
  const n = graph.skills.length;
  const known = new Float64Array(n);
  const need = new Float64Array(n);
  const success = new Float64Array(n);
  const frontier = new Uint8Array(n);
  for (const [k, e] of estimates.entries()) {
    known[k] = e.mastery;
    success[k] = chanceRight(e.mastery, PARAMETERS.note);
    frontier[k] = e.frontier ? 1 : 0;
    const ahead = Math.max(0, graph.skills[k]!.wantedAt[learner.framework] - learner.age);
    const gap = Math.max(0, heldAt + 0.05 - e.mastery);
    need[k] = gap * (e.frontier ? 1 : notReadyShare) * Math.exp(-ahead / aheadYears) + (e.dueForReview ? reviewNeed : 0);
  }
  return { learner: learner.id, nickname: learner.nickname, age: learner.age, known, need, success, frontier, supported: learner.supported };
}
