import { type Choice, choiceOf, type TableShown } from './Columns';

/** Columns that were mended by hand are read so again when a file with the same heads comes. */

const keyOf = (kind: string, headers: readonly string[]): string => `zeitgeber.columns.${kind}.${headers.join('|').toLowerCase()}`;

/** Keeps how the sheets were read. A browser that keeps nothing loses no more than that. */
export function remember(kind: string, tables: readonly TableShown[]): void {
  try {
    for (const t of tables) localStorage.setItem(keyOf(kind, t.headers), JSON.stringify(choiceOf(t)));
  } catch {
    // Nothing to do about a browser without room.
  }
}

/** How sheets with these heads were read last time; null where none was mended, or all would be read the same. */
export function remembered(kind: string, tables: readonly TableShown[]): Choice[] | null {
  let other = false;
  const choices = tables.map((t): Choice => {
    const now = choiceOf(t);
    try {
      const kept = JSON.parse(localStorage.getItem(keyOf(kind, t.headers)) ?? 'null') as Choice | null;
      if (!kept || kept.columns.length !== t.columns.length) return now;
      const then = { ...kept, table: t.table };
      if (JSON.stringify(then) !== JSON.stringify(now)) other = true;
      return then;
    } catch {
      return now;
    }
  });
  return other ? choices : null;
}
