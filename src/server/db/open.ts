import { chmodSync, copyFileSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import Database from 'better-sqlite3';
import { getTableName, is } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { openLog } from '../shared/log';
import { projectPath } from '../shared/projectPath';
import { StartupError } from '../shared/startupError';
import journal from './migrations/meta/_journal.json';
import type { Db } from './db';
import * as schema from './schema';
import { seedKinds } from './seedKinds';

let opened: Db | null = null;
/** Held open for the life of the process; the system lets go of it even after a crash. */
let lock: Database.Database | null = null;

export const databaseName = 'zeitgeber.sqlite';
export const dataDirectory = (): string => resolve(process.env['ZEITGEBER_DATA'] ?? '.zeitgeber');

/** The workspace's database, opened and migrated once. @throws StartupError with one clear line when it cannot be used. */
export function openDb(): Db {
  if (opened) return opened;
  opened = openAt(dataDirectory());
  if (process.env['ZEITGEBER_SERVER'] === '1') openLog(dataDirectory());
  return opened;
}

/** @throws StartupError: unreadable, in-use, damaged, newer-data, no-room. */
export function openAt(directory: string): Db {
  const file = join(directory, databaseName);
  try {
    prepare(directory);
    lockDirectory(directory);
    if (!existsSync(file)) createNew(file);
    const db = openFile(directory, file);
    ownerOnly(directory);
    return db;
  } catch (error) {
    throw startupErrorOf(error, directory);
  }
}

/** Children's data is nobody else's: neither other accounts of the machine nor their groups read it. */
function ownerOnly(directory: string): void {
  if (process.platform === 'win32') return;
  chmodSync(directory, 0o700);
  for (const name of [databaseName, `${databaseName}-wal`, `${databaseName}-shm`, 'lock.sqlite'])
    if (existsSync(join(directory, name))) chmodSync(join(directory, name), 0o600);
}

function prepare(directory: string): void {
  if (existsSync(directory) && !statSync(directory).isDirectory())
    throw new StartupError('unreadable', `${directory} is a file. Choose a directory for the data with --data DIR.`);
  mkdirSync(directory, { recursive: true, mode: 0o700 });
}

/** A new database is finished beside its place and then moved there, so that a half one is never mistaken for a whole. */
function createNew(file: string): void {
  const fresh = `${file}.new`;
  for (const end of ['', '-wal', '-shm', '-journal']) rmSync(fresh + end, { force: true });
  const client = new Database(fresh);
  client.pragma('synchronous = FULL');
  migrateAll(client);
  client.close();
  // What is left of a database that was taken away does not belong to the new one.
  for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
  renameSync(fresh, file);
}

function openFile(directory: string, file: string): Db {
  if (!statSync(file).isFile()) throw damaged(directory, 'it is no file');
  if (statSync(file).size === 0) throw damaged(directory, 'it is empty');
  const client = new Database(file);
  try {
    client.pragma('journal_mode = WAL');
    client.pragma('synchronous = FULL');
    client.pragma('foreign_keys = ON');
    // What is erased is overwritten, not only unlinked.
    client.pragma('secure_delete = ON');
    const check = client.pragma('quick_check', { simple: true });
    if (check !== 'ok') throw damaged(directory, String(check));
    client.pragma('wal_checkpoint(TRUNCATE)');
    const done = migrationCount(client);
    if (done > journal.entries.length)
      throw new StartupError(
        'newer-data',
        `The data in ${directory} was written by a newer Zeitgeber. Start the newer program, or choose another place with --data DIR.`,
      );
    if (done < journal.entries.length) copyFileSync(file, join(directory, `before-migration-${done}.sqlite`));
    migrateAll(client);
    refuseMissingTables(client, directory);
    const db = drizzle(client, { schema }) as Db;
    seedKinds(db);
    return db;
  } catch (error) {
    client.close();
    throw error;
  }
}

function migrateAll(client: Database.Database): void {
  migrate(drizzle(client), { migrationsFolder: projectPath('ZEITGEBER_MIGRATIONS', 'src/server/db/migrations') });
}

function refuseMissingTables(client: Database.Database, directory: string): void {
  const there = new Set(
    (client.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as { name: string }[]).map((r) => r.name),
  );
  const tables = Object.values(schema as Record<string, unknown>).flatMap((t) => (is(t, SQLiteTable) ? [getTableName(t)] : []));
  const missing = tables.find((name) => !there.has(name));
  if (missing) throw damaged(directory, `its table "${missing}" is missing`);
}

const damaged = (directory: string, how: string): StartupError =>
  new StartupError(
    'damaged',
    `The database in ${directory} is damaged (${how}). Nothing was changed. Put a copy of this directory in its place if you kept one, or start with another: --data DIR.`,
  );

/** What the system or the database says, as one line that says what to do. */
function startupErrorOf(error: unknown, directory: string): StartupError {
  if (error instanceof StartupError) return error;
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'SQLITE_FULL' || code === 'ENOSPC')
    return new StartupError('no-room', `There is no room left on the disk of ${directory}. Make room and start again.`);
  if (
    code === 'EACCES' ||
    code === 'EPERM' ||
    code === 'EROFS' ||
    code === 'SQLITE_READONLY' ||
    code === 'SQLITE_CANTOPEN' ||
    code?.startsWith('SQLITE_READONLY_')
  )
    return new StartupError(
      'unreadable',
      `${directory} cannot be read and written. Give yourself the right to, or choose another place with --data DIR.`,
    );
  if (code?.startsWith('SQLITE_')) return damaged(directory, message ?? code);
  return new StartupError('unreadable', `${directory} cannot be used: ${message ?? String(error)}`);
}

function lockDirectory(directory: string): void {
  if (lock) return;
  lock = holdDirectory(directory);
}

/** Holds a data directory for this process. @throws StartupError when another process holds it. */
export function holdDirectory(directory: string): Database.Database {
  const held = new Database(join(directory, 'lock.sqlite'), { timeout: 200 });
  try {
    held.pragma('locking_mode = EXCLUSIVE');
    held.exec('BEGIN EXCLUSIVE; CREATE TABLE IF NOT EXISTS held (pid INTEGER); COMMIT;');
    return held;
  } catch (error) {
    held.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY'))
      throw new StartupError(
        'in-use',
        `Another Zeitgeber is already using ${directory}. Close it first, or choose another place with --data DIR.`,
      );
    throw error;
  }
}

function migrationCount(client: Database.Database): number {
  const table = client.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = '__drizzle_migrations'").get() as { n: number };
  return table.n === 0 ? 0 : (client.prepare('SELECT count(*) AS n FROM __drizzle_migrations').get() as { n: number }).n;
}

/** Lets go of the database and its lock; for tests and a clean end. */
export function closeDb(): void {
  opened?.$client.close();
  opened = null;
  lock?.close();
  lock = null;
}
