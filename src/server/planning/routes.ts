import { eq } from 'drizzle-orm';
import { type PlanWire } from '../../contract/wire/plan';
import { plansWire } from '../../contract/wire/plans';
import type { Kept } from '../../contract/wire/route';
import type { Db } from '../db/db';
import { plans } from '../db/schema';
import { refuse } from '../http/problemError';
import { page, Reply, serve } from '../http/route';
import { thenOf } from './thenOf';
import { uuidOf } from '../shared/uuidOf';
import { answerOf } from '../simulations/answerOf';
import { planFor } from '../term/termStore';
import { completeRounds, editPlan } from './editPlan';
import { checkRounds } from './checkRounds';
import { everybodyOf } from './everybodyOf';
import { insteadOf } from './insteadOf';
import { planById } from './planById';
import { planBWire } from './planBWire';
import { startPriceOf } from './priceOfAims';
import { startReplan } from './replan';
import { startSessionNow } from './sessionNow';
import { type PlannedJob, startPlan } from './startPlan';
import { startWhatIf } from './whatIf';
import { wirePlan } from './wirePlan';

/** A plan that found no seats and left the last good session in its place says so beside it. */
async function answerPlan(db: Db, id: string, failed: PlannedJob['failed']): Promise<Kept<PlanWire>> {
  const wire = await wirePlan(db, planById(db, id));
  return failed ? { ...wire, failed } : wire;
}

export const planningRoutes = serve(plansWire, {
  'GET /plans': ({ db, query }) =>
    page(
      db
        .select()
        .from(plans)
        .all()
        .filter((p) => query.date === undefined || p.date === query.date)
        .sort((x, y) => (x.date < y.date ? 1 : -1))
        .map(({ id, date, status, objective, bound, playedAt, forecast, edited, number }) => ({
          id,
          date,
          status,
          objective,
          bound,
          playedAt,
          forecast,
          edited,
          number,
        })),
      query,
    ),
  'POST /plans': ({ db, body, query, today, now, key }) => {
    const date = body.date ?? today;
    const old = planFor(db.select().from(plans).all(), date);
    // The key decides the id, so that the same write sent again after a crash finds the plan it made.
    const where = old?.forecast ? { replace: old } : key ? { id: uuidOf(`urn:zeitgeber:plans:${key}`) } : {};
    const job = startPlan(db, body, today, now, where);
    return answerOf(job, query.wait ?? 30, async ({ plan, failed }) => new Reply(201, await answerPlan(db, plan, failed)));
  },
  'GET /plans/{id}': ({ db, params }) => wirePlan(db, planById(db, params.id)),
  'PUT /plans/{id}': ({ db, params, body, today }) => editPlan(db, params.id, body.rounds, body.locks ?? [], body.version, today),
  'DELETE /plans/{id}': ({ db, params }) => {
    const plan = planById(db, params.id);
    if (plan.playedAt) throw refuse('conflict', 'This session was played; its plan stays.', 'id');
    db.delete(plans).where(eq(plans.id, plan.id)).run();
    return { ok: true as const };
  },
  'POST /plans/{id}/check': async ({ db, params, body, today }) => {
    const plan = planById(db, params.id);
    const rounds = await completeRounds(db, plan, body.rounds, today);
    return { ...(await checkRounds(db, { ...plan, locks: body.locks ?? plan.locks }, rounds, today)), rounds };
  },
  'GET /plans/{id}/everybody': async ({ db, params, today }) => everybodyOf(db, planById(db, params.id), today),
  'POST /plans/{id}/instead': ({ db, params, body, today }) => {
    const plan = planById(db, params.id);
    return insteadOf(db, { ...plan, locks: body.locks ?? plan.locks }, body.rounds, body, body.limit, today);
  },
  'POST /plans/{id}/whatif': async ({ db, params, body, query, today }) =>
    answerOf(await startWhatIf(db, planById(db, params.id), body.rounds, body, today), query.wait, (found) => found),
  'POST /sessions/now': async ({ db, body, query, today, now }) => {
    const { job, taken } = await startSessionNow(db, body, today, now);
    return answerOf(job, query.wait ?? 30, ({ plan }) => new Reply(201, { plan, taken: [...taken] }));
  },
  'POST /plans/{id}/price': async ({ db, params, body, query, today }) =>
    answerOf(await startPriceOf(db, planById(db, params.id), body.aim, today), query.wait, (found) => found),
  'POST /plans/{id}/replan': ({ db, params, body, query, today, now }) =>
    answerOf(startReplan(db, planById(db, params.id), body, today, now), query.wait ?? 30, async ({ plan, failed, changes }) => ({
      ...(await answerPlan(db, plan, failed)),
      ...(changes ? { changes } : {}),
    })),
  'POST /plans/{id}/plan-b': ({ db, params, query, today }) =>
    answerOf(planBWire(db, planById(db, params.id), today), query.wait, (b) => b),
  'GET /plans/{id}/then': async ({ db, params, today }) => thenOf(db, planById(db, params.id), today),
});
