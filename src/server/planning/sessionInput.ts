import type { PlanningInput } from '../../core/planning/planTerm';
import type { Db } from '../db/db';
import type { PlanRow } from './planById';
import { type FullRequest, planDefaults, type PlanRequest } from './planRequest';
import { planningInput } from './planningInput';

/** Everything a worker needs to plan one session; with the seats of a plan that stands, where they are to be kept. */
export function sessionInput(db: Db, r: FullRequest, today: string, keep: PlanRow | null): PlanningInput {
  const meeting = { date: r.date, present: r.present, rounds: r.rounds, minutes: r.minutes, tables: r.tables, helpers: r.helpers };
  const more = {
    locks: withEverybody(r),
    resting: r.resting ?? [],
    seed: r.seed ?? 1,
    secondsPerMeeting: r.seconds ?? planDefaults.seconds,
    preparationMinutes: r.preparationMinutes ?? planDefaults.preparationMinutes,
    ...(r.timesEach ? { timesEach: r.timesEach } : {}),
    ...(r.grownUp ? { grownUp: true } : {}),
    ...(keep ? { keep: seatsOf(keep) } : {}),
  };
  return planningInput(db, [meeting], today, more, r.withoutGames);
}

/** What is fixed, with everybody at the game of each round that is for all. */
function withEverybody(r: PlanRequest): NonNullable<PlanRequest['locks']> {
  const rounds = (r.everybody ?? []).filter((e) => e.round < r.rounds);
  const resting = new Set((r.resting ?? []).map((x) => `${x.learner}|${x.round}`));
  return [
    ...(r.locks ?? []).filter((k) => !rounds.some((e) => e.round === k.round)),
    ...rounds.flatMap((e) =>
      r.present.filter((l) => !resting.has(`${l}|${e.round}`)).map((learner) => ({ learner, round: e.round, game: e.game })),
    ),
  ];
}

/** Who plays what, round by round. */
const seatsOf = (plan: PlanRow): [string, string][][] =>
  plan.rounds.map((r) => r.tables.flatMap((t) => t.seats.map((s): [string, string] => [s.learner, t.game])));
