import { eq } from 'drizzle-orm';
import { reviewWire } from '../../contract/wire/review';
import type { Db } from '../db/db';
import { plans } from '../db/schema';
import { refuse } from '../http/problemError';
import { serve } from '../http/route';
import { planById } from '../planning/planById';
import { readyByPlay } from '../prep/prepTicks';
import { reviewOf } from './reviewOf';

export const reviewRoutes = serve(reviewWire, {
  'POST /plans/{id}/played': ({ db, params, body, now, today }) => {
    const plan = planById(db, params.id);
    if (body.played !== false && plan.date > today)
      throw refuse('in-the-future', `This session is planned for ${plan.date}, after today.`, 'date');
    const playedAt = body.played === false ? null : now;
    db.transaction((tx) => {
      tx.update(plans).set({ playedAt, forecast: false }).where(eq(plans.id, plan.id)).run();
      if (playedAt !== null) readyByPlay(tx as unknown as Db, plan, now);
    });
    return { id: plan.id, playedAt };
  },
  'GET /plans/{id}/review': ({ db, params }) => reviewOf(db, planById(db, params.id)),
});
