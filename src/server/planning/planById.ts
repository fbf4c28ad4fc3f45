import { eq } from 'drizzle-orm';
import type { Db } from '../db/db';
import { plans } from '../db/schema';
import { notFound } from '../http/problemError';

export type PlanRow = typeof plans.$inferSelect;

/** A stored session as it stands now. @throws not-found */
export function planById(db: Db, id: string): PlanRow {
  const row = db.select().from(plans).where(eq(plans.id, id)).get();
  if (!row) throw notFound('plan', id);
  return row;
}
