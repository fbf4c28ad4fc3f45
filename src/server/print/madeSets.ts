import { desc, eq } from 'drizzle-orm';
import { median } from 'd3-array';
import type { AskedSheet } from '../../contract/sheetRequest';
import { stepsOf } from '../../core/materials/gettingReady';
import type { SheetLayout } from '../../core/print/layOut';
import { sheetKindById } from '../../core/print/registry';
import { minutesOfWork, type SheetWork } from '../../core/print/sheetWork';
import { thingOf } from '../../core/print/thingOf';
import type { Db, Tx } from '../db/db';
import { kinds, madeSets, prepTicks, type UndoStep } from '../db/schema';
import { notFound } from '../http/problemError';
import { variantById } from '../shelf/shelfRows';
import { recordChange, stepBack } from '../undo/undo';
import { checkedSheet } from './printing';

/** Own times before they count, and how far they may pull (common practice, no source). */
const fewestTimes = 3;
const bounds = [0.4, 3] as const;

/** How this owner's sets compare with what was reckoned: the median of told minutes to reckoned ones, 1 until three were told. */
export function ownPace(db: Db): number {
  const told = db
    .select({ minutes: madeSets.minutes, reckoned: madeSets.reckoned })
    .from(madeSets)
    .all()
    .flatMap(({ minutes, reckoned }) => (minutes !== null && minutes > 0 && reckoned > 0 ? [minutes / reckoned] : []));
  if (told.length < fewestTimes) return 1;
  return Math.min(bounds[1], Math.max(bounds[0], median(told)!));
}

/** Minutes a set takes here, about; half a minute at least. */
export const minutesHere = (pace: number, work: Omit<SheetWork, 'teaches'>): number =>
  Math.max(0.5, Math.round(2 * pace * minutesOfWork([work])) / 2);

export const madeList = (db: Db) =>
  db
    .select()
    .from(madeSets)
    .orderBy(desc(madeSets.madeOn), desc(madeSets.id))
    .all()
    .map((m) => ({
      id: m.id,
      sheet: m.sheet,
      title: sheetKindById(m.sheet)?.title ?? m.sheet,
      parameters: m.parameters,
      seed: m.seed,
      paper: m.paper,
      form: m.form,
      mark: m.mark,
      label: m.label,
      copies: m.copies,
      pieces: m.pieces,
      variant: m.variantId,
      thing: m.kindId,
      madeOn: m.madeOn,
      minutes: m.minutes,
    }));

/** Work that making a set does for the version it was made for. */
const doneByMaking = ['print', 'cut', 'bag'];

type Made = AskedSheet & { readonly variant?: string | null; readonly minutes?: number | null };

/**
 * Keeps that a set was made: there is one more of its thing, and what it takes to get its version ready is ticked off. Runs in
 * one transaction; the change takes all of it back.
 */
export const keepMade = (db: Db, asked: Made, laid: SheetLayout, today: string, now: string): { id: string; change: string } =>
  db.transaction((tx) => {
    const { id, title, undo } = addMade(db, tx, asked, laid, today, now);
    return { id, change: recordChange(tx, `Made ${title.toLowerCase()}`, undo) };
  });

/** The same of several sets, all or none; one change takes all of them back. */
export const keepSeveral = (
  db: Db,
  sets: readonly (readonly [Made, SheetLayout])[],
  today: string,
  now: string,
): { ids: string[]; change: string } =>
  db.transaction((tx) => {
    const made = sets.map(([asked, laid]) => addMade(db, tx, asked, laid, today, now));
    // What was done last is taken back first: two sets may be of one thing.
    const undo = made
      .map((m) => m.undo)
      .reverse()
      .flat();
    return { ids: made.map((m) => m.id), change: recordChange(tx, `Made ${made.length} sets`, undo) };
  });

function addMade(
  db: Db,
  tx: Tx,
  asked: Made,
  laid: SheetLayout,
  today: string,
  now: string,
): { id: string; title: string; undo: UndoStep[] } {
  const { variant = null, minutes = null, ...set } = asked;
  const { kind, request } = checkedSheet(db, set);
  const id = crypto.randomUUID();
  const undo: UndoStep[] = [{ table: 'madeSets', delete: { id } }];
  const thing = thingOf(kind.id, { ...kind.example, ...request.parameters });
  const row = thing === null ? undefined : tx.select().from(kinds).where(eq(kinds.id, thing)).get();
  if (row) {
    // What was plenty stays so; what nobody counted begins with what is made now.
    const after =
      row.told === 'plenty' ? {} : { quantity: (row.told === 'number' ? row.quantity : 0) + request.copies, told: 'number' as const };
    if (Object.keys(after).length > 0) {
      tx.update(kinds).set(after).where(eq(kinds.id, row.id)).run();
      undo.push(stepBack('kinds', { id: row.id }, row, after));
    }
  }
  if (variant !== null)
    for (const step of stepsOf(variantById(tx, variant)).filter((s) => doneByMaking.includes(s.sort))) {
      const added = tx.insert(prepTicks).values({ variantId: variant, step: step.id, tickedAt: now }).onConflictDoNothing().run();
      if (added.changes > 0) undo.push({ table: 'prepTicks', delete: { variantId: variant, step: step.id } });
    }
  tx.insert(madeSets)
    .values({
      id,
      sheet: kind.id,
      parameters: { ...request.parameters },
      seed: laid.seed,
      paper: request.paper,
      form: request.form,
      mark: request.mark,
      label: request.label,
      copies: request.copies,
      pieces: laid.pieces,
      variantId: variant,
      kindId: row?.id ?? null,
      madeOn: today,
      minutes,
      reckoned: minutesOfWork([laid]),
    })
    .run();
  return { id, title: kind.title, undo };
}

/** Tells how long a set took. */
export function timeMade(db: Db, id: string, minutes: number | null): { ok: true; change: string } {
  return db.transaction((tx) => {
    const before = tx.select().from(madeSets).where(eq(madeSets.id, id)).get();
    if (!before) throw notFound('set', id);
    tx.update(madeSets).set({ minutes }).where(eq(madeSets.id, id)).run();
    return { ok: true, change: recordChange(tx, 'Noted how long a set took', [stepBack('madeSets', { id }, before, { minutes })]) };
  });
}

/** Forgets a set; there is one less of its thing, unless fewer are there already. */
export function unmake(db: Db, id: string): { ok: true; change: string } {
  return db.transaction((tx) => {
    const before = tx.select().from(madeSets).where(eq(madeSets.id, id)).get();
    if (!before) throw notFound('set', id);
    const undo: UndoStep[] = [{ table: 'madeSets', put: before }];
    const row = before.kindId === null ? undefined : tx.select().from(kinds).where(eq(kinds.id, before.kindId)).get();
    if (row?.told === 'number') {
      const after = { quantity: Math.max(0, row.quantity - before.copies) };
      tx.update(kinds).set(after).where(eq(kinds.id, row.id)).run();
      undo.push(stepBack('kinds', { id: row.id }, row, after));
    }
    tx.delete(madeSets).where(eq(madeSets.id, id)).run();
    return { ok: true, change: recordChange(tx, 'Took away a set', undo) };
  });
}
