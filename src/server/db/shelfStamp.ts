import type { Statement } from 'better-sqlite3';
import type { Db } from './db';

/** What offers are read from. */
const watched: readonly (readonly [string, string])[] = [
  ['games', 'UPDATE'],
  ['variants', 'UPDATE'],
  ['variant_materials', 'UPDATE'],
  // That a result was used today changes nothing of what it says.
  ['simulations', 'UPDATE OF summary'],
];

const readers = new WeakMap<object, Statement<[], number>>();

/**
 * A number that stays as long as the shelf and what is known of its games stay, whatever else is written
 * through this connection. Changes that are rolled back roll it back too, so nothing may be kept by it
 * that was read inside a transaction.
 */
export function shelfStamp(db: Db): number {
  let reader = readers.get(db.$client);
  if (!reader) {
    db.$client.exec('CREATE TEMP TABLE shelf_stamp (n INTEGER NOT NULL); INSERT INTO shelf_stamp VALUES (0)');
    for (const [table, update] of watched)
      for (const event of ['INSERT', update, 'DELETE'])
        db.$client.exec(
          `CREATE TEMP TRIGGER shelf_${table}_${event.slice(0, 6)} AFTER ${event} ON main.${table} BEGIN UPDATE shelf_stamp SET n = n + 1; END`,
        );
    reader = db.$client.prepare<[], number>('SELECT n FROM shelf_stamp').pluck();
    readers.set(db.$client, reader);
  }
  return reader.get()!;
}
