import { sortOf } from '../mechanisms/character';
import { notFor } from './accommodations';
import { readinessBy } from '../mastery/retention';
import type { LearnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { practised } from './practised';
import type { SkillGraph } from '../skills/skillGraph';

/** A game longer than the round by more than this factor does not fit. */
export const lengthSlack = 1.25;
/** Chances after which a skill has had most of what one round can give. */
export const enoughChances = 12;
/** Replays are loved: a game a child asks for counts this much more. */
export const likedGain = 1.15;
/** Practice and activities fill a seat, but where a game does as much, the game is taken (common practice, no source). */
export const practiceGain = 0.95;

/** How much a table's practice counts for being this game: more where a child asks for it; an activity is never a treat. */
export function likingOf({ game, mechanism }: Pick<Offer, 'game' | 'mechanism'>, likings: readonly string[]): number {
  if (sortOf(mechanism) === 'practice') return practiceGain;
  return likings.includes(game) ? likedGain : 1;
}

const hopelessBelow = 0.45;
/** Years outside a version's ages at which it is no longer offered, on both sides. */
const ageSlack = 1.5;
/** A skill is the heart of a variant from this share of its strongest dose on. */
const heartShare = 0.35;
/** What the same version practises this often in ten minutes, it teaches: no reason to wait for it. */
const taughtHere = 1;
/** A prerequisite is missing, and not only growing, below this readiness. */
const missingBelow = 0.25;
/** A step is clearly open for a learner while it is more likely not held. */
const openBelow = 0.5;

/** What a number of chances gives of one skill, in chances: 12·ln(1 + chances/12), so that the first count most. */
export function gainOf(chances: number): number {
  return enoughChances * Math.log1p(chances / enoughChances);
}

/** Expected share of right answers over everything the variant asks. */
export function expectedSuccess(offer: Offer, needs: LearnerNeeds): number {
  let sum = 0;
  let weight = 0;
  const doses = offer.doses;
  for (const k of practised(doses)) {
    const dose = doses[k]!;
    sum += dose * needs.success[k]!;
    weight += dose;
  }
  return weight === 0 ? 0 : sum / weight;
}

/** Value of a variant for a learner in a round: Σ need × gain of the chances that fit. */
export function valueOf(offer: Offer, needs: LearnerNeeds, minutes: number): number {
  let value = 0;
  const scale = minutes / 10;
  const doses = offer.doses;
  for (const k of practised(doses)) value += needs.need[k]! * gainOf(needs.fit[k]! * doses[k]! * scale);
  return value * likingOf(offer, needs.likings);
}

export type Gate =
  | { readonly because: 'needs'; readonly skill: number; readonly missing: number; readonly sort: 'idea' | 'heart' }
  | { readonly because: 'too-hard'; readonly success: number }
  | { readonly because: 'age' }
  | { readonly because: 'accommodation'; readonly what: Exclude<ReturnType<typeof notFor>, null> }
  | null;

/** Whether a gate opens with somebody beside: too much alone, and neither the age nor comfort bars it. */
export const tooHardAlone = (gate: Gate): boolean => gate !== null && gate.because !== 'age' && gate.because !== 'accommodation';

/** The steps a variant is about: what it practises most, and what comes near to that. */
function heartOf({ doses }: Offer): Int32Array {
  const met = practised(doses);
  const strongest = met.reduce((most, k) => Math.max(most, doses[k]!), 0);
  return met.filter((k) => doses[k]! >= strongest * heartShare);
}

/** Whether a step at the heart of a variant is clearly open for a learner: then no age is too old for it. */
const opens = (offer: Offer, needs: LearnerNeeds): boolean =>
  heartOf(offer).some((k) => needs.ready[k] === 1 && needs.known[k]! < openBelow);

/**
 * What bars a learner from a variant: an age far off, what this child cannot do with comfort, or too little success.
 * A missing prerequisite alone bars nothing, for one is new to most steps while something else is still growing; where
 * success is too little, it is told as the reason, unless the variant itself teaches it.
 */
export function gateOf(graph: SkillGraph, offer: Offer, needs: LearnerNeeds): Gate {
  if (needs.age < offer.ages[0] - ageSlack || (needs.age > offer.ages[1] + ageSlack && !opens(offer, needs))) return { because: 'age' };
  const what = notFor(offer, needs.accommodations);
  if (what) return { because: 'accommodation', what };
  if (practised(offer.doses).length === 0) return null;
  const success = expectedSuccess(offer, needs);
  if (success >= hopelessBelow) return null;
  for (const k of heartOf(offer)) {
    for (const { index, sort } of graph.needs[k]!) {
      if (sort === 'heart' && needs.supported) continue;
      if (offer.doses[index]! >= taughtHere) continue;
      if (readinessBy(needs.theta[index]!) < missingBelow) return { because: 'needs', skill: k, missing: index, sort };
    }
  }
  return { because: 'too-hard', success };
}
