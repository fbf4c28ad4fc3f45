import { gameCanAimAt } from '../skills/skill';
import type { SkillGraph } from '../skills/skillGraph';
import { atTable } from './atTable';
import type { LearnerNeeds } from './learnerNeeds';
import { isKnown, type Offer } from './offer';
import type { Exclusion } from './recommend';
import { gateOf } from './valueOf';

/** How many of a learner's greatest needs are looked at, and the chances in a round below which a need goes without. */
const needsLookedAt = 8;
export const enoughInRound = 4;

export interface OpenGap {
  readonly learner: string;
  /** Index of the skill. */
  readonly skill: number;
  /** The version on the shelf that would practise it most, and what bars it; null when there is none. */
  readonly barred: { readonly variant: string; readonly because: Extract<Exclusion, { because: 'gate' }> } | null;
}

/** Great needs that no game on the shelf serves which the learner may play, and what the nearest game wants first. */
export function openGaps(graph: SkillGraph, offers: readonly Offer[], table: readonly LearnerNeeds[], minutes: number): OpenGap[] {
  const enough = (o: Offer, k: number): boolean => (o.doses[k]! * minutes) / 10 >= enoughInRound;
  const here = offers.filter(isKnown).map((o) => atTable(o, table.length === 1 ? null : table.length, minutes));
  return table.flatMap((l) => {
    const measured = here.map((o) => ({ o, gate: gateOf(graph, o, l) }));
    return [...l.need.keys()]
      .filter((k) => l.ready[k] === 1 && gameCanAimAt(graph.skills[k]!))
      .sort((x, y) => l.need[y]! - l.need[x]!)
      .slice(0, needsLookedAt)
      .filter((k) => !measured.some(({ o, gate }) => gate === null && enough(o, k)))
      .map((k): OpenGap => {
        const nearest = measured
          .filter(({ o }) => enough(o, k))
          .sort((x, y) => y.o.doses[k]! - x.o.doses[k]! || (x.o.variant < y.o.variant ? -1 : 1))[0];
        if (!nearest?.gate) return { learner: l.learner, skill: k, barred: null };
        return {
          learner: l.learner,
          skill: k,
          barred: {
            variant: nearest.o.variant,
            because: { game: nearest.o.game, because: 'gate', learner: l.learner, gate: nearest.gate, alternative: null },
          },
        };
      });
  });
}
