import { eq } from 'drizzle-orm';
import type { AskedSheet } from '../../contract/sheetRequest';
import { stepsOf } from '../../core/materials/gettingReady';
import { stateOf } from '../../core/materials/onHand';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Ink } from '../../core/print/inks';
import type { Paper } from '../../core/print/paper';
import { sheetKindById } from '../../core/print/registry';
import { thingOf } from '../../core/print/thingOf';
import type { Db } from '../db/db';
import { kinds } from '../db/schema';
import { stepsDone } from '../prep/prepTicks';
import { variantById } from '../shelf/shelfRows';
import { type Needed, neededHere, neededSheets } from './neededSheets';

/** What is written on is used up each time. */
const isUsedUp = (sheet: string): boolean => sheetKindById(sheet)!.group === 'to write on';

/** Whether one of the thing lies in the cupboard, or nobody says that it does not. */
function isThere(db: Db, sheet: string, parameters: Readonly<Record<string, unknown>>): boolean {
  const thing = thingOf(sheet, { ...sheetKindById(sheet)!.example, ...parameters });
  const row = thing === null ? undefined : db.select().from(kinds).where(eq(kinds.id, thing)).get();
  return row !== undefined && stateOf(row) !== 'none';
}

/**
 * Sheets of the versions that are played: a set that is kept once, for the largest table that plays it; what is written on for
 * each table anew, for those who play that version there.
 */
export function packSets(
  db: Db,
  tables: readonly { readonly seats: readonly { readonly variant: string }[] }[],
  asked: { readonly everything?: boolean; readonly ink?: Ink },
  paper: Paper,
): { readonly sets: AskedSheet[]; readonly refused: string[] } {
  const done = stepsDone(db);
  const refused: string[] = [];
  const played = [...new Set(tables.flatMap((t) => t.seats.map((s) => s.variant)))];
  const sets = played.flatMap((id) => {
    const v = variantById(db, id);
    if (v.mechanism === null || !mechanismById(v.mechanism)) return [];
    const here = tables.filter((t) => t.seats.some((s) => s.variant === id));
    const ready = stepsOf(v).every((s) => s.sort !== 'print' || done.get(id)?.has(s.id));
    const needed = neededSheets(db, id, { players: Math.max(...here.map((t) => t.seats.length)) });
    refused.push(...needed.refused.map((r) => `${r.title.toLowerCase()} for ${v.title}: ${r.why}`));
    const kept = needed.items.filter((n) => !isUsedUp(n.sheet) && (asked.everything || (!ready && !isThere(db, n.sheet, n.parameters))));
    const written = here.flatMap((t) =>
      neededHere(db, id, t.seats.filter((s) => s.variant === id).length).filter((n) => isUsedUp(n.sheet)),
    );
    return [...kept, ...addedUp(written)].map((n): AskedSheet => ({
      sheet: n.sheet,
      parameters: n.parameters,
      copies: n.copies,
      paper,
      ink: asked.ink ?? 'colour',
      label: v.title.slice(0, 80),
    }));
  });
  return { sets, refused };
}

/** The same sheets of several tables as one set. */
function addedUp(needs: readonly Needed[]): Needed[] {
  const sets = new Map<string, Needed>();
  for (const n of needs) {
    const key = JSON.stringify([n.sheet, n.parameters]);
    const before = sets.get(key);
    sets.set(key, before ? { ...before, copies: before.copies + n.copies } : n);
  }
  return [...sets.values()];
}
