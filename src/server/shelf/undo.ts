import { and, eq, isNull } from 'drizzle-orm';
import type { Db, Tx } from '../db/db';
import { changes, games, kinds, type UndoStep, variantMaterials, variants } from '../db/schema';
import { refuse } from '../http/problemError';

/** Keeps how to take an edit back. */
export function recordChange(tx: Tx | Db, what: string, undo: UndoStep[]): string {
  const id = crypto.randomUUID();
  tx.insert(changes).values({ id, at: new Date().toISOString(), what, undo }).run();
  return id;
}

/** Takes back the latest change (or a named one). */
export function undoChange(db: Db, id: string | null, now: string): { undone: string; what: string } {
  return db.transaction((tx) => {
    const all = tx.select().from(changes).where(isNull(changes.undoneAt)).all();
    const change = id ? all.find((c) => c.id === id) : all.sort((x, y) => (x.at < y.at ? 1 : -1))[0];
    if (!change) throw refuse('not-found', id ? 'This change was undone already or does not exist.' : 'There is nothing to undo.', 'id');
    for (const step of change.undo) applyUndo(tx, step);
    tx.update(changes).set({ undoneAt: now }).where(eq(changes.id, change.id)).run();
    return { undone: change.id, what: change.what };
  });
}

const tables = { games, variants, variantMaterials, kinds } as const;

function applyUndo(tx: Tx, step: UndoStep): void {
  if ('delete' in step) {
    if (step.table === 'variantMaterials') tx.delete(variantMaterials).where(eq(variantMaterials.variantId, String(step.delete['variantId']))).run();
    else tx.delete(tables[step.table]).where(eq(tables[step.table].id, String(step.delete['id']))).run();
    return;
  }
  if (step.table === 'variantMaterials') {
    const row = step.put as typeof variantMaterials.$inferInsert;
    tx.delete(variantMaterials).where(and(eq(variantMaterials.variantId, row.variantId), eq(variantMaterials.kindId, row.kindId))).run();
    tx.insert(variantMaterials).values(row).run();
  } else if (step.table === 'games') {
    const row = step.put as typeof games.$inferSelect;
    const current = tx.select().from(games).where(eq(games.id, row.id)).get();
    tx.insert(games).values(row).onConflictDoUpdate({ target: games.id, set: { ...row, version: (current?.version ?? row.version) + 1 } }).run();
  } else if (step.table === 'variants') {
    const row = step.put as typeof variants.$inferSelect;
    const current = tx.select().from(variants).where(eq(variants.id, row.id)).get();
    tx.insert(variants).values(row).onConflictDoUpdate({ target: variants.id, set: { ...row, version: (current?.version ?? row.version) + 1 } }).run();
  } else {
    const row = step.put as typeof kinds.$inferInsert;
    tx.insert(kinds).values(row).onConflictDoUpdate({ target: kinds.id, set: row }).run();
  }
}
