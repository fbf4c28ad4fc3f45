import { spawnSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { ensureInstalled, stop } from './ensureInstalled.mjs';
import { leanly } from './lean.mjs';
import { checkPort, readOptions, serve } from './serve.mjs';

await leanly();

const options = readOptions(process.argv.slice(2), {}, 'npm run demo -- [options]');
ensureInstalled();
await checkPort(options);
const { buildAll } = await import('./build.mjs');
await buildAll();
const database = resolve(options.data, 'zeitgeber.sqlite');
if (options.reset && existsSync(database)) {
  await askBeforeReset();
  // A server that works on these files would go on writing into nowhere.
  const release = await holdAlone();
  for (const end of ['', '-wal', '-shm']) rmSync(database + end, { force: true });
  release();
}
process.env.ZEITGEBER_DATA = resolve(options.data);
process.env.ZEITGEBER_DEMO = '1';
if (!existsSync(database)) {
  console.log('Bringing in the demo world: every game is played some thousand times first …');
  const seeded = spawnSync(process.execPath, ['dist/scripts/seedDemo.mjs'], { stdio: 'inherit', env: process.env });
  if (seeded.status !== 0) stop('The demo world could not be brought in; see the lines above.');
}
await serve(options, 'The demo is at');

async function askBeforeReset() {
  if (options.yes) return;
  if (!process.stdin.isTTY) stop('--reset throws the demo’s data away and asks first; without a keyboard add --yes.');
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(`Throw away everything in ${resolve(options.data)} and start anew? Type yes: `);
  ask.close();
  if (answer.trim().toLowerCase() !== 'yes') stop('Nothing was changed.');
}

/** Takes the lock of the data directory, or says that another process has it. */
async function holdAlone() {
  const { default: Database } = await import('better-sqlite3');
  const held = new Database(resolve(options.data, 'lock.sqlite'), { timeout: 200 });
  try {
    held.pragma('locking_mode = EXCLUSIVE');
    held.exec('BEGIN EXCLUSIVE; CREATE TABLE IF NOT EXISTS held (pid INTEGER); COMMIT;');
  } catch {
    held.close();
    stop(`Another Zeitgeber is already using ${resolve(options.data)}. Close it first; nothing was thrown away.`);
  }
  return () => held.close();
}
