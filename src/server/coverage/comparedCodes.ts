import { and, eq, inArray } from 'drizzle-orm';
import type { Db } from '../db/db';
import { comparedCodes } from '../db/schema';
import { frameworkItems, frameworkList } from '../frameworks/frameworkStore';
import { notFound } from '../http/problemError';

/** Ticks codes that were compared with the official document, or takes ticks away. @throws not-found for what is not there */
export function tellCompared(db: Db, framework: string, identifiers: readonly string[], compared: boolean, now: string): void {
  if (!frameworkList(db).some((f) => f.id === framework)) throw notFound('framework', framework);
  const known = new Set(frameworkItems(db, framework).map((e) => e.identifier));
  const lost = identifiers.find((i) => !known.has(i));
  if (lost !== undefined) throw notFound('expectation', lost);
  if (identifiers.length === 0) return;
  if (compared)
    db.insert(comparedCodes)
      .values(identifiers.map((identifier) => ({ framework, identifier, at: now })))
      .onConflictDoNothing()
      .run();
  else
    db.delete(comparedCodes)
      .where(and(eq(comparedCodes.framework, framework), inArray(comparedCodes.identifier, [...identifiers])))
      .run();
}
