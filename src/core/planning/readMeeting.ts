import type { LearnerNeeds } from '../recommend/learnerNeeds';
import type { Offer } from '../recommend/offer';
import type { SkillGraph } from '../skills/skillGraph';
import type { BuiltSession } from './buildSession';
import type { Diagnosis } from './diagnose';
import type { HelpingStep, MissingSeats, PlannedMeeting, PlannedSeat, SeatName } from './plannedMeeting';
import type { PlanOutcome } from './planSession';
import { lookForAt, seatReason } from './seatReason';

/** A planned session in names: who plays what and why, what stands in the way of those without a seat. */
export function readMeeting(
  graph: SkillGraph,
  meeting: { readonly date: string; readonly minutes: number },
  built: BuiltSession,
  outcome: PlanOutcome,
  needs: readonly LearnerNeeds[],
  at: (variant: string, players: number) => Offer,
): PlannedMeeting {
  return {
    date: meeting.date,
    status: outcome.status,
    objective: outcome.objective,
    bound: outcome.bound,
    changes: null,
    considered: built.passedOver > 0 ? built.options.length : null,
    missing: outcome.diagnosis && missingSeats(outcome.diagnosis, built, needs),
    rounds: outcome.schedule.map((tables) => {
      const seated = new Set(tables.flatMap((t) => t.learners));
      return {
        tables: tables.map((t) => ({
          game: built.options[t.game]!.game,
          lookFor: lookForAt(
            t.learners.map((l) => ({ needs: needs[l]!, offer: built.chosen[l]![t.game]! })),
            meeting.minutes,
          ),
          seats: t.learners.map((l): PlannedSeat => {
            const offer = at(built.chosen[l]![t.game]!.variant, t.learners.length);
            return {
              learner: needs[l]!.learner,
              variant: offer.variant,
              ...seatReason(graph, offer, needs[l]!, meeting.minutes),
              stretched: built.stretched[l]![t.game]!,
            };
          }),
        })),
        resting: needs.filter((_, l) => !seated.has(l)).map((n) => n.learner),
      };
    }),
  };
}

function missingSeats(diagnosis: Diagnosis, built: BuiltSession, needs: readonly LearnerNeeds[]): MissingSeats {
  const { unseatedBefore, unseatedAfter, relax, clashes } = diagnosis;
  const seatName = (lock: number): SeatName => {
    const { learner, round, game } = built.instance.locks![lock]!;
    return { learner: needs[learner]!.learner, round, game: built.options[game]!.game };
  };
  const steps = relax.map((x): HelpingStep => {
    if (x.relax === 'stock') return { relax: x.relax, by: x.by, kind: built.kinds[x.kind]! };
    if (x.relax === 'lively' || x.relax === 'apart') return { relax: x.relax };
    if (x.relax !== 'lock') return { relax: x.relax, by: x.by };
    const other = clashes.find((c) => c.lock === x.lock)?.other ?? null;
    return { relax: x.relax, lock: seatName(x.lock), ...(other === null ? {} : { beside: seatName(other) }) };
  });
  return { unseatedBefore, unseatedAfter, steps };
}
