import { expectedRight } from '../mastery/knowledgeTracing';
import type { SkillGraph } from '../skills/skillGraph';
import type { LearnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { expectedSuccess, gateOf, type Gate } from './valueOf';

/** How a variant would go for one learner: expected share of right answers, and what bars it. */
export interface Suits {
  readonly success: number;
  /** The share if everything were as low, or as high, as the 80 % intervals of the map reach. */
  readonly low: number;
  readonly high: number;
  readonly gate: Gate;
}

export function suitsOf(graph: SkillGraph, offer: Offer, needs: LearnerNeeds, intervals: readonly (readonly [number, number])[]): Suits {
  const at = (end: 0 | 1): number =>
    expectedSuccess(offer, { ...needs, success: Float64Array.from(intervals, (i, k) => expectedRight(i[end], needs.readiness[k]!)) });
  return { success: expectedSuccess(offer, needs), low: at(0), high: at(1), gate: gateOf(graph, offer, needs) };
}
