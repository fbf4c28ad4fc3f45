import { eq } from 'drizzle-orm';
import type { MissingSeatsWire } from '../../contract/wire/plan';
import type { Kept } from '../../contract/wire/route';
import type { PlanningInput } from '../../core/planning/planTerm';
import type { PlannedMeeting } from '../../core/planning/plannedMeeting';
import type { Db } from '../db/db';
import { ownOf } from '../db/graphOf';
import { games, learners } from '../db/schema';
import { refuse } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { startAfter } from '../jobs/startAfter';
import { measureMissing } from '../shelf/measure';
import type { PlanRow } from './planById';
import { planBInput, planBSoon } from './planB';
import { planDefaults, type PlanRequest } from './planRequest';
import { sessionInput } from './sessionInput';
import { storePlan } from './storePlan';
import { wireMissing } from './wireMissing';

/** What a plan job ends with: the stored plan, and why nobody found a seat when the last good session was kept. */
export interface PlannedJob {
  readonly plan: string;
  readonly failed: Kept<MissingSeatsWire> | null;
  /** How much is other than it was, where little was to change. */
  readonly changes: PlannedMeeting['changes'];
}

/** Plans one session in a worker and stores it when done; versions that were never played are played first. */
export function startPlan(
  db: Db,
  request: PlanRequest,
  today: string,
  now: string,
  where: { readonly replace?: PlanRow; readonly id?: string; readonly keep?: 'where-it-pays' | 'as-plan-b' } = {},
): Job<PlannedJob> {
  const r = {
    ...request,
    date: request.date ?? today,
    seed: request.seed ?? 1,
    seconds: request.seconds ?? planDefaults.seconds,
    preparationMinutes: request.preparationMinutes ?? planDefaults.preparationMinutes,
  };
  checkRequest(db, r);
  const input = (): PlanningInput =>
    where.keep === 'as-plan-b' && where.replace
      ? planBInput(db, r, today, where.replace)
      : sessionInput(db, r, today, where.keep && where.replace ? where.replace : null);
  return startAfter(measureMissing(db), () =>
    startJob({ kind: 'plan', own: ownOf(db), input: input() }, ([planned]: PlannedMeeting[]) => {
      // A plan made anew that seats fewer leaves the last good session as it is, with what stood in the way.
      if (where.replace && planned!.missing && !where.replace.request.missing)
        return { plan: where.replace.id, failed: wireMissing(db, planned!.missing), changes: null };
      const plan = storePlan(db, planned!, r, now, { ...where, forecast: false });
      planBSoon(db, plan, today);
      return { plan, failed: null, changes: planned!.changes };
    }),
  );
}

function checkRequest(db: Db, r: PlanRequest): void {
  if (r.tables < 1) throw refuse('no-tables', 'There is no table to sit at. Give at least one.', 'tables');
  if (r.present.length === 0) throw refuse('nobody-present', 'Nobody is present. Tick at least one child.', 'present');
  const known = new Set(
    db
      .select()
      .from(learners)
      .all()
      .map((l) => l.id),
  );
  const stranger = r.present.findIndex((id) => !known.has(id));
  if (stranger >= 0) throw refuse('unknown-value', `There is no learner "${r.present[stranger]}".`, `present.${stranger}`);
  if (new Set(r.present).size < r.present.length) throw refuse('duplicate', 'A child is named twice.', 'present');
  for (const [i, { round, game }] of (r.everybody ?? []).entries()) {
    if (round >= r.rounds) throw refuse('out-of-range', `Round ${round + 1} does not exist.`, `everybody.${i}.round`);
    if (!db.select().from(games).where(eq(games.id, game)).get())
      throw refuse('unknown-value', `There is no game "${game}".`, `everybody.${i}.game`);
  }
  for (const [i, lock] of (r.locks ?? []).entries()) {
    if (lock.round >= r.rounds) throw refuse('out-of-range', `Round ${lock.round + 1} does not exist.`, `locks.${i}.round`);
    if (!r.present.includes(lock.learner)) throw refuse('unknown-value', `"${lock.learner}" is not present.`, `locks.${i}.learner`);
    if (!db.select().from(games).where(eq(games.id, lock.game)).get())
      throw refuse('unknown-value', `There is no game "${lock.game}".`, `locks.${i}.game`);
  }
}
