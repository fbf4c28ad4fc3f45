import { and, type Column, eq, isNull, sql } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { type OwnAdditions, graphWith, useOwnAdditions } from '../../contract/graphInUse';
import type { Db, Tx } from '../db/db';
import { ownIn } from '../db/ownIn';
import {
  changes,
  crosswalk,
  expectations,
  frameworks,
  games,
  kinds,
  ownEdges,
  ownSkills,
  type UndoStep,
  variantMaterials,
  variants,
} from '../db/schema';
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
    if (change.undo.some((s) => tables[s.table].inGraph)) {
      own = ownIn(tx);
      const graph = graphWith(own);
      if (!graph.ok) throw new ProblemError({ ...graph.problem, message: `${graph.problem.message} So this cannot be undone any more.` });
    }
    return { undone: change.id, what: change.what };
  });
  if (own) useOwnAdditions(own);
  return done;
}

/** What undo knows of a table: its key, and whether its rows are versioned or shape the skill graph. */
interface UndoTable {
  readonly rows: SQLiteTable;
  readonly key: readonly [Column, ...Column[]];
  readonly version?: Column;
  readonly inGraph?: true;
}

const tables: Readonly<Record<UndoStep['table'], UndoTable>> = {
  games: { rows: games, key: [games.id], version: games.version },
  variants: { rows: variants, key: [variants.id], version: variants.version },
  variantMaterials: { rows: variantMaterials, key: [variantMaterials.variantId, variantMaterials.kindId] },
  kinds: { rows: kinds, key: [kinds.id] },
  ownSkills: { rows: ownSkills, key: [ownSkills.id], version: ownSkills.version, inGraph: true },
  ownEdges: { rows: ownEdges, key: [ownEdges.skill, ownEdges.needs], inGraph: true },
  frameworks: { rows: frameworks, key: [frameworks.id], inGraph: true },
  expectations: { rows: expectations, key: [expectations.frameworkId, expectations.identifier], inGraph: true },
  crosswalk: { rows: crosswalk, key: [crosswalk.frameworkId, crosswalk.identifier, crosswalk.skill], inGraph: true },
};

function applyUndo(tx: Tx, step: UndoStep): void {
  const { rows, key, version } = tables[step.table];
  if ('delete' in step) {
    // A part of the key deletes all that share it: a version's things, say.
    const named = key.filter((column) => step.delete[column.name] !== undefined);
    if (named.length === 0) throw new Error(`undo names no key of "${step.table}"`);
    tx.delete(rows)
      .where(and(...named.map((column) => eq(column, step.delete[column.name]))))
      .run();
    return;
  }
  if (step.table === 'ownSkills') refuseAnother(tx, step.put as typeof ownSkills.$inferSelect);
  // Versions keep counting, so that a page that was open sees that something happened.
  tx.insert(rows)
    .values(step.put)
    .onConflictDoUpdate({ target: [...key] as never, set: { ...step.put, ...(version ? { version: sql`${version} + 1` } : {}) } })
    .run();
}

/** A skill made anew under the same name is not written over. */
function refuseAnother(tx: Tx, before: typeof ownSkills.$inferSelect): void {
  const now = tx.select().from(ownSkills).where(eq(ownSkills.id, before.id)).get();
  if (now && now.createdAt !== before.createdAt)
    throw refuse('conflict', `Another skill “${now.skill.title}” stands in its place by now, so this cannot be undone.`, 'id');
}
