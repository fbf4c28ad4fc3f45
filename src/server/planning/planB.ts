import { eq } from 'drizzle-orm';
import { ownOf } from '../db/graphOf';
import type { Db } from '../db/db';
import { planBs, plans, type StoredPlanB } from '../db/schema';
import { keepShare, type PlanB, type PlanBAnswer } from '../../core/planning/planB';
import type { PlanningInput } from '../../core/planning/planTerm';
import { cancelJob, type Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { startAfter } from '../jobs/startAfter';
import { measureMissing } from '../shelf/measure';
import type { PlanRow } from './planById';
import type { FullRequest } from './planRequest';
import { sessionInput } from './sessionInput';
import { storedRounds } from './storePlan';

/** Seconds of search for each of the thirty or so answers. */
const secondsEach = 0.1;
/** A session is often changed several times in a row: only what stands for so long is worked out. */
const quietMs = 4000;

/** What is known for a session as it stands now; null where nobody has worked it out since it was changed. */
export function planBNow(db: Db, plan: PlanRow): { readonly answers: StoredPlanB; readonly madeOn: string } | null {
  const row = db.select().from(planBs).where(eq(planBs.planId, plan.id)).get();
  return row?.version === plan.version ? row : null;
}

/** A session as plan B looks at it: with its seats, of which a child leaves one only where that is worth a whole one. */
export const planBInput = (db: Db, request: FullRequest, today: string, plan: PlanRow): PlanningInput => ({
  ...sessionInput(db, { ...request, seconds: secondsEach }, today, plan),
  keepShare,
});

/** Works out what to do when something goes wrong, and keeps it beside the session. Asked twice, it is done once. */
export function startPlanB(db: Db, plan: PlanRow, today: string): Job<StoredPlanB> {
  return startAfter(measureMissing(db), () => {
    const input = planBInput(db, { ...plan.request, date: plan.date, locks: plan.locks }, today, plan);
    const task = { kind: 'plan-b' as const, own: ownOf(db), input };
    return startJob(task, (found: PlanB) => keep(db, plan, found, today), `plan-b|${plan.id}|${plan.version}`);
  });
}

function keep(db: Db, plan: PlanRow, found: PlanB, today: string): StoredPlanB {
  const stored = <T extends PlanBAnswer>(a: T) => ({ ...a, rounds: storedRounds(db, a).rounds });
  const answers: StoredPlanB = {
    away: found.away.map((a) => ({ ...stored(a), learners: [...a.learners] })),
    without: found.without.map(stored),
    shorter: found.shorter && stored(found.shorter),
  };
  const row = { version: plan.version, answers, madeOn: today };
  // A session that was changed or thrown away meanwhile has another plan B, or none.
  const still = db.select({ version: plans.version }).from(plans).where(eq(plans.id, plan.id)).get();
  if (still?.version === plan.version)
    db.insert(planBs)
      .values({ planId: plan.id, ...row })
      .onConflictDoUpdate({ target: planBs.planId, set: row })
      .run();
  return answers;
}

const soon = new Map<string, { readonly timer: NodeJS.Timeout; job: Job | null }>();

/** After a session was saved, when nobody has changed it for a while: so that a pack only has to print the answers. */
export function planBSoon(db: Db, id: string, today: string): void {
  const before = soon.get(id);
  if (before) {
    clearTimeout(before.timer);
    if (before.job) cancelJob(before.job.id);
  }
  const timer = setTimeout(() => {
    const plan = db.$client.open ? db.select().from(plans).where(eq(plans.id, id)).get() : undefined;
    const entry = soon.get(id)!;
    const done = (): void => void (soon.get(id) === entry && soon.delete(id));
    if (!plan || plan.playedAt || plan.date < today || planBNow(db, plan)) return done();
    entry.job = startPlanB(db, plan, today);
    void entry.job.finished.then(done);
  }, quietMs);
  timer.unref();
  soon.set(id, { timer, job: null });
}

/** Before a session is prepared: works out what nobody has yet, such as in a workspace that came from elsewhere. */
export function planBAhead(db: Db, plan: PlanRow, today: string): void {
  if (!soon.has(plan.id) && !planBNow(db, plan)) planBSoon(db, plan.id, today);
}
