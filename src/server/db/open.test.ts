import Database from 'better-sqlite3';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { StartupError } from '../shared/startupError';
import { todayHere } from '../shared/clock';
import { closeDb, holdDirectory, openAt } from './open';
import { kinds, learners } from './schema';

let directory = '';
const file = (): string => join(directory, 'zeitgeber.sqlite');
beforeEach(() => (directory = mkdtempSync(join(tmpdir(), 'zeitgeber-open-'))));
afterEach(() => {
  closeDb();
  rmSync(directory, { recursive: true, force: true });
});

function fill(): void {
  const db = openAt(directory);
  db.insert(learners)
    .values({
      id: 'wren',
      nickname: 'Wren',
      born: '2018-09',
      framework: 'us',
      permanentSupports: [],
      supportsInUse: [],
      actions: [],
      createdAt: 'x',
    })
    .run();
  db.$client.close();
  closeDb();
}
function whyNot(): StartupError {
  try {
    openAt(directory).$client.close();
  } catch (error) {
    if (error instanceof StartupError) return error;
    throw error;
  }
  throw new Error('it opened');
}

describe('opening the data', () => {
  it('makes a new database whole, and nobody else may read it', () => {
    const db = openAt(directory);
    expect(db.select().from(kinds).all().length).toBeGreaterThan(20);
    db.$client.close();
    for (const path of [directory, file(), join(directory, 'lock.sqlite')]) expect([path, statSync(path).mode & 0o077]).toEqual([path, 0]);
    expect(existsSync(`${file()}.new`)).toBe(false);
  });
  it('starts anew where a first start was cut short', () => {
    writeFileSync(`${file()}.new`, 'half');
    fill();
    expect(statSync(file()).size).toBeGreaterThan(1000);
  });
  it.each<[string, () => void]>([
    ['an empty file', () => writeFileSync(file(), '')],
    ['a text file', () => writeFileSync(file(), 'dear diary, '.repeat(500))],
    ['a folder', () => mkdirSync(file())],
    [
      'half a file',
      () => {
        fill();
        truncateSync(file(), Math.floor(statSync(file()).size / 2));
      },
    ],
    [
      'fifty bytes',
      () => {
        fill();
        truncateSync(file(), 50);
      },
    ],
    [
      'a file without one of its tables',
      () => {
        fill();
        const raw = new Database(file());
        raw.exec('DROP TABLE gather_ticks');
        raw.close();
      },
    ],
    [
      'overwritten pages',
      () => {
        fill();
        const bytes = readFileSync(file());
        for (let i = 8192; i < Math.min(bytes.length, 60_000); i++) bytes[i] = 7;
        writeFileSync(file(), bytes);
      },
    ],
  ])('says in one line that %s is damaged, and what to do', (_, damage) => {
    damage();
    expect(whyNot()).toMatchObject({
      problem: { code: 'damaged' },
      message: expect.stringContaining('Put a copy of this directory in its place if you kept one'),
    });
  });
  it('refuses data of a newer program by name, and leaves it as it is', () => {
    fill();
    const raw = new Database(file());
    raw.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)").run();
    raw.close();
    expect(whyNot()).toMatchObject({ problem: { code: 'newer-data' }, message: expect.stringContaining('newer Zeitgeber') });
  });
  it('refuses a data directory that is a file', () => {
    rmSync(directory, { recursive: true });
    writeFileSync(directory, 'x');
    expect(whyNot()).toMatchObject({ problem: { code: 'unreadable' } });
  });
  it('refuses a directory that another process holds', () => {
    const held = holdDirectory(directory);
    expect(whyNot()).toMatchObject({ problem: { code: 'in-use' }, message: expect.stringContaining('Close it first') });
    held.close();
    openAt(directory).$client.close();
  });
  it('refuses a day that is none in place of today', () => {
    process.env['ZEITGEBER_TODAY'] = '2026-13-45';
    expect(() => todayHere()).toThrow(StartupError);
    process.env['ZEITGEBER_TODAY'] = '2026-11-10';
    expect(todayHere()).toBe('2026-11-10');
    delete process.env['ZEITGEBER_TODAY'];
  });
});
