import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { closeDb, openDb } from '../src/server/db/open';
import { importRoster } from '../src/server/learners/importRoster';
import { importShelf } from '../src/server/shelf/importShelf';

const allowedSeconds = 3;
const allowedRatio = 2.3;
const today = '2026-11-10';
const now = `${today}T12:00:00.000Z`;
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

const shelf = (rows: number): Uint8Array =>
  bytes(
    `game,version,bin,ages,players,minutes,materials,source\n${Array.from({ length: rows }, (_, i) => `Game ${i},v,Bin ${i % 9},6-8,2-4,15,2 dice; ${1 + (i % 40)} counters,made`).join('\n')}\n`,
  );
const roster = (rows: number): Uint8Array =>
  bytes(
    `nickname,born,group\n${Array.from({ length: rows }, (_, i) => `Child ${i},20${15 + (i % 6)}-0${1 + (i % 9)},Room ${i % 20}`).join('\n')}\n`,
  );

/** CPU seconds of bringing files in whole, and how they grow when the rows double. */
export function benchImports(): void {
  const sizes = [10_000, 20_000];
  for (const [name, file, bring] of [
    ['catalogue', shelf, (b: Uint8Array) => importShelf(openDb(), b, true, now)],
    ['roster', roster, (b: Uint8Array) => importRoster(openDb(), b, true, today, now)],
  ] as const) {
    const seconds = sizes.map((rows) => {
      const directory = mkdtempSync(join(tmpdir(), 'zeitgeber-imports-'));
      process.env['ZEITGEBER_DATA'] = directory;
      openDb();
      const content = file(rows);
      const before = process.cpuUsage();
      bring(content);
      const used = process.cpuUsage(before);
      closeDb();
      rmSync(directory, { recursive: true, force: true });
      return (used.user + used.system) / 1e6;
    });
    const ratio = seconds[1]! / seconds[0]!;
    console.log(
      `${name}: ${sizes.map((n, i) => `${n.toLocaleString('en')} rows ${seconds[i]!.toFixed(2)} CPU s`).join(', ')}; twice the rows ${ratio.toFixed(2)} x the time ` +
        `(${seconds[1]! <= allowedSeconds && ratio < allowedRatio ? 'as asked' : 'MORE than asked'}: ${allowedSeconds} s, ${allowedRatio} x)`,
    );
  }
}
