import type { Statement } from 'better-sqlite3';
import type { Db } from './db';

type Watched = readonly (readonly [table: string, update: string])[];

/** What offers are read from. */
const shelf: Watched = [
  ['games', 'UPDATE'],
  ['variants', 'UPDATE'],
  ['variant_materials', 'UPDATE'],
  // What is there decides what stands in for what.
  ['kinds', 'UPDATE'],
  // What is ready needs no more preparing.
  ['prep_ticks', 'UPDATE'],
  // That a result was used today changes nothing of what it says.
  ['simulations', 'UPDATE OF summary'],
];
/** What maps are read from, beside facts about the child. */
const notes: Watched = [['evidence', 'UPDATE']];

type Reader = (db: Db) => number;

/** A number that moves with every change of some tables through this connection, whatever changes them. */
function stampOver(name: string, watched: Watched): Reader {
  const readers = new WeakMap<object, Statement<[], number>>();
  return (db) => {
    let reader = readers.get(db.$client);
    if (!reader) {
      db.$client.exec(`CREATE TEMP TABLE ${name}_stamp (n INTEGER NOT NULL); INSERT INTO ${name}_stamp VALUES (0)`);
      for (const [table, update] of watched)
        for (const event of ['INSERT', update, 'DELETE'])
          db.$client.exec(
            `CREATE TEMP TRIGGER ${name}_${table}_${event.slice(0, 6)} AFTER ${event} ON main.${table} BEGIN UPDATE ${name}_stamp SET n = n + 1; END`,
          );
      reader = db.$client.prepare<[], number>(`SELECT n FROM ${name}_stamp`).pluck();
      readers.set(db.$client, reader);
    }
    return reader.get()!;
  };
}

/**
 * A number that stays as long as the shelf and what is known of its games stay, whatever else is written
 * through this connection. Changes that are rolled back roll it back too, so nothing may be kept by it
 * that was read inside a transaction.
 */
export const shelfStamp = stampOver('shelf', shelf);

/** The same for all notes. */
export const notesStamp = stampOver('notes', notes);

/**
 * Something that is read from the database and kept while a stamp stays; nothing is kept of what is read inside a
 * transaction.
 */
export function keptWhile<T>(stampOf: Reader, read: (db: Db) => T): (db: Db) => T {
  const kept = new WeakMap<object, { readonly stamp: number; readonly value: T }>();
  return (db) => {
    const stamp = stampOf(db);
    const last = kept.get(db.$client);
    if (last?.stamp === stamp) return last.value;
    const value = read(db);
    if (!db.$client.inTransaction) kept.set(db.$client, { stamp, value });
    return value;
  };
}
