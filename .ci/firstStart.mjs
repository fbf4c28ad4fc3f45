import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { resolve } from 'node:path';

/**
 * What a newcomer does: clones the project into an empty folder and gives the README's first command. Ends with 0 when
 * the demo answers, its shelf opens, and it ends when it is told to. Takes only what is committed, as a newcomer would.
 */
const minutes = 20;
const clone = resolve('test-results/first-start/clone');
const data = resolve('test-results/first-start/data');
rmSync('test-results/first-start', { recursive: true, force: true });
mkdirSync('test-results/first-start', { recursive: true });
const cloned = spawnSync('git', ['clone', '--quiet', '--no-hardlinks', '.', clone], { stdio: 'inherit' });
if (cloned.status !== 0) end('The project could not be cloned.');

const port = await freePort();
const base = `http://127.0.0.1:${port}`;
const started = Date.now();
const demo = spawn('npm', ['run', 'demo', '--silent', '--', '--port', String(port), '--data', data], {
  cwd: clone,
  stdio: 'inherit',
  detached: true,
});
let ended = null;
demo.once('exit', (code, signal) => (ended = code ?? signal));
process.once('exit', () => kill('SIGKILL'));

await until('The demo did not answer', async () => (await fetch(`${base}/api/v1/health`)).ok);
console.log(`First start: the demo answers after ${Math.round((Date.now() - started) / 1000)} s.`);
const { total } = await (await fetch(`${base}/api/v1/games?limit=1`)).json();
if (!(total >= 60)) end(`The demo's shelf holds ${total} games.`);
const shelf = await fetch(`${base}/shelf`);
const html = await shelf.text();
if (!shelf.ok || !/<title>[^<]*Shelf/i.test(html)) end(`The shelf does not open: ${shelf.status}.`);
const parts = [...new Set(html.match(/\/_astro\/[^"' )]+\.(?:js|css)/g) ?? [])];
if (parts.length === 0) end('The shelf asks for no program of its own.');
for (const part of parts) if (!(await fetch(base + part)).ok) end(`The shelf asks for ${part}, which is not there.`);

// Told as a terminal tells it: to the whole group of processes.
kill('SIGINT');
await until('The demo does not end', () => ended !== null);
// What was installed there serves the tests here as well, where nothing is installed yet.
if (!existsSync('node_modules')) renameSync(`${clone}/node_modules`, 'node_modules');
rmSync('test-results/first-start', { recursive: true, force: true });
console.log('First start: the shelf opens, and the demo ends when it is told to.');
process.exit(0);

function kill(signal) {
  try {
    process.kill(-demo.pid, signal);
  } catch {
    // It has ended already.
  }
}

async function until(what, holds) {
  while (Date.now() - started < minutes * 60_000) {
    if (await Promise.resolve(holds()).catch(() => false)) return;
    if (ended !== null) end(`${what}: it ended with ${ended}.`);
    await new Promise((done) => setTimeout(done, 300));
  }
  end(`${what} within ${minutes} minutes.`);
}

function freePort() {
  return new Promise((done) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });
}

function end(line) {
  console.error(`First start failed. ${line}`);
  process.exit(1);
}
