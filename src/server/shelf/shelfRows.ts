import { eq } from 'drizzle-orm';
import { nameKey } from '../../core/content/names';
import type { Db, Tx } from '../db/db';
import { games, variantMaterials, variants } from '../db/schema';
import { notFound } from '../http/problemError';

export type GameRow = typeof games.$inferSelect;
export type VariantRow = typeof variants.$inferSelect;

/** Two titles are the same when their letters and signs are; a title of punctuation alone is compared as it stands. */
export const sameTitle = (x: string, y: string): boolean => (nameKey(x) || x) === (nameKey(y) || y);

export function gameById(db: Db | Tx, id: string): GameRow {
  const row = db.select().from(games).where(eq(games.id, id)).get();
  if (!row) throw notFound('game', id);
  return row;
}

export function variantById(db: Db | Tx, id: string): VariantRow {
  const row = db.select().from(variants).where(eq(variants.id, id)).get();
  if (!row) throw notFound('version', id);
  return row;
}

export function materialsOf(db: Db | Tx, variantId: string): { kind: string; quantity: number }[] {
  return db
    .select({ kind: variantMaterials.kindId, quantity: variantMaterials.quantity })
    .from(variantMaterials)
    .where(eq(variantMaterials.variantId, variantId))
    .all();
}
