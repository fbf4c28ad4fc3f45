import { and, eq } from 'drizzle-orm';
import { stepsOf } from '../../core/materials/gettingReady';
import type { Db, Tx } from '../db/db';
import { type plans, prepTicks, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import { variantById } from '../shelf/shelfRows';

/** Steps of getting ready that are done, by version. */
export function stepsDone(db: Db | Tx): ReadonlyMap<string, ReadonlySet<string>> {
  const done = new Map<string, Set<string>>();
  for (const t of db.select().from(prepTicks).all()) done.set(t.variantId, (done.get(t.variantId) ?? new Set()).add(t.step));
  return done;
}

/** A step is done, or not after all. @throws not-found; unknown-value for a step that the version has not */
export function tickStep(
  db: Db,
  asked: { readonly variant: string; readonly step: string; readonly ticked: boolean },
  now: string,
): { variant: string; step: string; ticked: boolean } {
  const { variant, step, ticked } = asked;
  if (!stepsOf(variantById(db, variant)).some((s) => s.id === step))
    throw refuse('unknown-value', `"${step}" is no step of getting this ready.`, 'step');
  if (ticked) db.insert(prepTicks).values({ variantId: variant, step, tickedAt: now }).onConflictDoNothing().run();
  else
    db.delete(prepTicks)
      .where(and(eq(prepTicks.variantId, variant), eq(prepTicks.step, step)))
      .run();
  return { variant, step, ticked };
}

/** What was played is ready: made once, used for years. */
export function readyByPlay(db: Db, plan: typeof plans.$inferSelect, now: string): void {
  const played = new Set(plan.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.variant))));
  const ticks = db
    .select()
    .from(variants)
    .all()
    .filter((v) => played.has(v.id))
    .flatMap((v) => stepsOf(v).map((s) => ({ variantId: v.id, step: s.id, tickedAt: now })));
  for (const t of ticks) db.insert(prepTicks).values(t).onConflictDoNothing().run();
}
