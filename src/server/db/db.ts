import type Database from 'better-sqlite3';
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import type * as schema from './schema';

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };
/** What a use case sees inside a transaction. */
export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** The session of a connection, which a database and its transactions share. */
export const sessionOf = (db: Db | Tx): { readonly client: Database.Database } =>
  (db as unknown as { session: { readonly client: Database.Database } }).session;
