import { getTableColumns, sql } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { sessionOf, type Tx } from './db';

/** Inserts many rows by one statement of the driver: building a statement, or filling one in, costs more than running it. */
export function insertAll<T extends SQLiteTable>(tx: Tx, table: T, rows: readonly T['$inferInsert'][]): void {
  if (rows.length === 0) return;
  const columns = Object.entries(getTableColumns(table));
  const values = Object.fromEntries(columns.map(([name]) => [name, sql.placeholder(name)]));
  const { sql: text } = tx
    .insert(table)
    .values(values as never)
    .toSQL();
  const statement = sessionOf(tx).client.prepare(text);
  const usual = columns.map(([name, column]) => ({ name, column, otherwise: column.default ?? null }));
  for (const row of rows) {
    const given = row as Record<string, unknown>;
    statement.run(
      usual.map(({ name, column, otherwise }) => {
        const value = given[name] ?? otherwise;
        return value === null ? null : column.mapToDriverValue(value);
      }),
    );
  }
}
