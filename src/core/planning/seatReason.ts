import { rightAt } from '../mastery/field';
import { ladderOf, nextSupport } from '../mastery/nextSupport';
import { firmAt, FORECAST } from '../mastery/parameters';
import type { LearnerNeeds } from '../recommend/learnerNeeds';
import type { Offer } from '../recommend/offer';
import { mainSkill } from '../recommend/recommend';
import { expectedSuccess } from '../recommend/valueOf';
import type { SkillGraph } from '../skills/skillGraph';
import type { SeatBecause } from './plannedMeeting';

/** What a seat is for: the skill served best, why, its chances in the round and the success to expect. */
export function seatReason(
  graph: SkillGraph,
  offer: Offer,
  needs: LearnerNeeds,
  minutes: number,
): { skill: string | null; because: SeatBecause; tool: string | null; chances: number; success: number } {
  const skill = mainSkill(offer, needs, minutes);
  const held = skill < 0 || needs.known[skill]! >= firmAt;
  return {
    because: held ? (skill >= 0 && needs.due[skill] === 1 ? 'again' : 'joy') : needs.ready[skill] === 1 ? 'ready' : 'near',
    skill: skill < 0 ? null : graph.skills[skill]!.id,
    chances: skill < 0 ? 0 : (offer.doses[skill]! * minutes) / 10,
    success: expectedSuccess(offer, needs),
    tool: skill < 0 ? null : toolFor(graph, skill, needs),
  };
}

/** The tool for a step: the kept one, else the lightest of its ladder that keeps success in the band; null for none. */
function toolFor(graph: SkillGraph, k: number, needs: LearnerNeeds): string | null {
  const s = graph.skills[k]!;
  const ladder = ladderOf(
    s,
    graph.strands.find((x) => x.id === s.strand)!,
  );
  return nextSupport(ladder, rightAt(needs.theta[k]!, 0, FORECAST), [], needs.keeps).support;
}

/** Whose step is needed most and least sure either way: one note there would change the next weeks most. */
export function lookForAt(seats: readonly { readonly needs: LearnerNeeds; readonly offer: Offer }[], minutes: number): string | null {
  let best: { readonly learner: string; readonly tells: number } | null = null;
  for (const { needs, offer } of seats) {
    const k = mainSkill(offer, needs, minutes);
    if (k < 0) continue;
    const tells = needs.need[k]! * needs.known[k]! * (1 - needs.known[k]!);
    if (!best || tells > best.tells) best = { learner: needs.learner, tells };
  }
  return best?.learner ?? null;
}
