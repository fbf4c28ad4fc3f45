import { eq } from 'drizzle-orm';
import type { Db } from '../db/db';
import { settings } from '../db/schema';

const key = 'door';
export type Door = 'kitchen' | null;

/** By which door the owner came in; a kitchen table sees no files, helpers or terms until it asks for them. */
export const doorOf = (db: Db): Door =>
  db.select().from(settings).where(eq(settings.key, key)).get()?.value === 'kitchen' ? 'kitchen' : null;

export function setDoor(db: Db, door: Door): { door: Door } {
  if (door === null) db.delete(settings).where(eq(settings.key, key)).run();
  else
    db.insert(settings)
      .values({ key, value: door })
      .onConflictDoUpdate({ target: settings.key, set: { value: door } })
      .run();
  return { door };
}
