import { mkdirSync, existsSync, copyFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { useOwnAdditions } from '../../contract/graphInUse';
import journal from './migrations/meta/_journal.json';
import type { Db } from './db';
import * as schema from './schema';
import { ownIn } from './ownIn';
import { seedKinds } from './seedKinds';

let opened: Db | null = null;
/** Held open for the life of the process; the system lets go of it even after a crash. */
let lock: Database.Database | null = null;

export const dataDirectory = (): string => resolve(process.env['ZEITGEBER_DATA'] ?? '.zeitgeber');

/** The workspace's database, opened and migrated once. @throws with one clear line when it cannot be used. */
export function openDb(): Db {
  opened ??= openAt(dataDirectory());
  return opened;
}

export function openAt(directory: string): Db {
  mkdirSync(directory, { recursive: true });
  lockDirectory(directory);
  const file = join(directory, 'zeitgeber.sqlite');
  const existed = existsSync(file);
  const client = new Database(file);
  client.pragma('journal_mode = WAL');
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  // What is erased is overwritten, not only unlinked.
  client.pragma('secure_delete = ON');
  if (existed) {
    const check = client.pragma('quick_check', { simple: true });
    if (check !== 'ok') throw new Error(`The database in ${directory} is damaged (${String(check)}). Put a backup in its place.`);
    client.pragma('wal_checkpoint(TRUNCATE)');
    if (needsMigration(client)) copyFileSync(file, join(directory, `before-migration-${migrationCount(client)}.sqlite`));
  }
  const db = drizzle(client, { schema }) as Db;
  migrate(db, { migrationsFolder: resolve(process.env['ZEITGEBER_MIGRATIONS'] ?? 'src/server/db/migrations') });
  seedKinds(db);
  useOwnAdditions(ownIn(db));
  return db;
}

function lockDirectory(directory: string): void {
  if (lock) return;
  const held = new Database(join(directory, 'lock.sqlite'), { timeout: 200 });
  try {
    held.pragma('locking_mode = EXCLUSIVE');
    held.exec('BEGIN EXCLUSIVE; CREATE TABLE IF NOT EXISTS held (pid INTEGER); COMMIT;');
  } catch {
    held.close();
    throw new Error(`Another Zeitgeber is already using ${directory}. Close it first, or choose another place with --data DIR.`);
  }
  lock = held;
}

function migrationCount(client: Database.Database): number {
  const table = client.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = '__drizzle_migrations'").get() as { n: number };
  return table.n === 0 ? 0 : (client.prepare('SELECT count(*) AS n FROM __drizzle_migrations').get() as { n: number }).n;
}

function needsMigration(client: Database.Database): boolean {
  return migrationCount(client) < shippedMigrations();
}

function shippedMigrations(): number {
  return journal.entries.length;
}

/** Lets go of the database and its lock; for tests and a clean end. */
export function closeDb(): void {
  opened?.$client.close();
  opened = null;
  lock?.close();
  lock = null;
}
