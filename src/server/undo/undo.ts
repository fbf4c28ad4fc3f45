import { and, eq, isNull } from 'drizzle-orm';
import type { Db, Tx } from '../db/db';
import { type OwnAdditions, graphWith, useOwnAdditions } from '../../contract/graphInUse';
import { ownIn } from '../db/ownIn';
import { changes, crosswalk, expectations, frameworks, games, kinds, ownEdges, ownSkills, type UndoStep, variantMaterials, variants } from '../db/schema';
import { ProblemError, refuse } from '../http/problemError';

/** Keeps how to take an edit back. */
export function recordChange(tx: Tx | Db, what: string, undo: UndoStep[]): string {
  const id = crypto.randomUUID();
  tx.insert(changes).values({ id, at: new Date().toISOString(), what, undo }).run();
  return id;
}

/** Takes back the latest change (or a named one); the skill graph must hold afterwards, or nothing is undone. */
export function undoChange(db: Db, id: string | null, now: string): { undone: string; what: string } {
  let own: OwnAdditions | null = null;
  const done = db.transaction((tx) => {
    const all = tx.select().from(changes).where(isNull(changes.undoneAt)).all();
    const change = id ? all.find((c) => c.id === id) : all.sort((x, y) => (x.at < y.at ? 1 : -1))[0];
    if (!change) throw refuse('not-found', id ? 'This change was undone already or does not exist.' : 'There is nothing to undo.', 'id');
    for (const step of change.undo) applyUndo(tx, step);
    tx.update(changes).set({ undoneAt: now }).where(eq(changes.id, change.id)).run();
    if (change.undo.some((s) => !shelfTables.includes(s.table))) {
      own = ownIn(tx);
      const graph = graphWith(own);
      if (!graph.ok) throw new ProblemError({ ...graph.problem, message: `${graph.problem.message} So this cannot be undone any more.` });
    }
    return { undone: change.id, what: change.what };
  });
  if (own) useOwnAdditions(own);
  return done;
}

const shelfTables: readonly UndoStep['table'][] = ['games', 'variants', 'variantMaterials', 'kinds'];

function applyUndo(tx: Tx, step: UndoStep): void {
  const row = 'put' in step ? step.put : step.delete;
  // Rows with versions keep counting, so that a page that was open sees that something happened.
  if ('put' in step && (step.table === 'games' || step.table === 'variants')) return putVersioned(tx, step.table, row);
  if ('put' in step && step.table === 'kinds') return void tx.insert(kinds).values(row as typeof kinds.$inferInsert).onConflictDoUpdate({ target: kinds.id, set: row }).run();
  if ('put' in step && step.table === 'ownSkills') refuseAnother(tx, row as typeof ownSkills.$inferSelect);
  deleteRow(tx, step.table, row);
  if ('put' in step) insertRow(tx, step.table, row);
}

/** A skill made anew under the same name is not written over. */
function refuseAnother(tx: Tx, before: typeof ownSkills.$inferSelect): void {
  const now = tx.select().from(ownSkills).where(eq(ownSkills.id, before.id)).get();
  if (now && now.createdAt !== before.createdAt) throw refuse('conflict', `Another skill “${now.skill.title}” stands in its place by now, so this cannot be undone.`, 'id');
}

function putVersioned(tx: Tx, table: 'games' | 'variants', row: Record<string, unknown>): void {
  if (table === 'games') {
    const before = row as typeof games.$inferSelect;
    const current = tx.select().from(games).where(eq(games.id, before.id)).get();
    tx.insert(games).values(before).onConflictDoUpdate({ target: games.id, set: { ...before, version: (current?.version ?? before.version) + 1 } }).run();
    return;
  }
  const before = row as typeof variants.$inferSelect;
  const current = tx.select().from(variants).where(eq(variants.id, before.id)).get();
  tx.insert(variants).values(before).onConflictDoUpdate({ target: variants.id, set: { ...before, version: (current?.version ?? before.version) + 1 } }).run();
}

/** Deletes one row by its key; of a version's things all, when no kind is named. */
function deleteRow(tx: Tx, table: UndoStep['table'], key: Record<string, unknown>): void {
  const text = (name: string): string => String(key[name]);
  switch (table) {
    case 'games':
      return void tx.delete(games).where(eq(games.id, text('id'))).run();
    case 'variants':
      return void tx.delete(variants).where(eq(variants.id, text('id'))).run();
    case 'kinds':
      return void tx.delete(kinds).where(eq(kinds.id, text('id'))).run();
    case 'variantMaterials':
      return void tx.delete(variantMaterials).where(key['kindId'] === undefined ? eq(variantMaterials.variantId, text('variantId')) : and(eq(variantMaterials.variantId, text('variantId')), eq(variantMaterials.kindId, text('kindId')))).run();
    case 'ownSkills':
      return void tx.delete(ownSkills).where(eq(ownSkills.id, text('id'))).run();
    case 'ownEdges':
      return void tx.delete(ownEdges).where(and(eq(ownEdges.skill, text('skill')), eq(ownEdges.needs, text('needs')))).run();
    case 'frameworks':
      return void tx.delete(frameworks).where(eq(frameworks.id, text('id'))).run();
    case 'expectations':
      return void tx.delete(expectations).where(and(eq(expectations.frameworkId, text('frameworkId')), eq(expectations.identifier, text('identifier')))).run();
    case 'crosswalk':
      return void tx.delete(crosswalk).where(and(eq(crosswalk.frameworkId, text('frameworkId')), eq(crosswalk.identifier, text('identifier')), eq(crosswalk.skill, text('skill')))).run();
  }
}

function insertRow(tx: Tx, table: UndoStep['table'], row: Record<string, unknown>): void {
  switch (table) {
    case 'variantMaterials':
      return void tx.insert(variantMaterials).values(row as typeof variantMaterials.$inferInsert).run();
    case 'ownSkills':
      return void tx.insert(ownSkills).values(row as typeof ownSkills.$inferInsert).run();
    case 'ownEdges':
      return void tx.insert(ownEdges).values(row as typeof ownEdges.$inferInsert).run();
    case 'frameworks':
      return void tx.insert(frameworks).values(row as typeof frameworks.$inferInsert).run();
    case 'expectations':
      return void tx.insert(expectations).values(row as typeof expectations.$inferInsert).run();
    case 'crosswalk':
      return void tx.insert(crosswalk).values(row as typeof crosswalk.$inferInsert).run();
    default:
      throw new Error(`rows of "${table}" are put back with their versions`);
  }
}
