import { intervalZ } from '../mastery/parameters';
import type { SkillGraph } from '../skills/skillGraph';
import { type LearnerNeeds, successAt } from './learnerNeeds';
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

export function suitsOf(graph: SkillGraph, offer: Offer, needs: LearnerNeeds, spread: readonly number[]): Suits {
  const at = (z: number): number =>
    expectedSuccess(offer, { ...needs, success: Float64Array.from(spread, (sd, k) => successAt(needs.theta[k]! + z * sd)) });
  return { success: expectedSuccess(offer, needs), low: at(-intervalZ), high: at(intervalZ), gate: gateOf(graph, offer, needs) };
}
