import './root.mjs';
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';

process.env.PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD = '1';
process.env.ASTRO_TELEMETRY_DISABLED = '1';

/** Ends with one clear line. */
export function stop(line) {
  console.error(line);
  process.exit(1);
}

const stamp = 'node_modules/.zeitgeber-installed';
const lockHash = () => createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');

/** Installs what is missing; the first time a small database library is compiled, which takes minutes. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) stop(`Zeitgeber needs Node 20.19 or newer; this is ${process.versions.node}.`);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash() && sqliteWorks()) return;
  console.log('Installing what is missing. The first time this takes a few minutes, because a database library is compiled.');
  const run = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 'inherit', 'inherit'],
    shell: process.platform === 'win32',
  });
  if (run.status !== 0)
    stop(
      hasCompiler()
        ? 'Installing failed; see the lines above. Is the package registry within reach?'
        : 'Installing failed: a C++ compiler is missing. Install python3, make and g++ (or your system’s build tools) and try again.',
    );
  if (!sqliteWorks()) {
    spawnSync('npm', ['rebuild', 'better-sqlite3', '--build-from-source'], { stdio: ['ignore', 'ignore', 'inherit'] });
    if (!sqliteWorks())
      stop('The database library could not be compiled. Install python3, make and g++ (or your system’s build tools) and try again.');
  }
  writeFileSync(stamp, lockHash());
}

function sqliteWorks() {
  const run = spawnSync(process.execPath, ['-e', "new (require('better-sqlite3'))(':memory:').close()"], { stdio: 'ignore' });
  return run.status === 0;
}

function hasCompiler() {
  return ['g++', 'clang++', 'c++'].some((name) => spawnSync(name, ['--version'], { stdio: 'ignore' }).status === 0);
}

/** Newest change among the files a build is made of. */
export function newest(paths) {
  let latest = 0;
  const visit = (path) => {
    const s = statSync(path);
    if (s.isDirectory()) for (const name of readdirSafe(path)) visit(`${path}/${name}`);
    else latest = Math.max(latest, s.mtimeMs);
  };
  for (const p of paths) if (existsSync(p)) visit(p);
  return latest;
}

function readdirSafe(path) {
  return readdirSync(path).filter((n) => n !== 'node_modules');
}
