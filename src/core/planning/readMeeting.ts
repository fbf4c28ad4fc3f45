import type { LearnerNeeds } from '../recommend/learnerNeeds';
import { gateOf } from '../recommend/valueOf';
import type { Offer } from '../recommend/offer';
import type { SkillGraph } from '../skills/skillGraph';
import type { BuiltSession } from './buildSession';
import { rests } from './instance';
import { meanwhileFor } from './meanwhile';
import { type Partner, partnersIn } from './partners';
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
  const partners = partnersIn(built, outcome.schedule, (l, offer) => gateOf(graph, offer, needs[l]!) === null);
  /** What each was given to do meanwhile in an earlier round. */
  const given = new Map<number, Set<string>>();
  return {
    date: meeting.date,
    status: outcome.status,
    objective: outcome.objective,
    bound: outcome.bound,
    changes: null,
    considered: built.passedOver > 0 ? built.options.length : null,
    missing: outcome.diagnosis && missingSeats(outcome.diagnosis, built, needs),
    rounds: outcome.schedule.map((tables, round) => {
      const here = partners.filter((p) => p.round === round);
      const seated = new Set([...tables.flatMap((t) => t.learners), ...here.map((p) => p.learner)]);
      const resting = needs.flatMap((n, l) => (seated.has(l) ? [] : [{ learner: n.learner, l }]));
      return {
        tables: tables.map((t, table) => {
          const option = built.options[t.game]!;
          const sharers = here.filter((p) => p.table === table);
          const players = t.learners.length + (option.grownUp ? 1 : 0);
          const seatOf = (l: number, partner?: Partner): PlannedSeat => {
            const offer = at(built.chosen[partner?.holder ?? l]![t.game]!.variant, players);
            const reason = seatReason(graph, offer, needs[l]!, meeting.minutes);
            const shared = partner !== undefined || sharers.some((p) => p.holder === l);
            return {
              learner: needs[l]!.learner,
              variant: offer.variant,
              ...reason,
              // Two at one seat make about half of its moves each.
              chances: shared ? reason.chances / 2 : reason.chances,
              stretched: built.stretched[l]![t.game]!,
              ...(reason.skill !== null && needs[l]!.leaning?.has(graph.indexOf.get(reason.skill)!) ? { paced: true } : {}),
              ...(partner ? { with: needs[partner.holder]!.learner } : {}),
            };
          };
          return {
            game: option.game,
            ...(option.grownUp ? { grownUp: true } : {}),
            lookFor: lookForAt(
              t.learners.map((l) => ({ needs: needs[l]!, offer: built.chosen[l]![t.game]! })),
              meeting.minutes,
            ),
            seats: t.learners.flatMap((l) => [seatOf(l), ...sharers.filter((p) => p.holder === l).map((p) => seatOf(p.learner, p))]),
          };
        }),
        meanwhile: resting
          .filter(({ l }) => !rests(built.instance, l, round))
          .map(({ learner, l }) => {
            const offer = meanwhileFor(built, outcome.schedule, round, l, given.get(l) ?? new Set());
            if (offer) given.set(l, new Set([...(given.get(l) ?? []), offer.variant]));
            return { learner, variant: offer?.variant ?? null };
          }),
        resting: resting.map(({ learner }) => learner),
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
