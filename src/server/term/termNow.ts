import type { Db } from '../db/db';
import { terms } from '../db/schema';

export type TermRow = typeof terms.$inferSelect;

/** The term that holds a day, else the next one, else the last. */
export function currentTerm(db: Db, today: string): TermRow | null {
  const all = db
    .select()
    .from(terms)
    .all()
    .sort((x, y) => (x.starts < y.starts ? -1 : 1));
  return all.find((t) => t.starts <= today && t.ends >= today) ?? all.find((t) => t.starts > today) ?? all.at(-1) ?? null;
}
