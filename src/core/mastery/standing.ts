import { daysBetween } from '../shared/days';
import type { SkillGraph } from '../skills/skillGraph';
import { heldAbove } from './field';
import { dueForReviewBelow, heldAt } from './parameters';
import { fallFrom, type Memory, retention } from './retention';

/** Where one skill of a learner stands, as it can be carried forward over days and practice. */
export interface Standing {
  /** Ability when last met, and its variance. */
  readonly theta: number;
  readonly variance: number;
  readonly memory: Memory | null;
  /** Day it was last met; null when never here. */
  readonly lastMet: string | null;
}

/** What is known of a learner on a day, by index of the skill. */
export interface KnownOf {
  /** P(held), 0 … 1. */
  readonly held: ArrayLike<number>;
  /** Ability on a logit scale. */
  readonly theta: ArrayLike<number>;
  /** Held, and worth meeting again. */
  readonly due: ArrayLike<number>;
}

/** What is known on a day: what was likely forgotten since each skill was last met is off, and what faded is due. */
export function standingOn(graph: SkillGraph, skills: readonly Standing[], date: string): KnownOf {
  const theta = new Float64Array(skills.length);
  const held = new Float64Array(skills.length);
  const due = new Uint8Array(skills.length);
  for (const [k, s] of skills.entries()) {
    const left = s.lastMet === null ? 1 : retention(s.memory, daysBetween(s.lastMet, date), graph.skills[k]!.nature);
    theta[k] = s.theta - fallFrom(s.theta, left);
    held[k] = heldAbove(theta[k], s.variance);
    due[k] = left < dueForReviewBelow && heldAbove(s.theta, s.variance) >= heldAt ? 1 : 0;
  }
  return { theta, held, due };
}

/** The same read off the estimates of a day. */
export const knownOf = (
  estimates: readonly { readonly mastery: number; readonly theta: number; readonly dueForReview: boolean }[],
): KnownOf => ({
  held: estimates.map((e) => e.mastery),
  theta: estimates.map((e) => e.theta),
  due: estimates.map((e) => (e.dueForReview ? 1 : 0)),
});
