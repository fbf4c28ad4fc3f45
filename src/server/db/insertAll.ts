import { getTableColumns, sql } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Tx } from './db';

/** Inserts many rows by one prepared statement: building a statement costs more than running it. */
export function insertAll<T extends SQLiteTable>(tx: Tx, table: T, rows: readonly T['$inferInsert'][]): void {
  if (rows.length === 0) return;
  const columns = Object.entries(getTableColumns(table));
  const values = Object.fromEntries(columns.map(([name]) => [name, sql.placeholder(name)]));
  const statement = tx
    .insert(table)
    .values(values as never)
    .prepare();
  const usual = columns.map(([name, column]) => [name, column.default ?? null] as const);
  for (const row of rows) {
    const given = row as Record<string, unknown>;
    statement.run(Object.fromEntries(usual.map(([name, otherwise]) => [name, given[name] ?? otherwise])));
  }
}
