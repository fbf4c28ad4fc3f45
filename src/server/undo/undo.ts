import { and, type Column, eq, isNull, sql, type SQL } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { graphWith } from '../../contract/graphWith';
import type { Db, Tx } from '../db/db';
import { renewGraph } from '../db/graphOf';
import { ownIn } from '../db/ownIn';
import {
  changes,
  crosswalk,
  expectations,
  frameworks,
  games,
  kinds,
  madeSets,
  ownEdges,
  ownSkills,
  pacing,
  prepTicks,
  type UndoStep,
  variantMaterials,
  variants,
} from '../db/schema';
import { ProblemError, refuse } from '../http/problemError';
import { momentNow } from '../shared/clock';
import { inUseBy } from './inUseBy';

/** Keeps how to take an edit back. */
export function recordChange(tx: Tx | Db, what: string, undo: UndoStep[]): string {
  const id = crypto.randomUUID();
  tx.insert(changes).values({ id, at: momentNow(), what, undo }).run();
  return id;
}

/** The step that takes back what a write changed in one row, and nothing else of it. */
export function stepBack(
  table: UndoStep['table'],
  key: Record<string, unknown>,
  before: Readonly<Record<string, unknown>>,
  after: Readonly<Record<string, unknown>>,
): UndoStep {
  const changed = Object.keys(after).filter((name) => name !== 'version' && !same(before[name], after[name]));
  const of = (row: Readonly<Record<string, unknown>>): Record<string, unknown> =>
    Object.fromEntries(changed.map((name) => [name, row[name] ?? null]));
  return { table, key, set: of(before), was: of(after) };
}

const same = (x: unknown, y: unknown): boolean => JSON.stringify(x ?? null) === JSON.stringify(y ?? null);

/**
 * Takes back the latest change (or a named one): only what it changed, and only while nothing newer stands on it; the skill
 * graph must hold afterwards. @throws ProblemError in words where it cannot, and then nothing is undone.
 */
export function undoChange(db: Db, id: string | null, now: string): { undone: string; what: string } {
  let graphChanged = false;
  const done = db.transaction((tx) => {
    const all = tx.select().from(changes).where(isNull(changes.undoneAt)).all();
    const change = id ? all.find((c) => c.id === id) : all.sort((x, y) => (x.at < y.at ? 1 : -1))[0];
    if (!change) throw refuse('not-found', id ? 'This change was undone already or does not exist.' : 'There is nothing to undo.', 'id');
    refuseInUse(tx, change.undo);
    try {
      for (const step of change.undo) applyUndo(tx, step);
    } catch (error) {
      // A rule of the database that a newer edit would break.
      if ((error as { code?: string }).code?.startsWith('SQLITE_CONSTRAINT')) throw standsInTheWay();
      throw error;
    }
    tx.update(changes).set({ undoneAt: now }).where(eq(changes.id, change.id)).run();
    if (change.undo.some((s) => tables[s.table].inGraph)) {
      graphChanged = true;
      const graph = graphWith(ownIn(tx));
      if (!graph.ok) throw new ProblemError({ ...graph.problem, message: `${graph.problem.message} So this cannot be undone any more.` });
    }
    return { undone: change.id, what: change.what };
  });
  if (graphChanged) renewGraph(db);
  return done;
}

const standsInTheWay = (): ProblemError =>
  refuse('conflict', 'Something newer stands on this change, so it cannot be undone by itself. Undo what came after it first.', 'id');

/** What a change added stays when it was used since. */
function refuseInUse(tx: Tx, steps: readonly UndoStep[]): void {
  const added = (table: UndoStep['table']): Set<string> =>
    new Set(steps.flatMap((s) => ('delete' in s && s.table === table && typeof s.delete['id'] === 'string' ? [s.delete['id']] : [])));
  const used = inUseBy(tx, { games: added('games'), variants: added('variants'), kinds: added('kinds') });
  if (used) throw refuse('conflict', `${used} So it cannot be taken back; put it away instead.`, 'id');
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
  madeSets: { rows: madeSets, key: [madeSets.id] },
  prepTicks: { rows: prepTicks, key: [prepTicks.variantId, prepTicks.step] },
  ownSkills: { rows: ownSkills, key: [ownSkills.id], version: ownSkills.version, inGraph: true },
  ownEdges: { rows: ownEdges, key: [ownEdges.skill, ownEdges.needs], inGraph: true },
  frameworks: { rows: frameworks, key: [frameworks.id], inGraph: true },
  expectations: { rows: expectations, key: [expectations.frameworkId, expectations.identifier], inGraph: true },
  pacing: { rows: pacing, key: [pacing.week, pacing.framework, pacing.identifier] },
  crosswalk: { rows: crosswalk, key: [crosswalk.frameworkId, crosswalk.identifier, crosswalk.skill], inGraph: true },
};

/** The rows that a key, or a part of it, names. */
function named(table: UndoStep['table'], key: Readonly<Record<string, unknown>>): SQL {
  const columns = tables[table].key.filter((column) => key[column.name] !== undefined);
  if (columns.length === 0) throw new Error(`undo names no key of "${table}"`);
  return and(...columns.map((column) => eq(column, key[column.name])))!;
}

function applyUndo(tx: Tx, step: UndoStep): void {
  const { rows, key, version } = tables[step.table];
  const counted = version ? { version: sql`${version} + 1` } : {};
  if ('delete' in step) {
    tx.delete(rows).where(named(step.table, step.delete)).run();
    return;
  }
  if ('set' in step) {
    const now = tx.select().from(rows).where(named(step.table, step.key)).get() as Record<string, unknown> | undefined;
    if (!now) throw standsInTheWay();
    if (Object.entries(step.was).some(([name, value]) => !same(now[name], value)))
      throw refuse(
        'conflict',
        'This was changed again since, so the older change cannot be undone by itself. Undo the newer one first.',
        'id',
      );
    // Versions keep counting, so that a page that was open sees that something happened.
    tx.update(rows)
      .set({ ...step.set, ...counted } as never)
      .where(named(step.table, step.key))
      .run();
    return;
  }
  if (step.table === 'ownSkills') refuseAnother(tx, step.put as typeof ownSkills.$inferSelect);
  tx.insert(rows)
    .values(step.put)
    .onConflictDoUpdate({ target: [...key] as never, set: { ...step.put, ...counted } })
    .run();
}

/** A skill made anew under the same name is not written over. */
function refuseAnother(tx: Tx, before: typeof ownSkills.$inferSelect): void {
  const now = tx.select().from(ownSkills).where(eq(ownSkills.id, before.id)).get();
  if (now && now.createdAt !== before.createdAt)
    throw refuse('conflict', `Another skill “${now.skill.title}” stands in its place by now, so this cannot be undone.`, 'id');
}
