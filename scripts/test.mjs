import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { checks } from './checks.mjs';
import { ensureInstalled, stop } from './ensureInstalled.mjs';

/** Type-check, lint, unit, build, end-to-end; the last line sums all of them. */
ensureInstalled();
ensureChromium();
ensurePoppler();
mkdirSync('test-results', { recursive: true });
rmSync('test-results/unit.json', { force: true });
rmSync('test-results/e2e.json', { force: true });
const env = { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' };
// A first start in a clone of its own, where the one who calls has tried that before (`.ci/run`).
let passed = process.env.ZEITGEBER_FIRST_START === 'passed' ? 1 : 0;
let failed = process.env.ZEITGEBER_FIRST_START === 'failed' ? 1 : 0;

// They only read, so they run side by side; lint reads types that are made among them.
const { lint, ...readers } = checks;
await together(readers);
check('lint', lint);
unit();
check('build', ['scripts/build.mjs']);
if (failed === 0 || existsSync('dist/server/entry.mjs')) endToEnd();
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

function run(args) {
  return spawnSync(process.execPath, args, { stdio: 'inherit', env }).status === 0;
}

/** Checks that do not touch one another, each told whole when it ends. */
function together(checks) {
  return Promise.all(
    Object.entries(checks).map(
      ([name, args]) =>
        new Promise((done) => {
          const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'], env });
          let told = '';
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (told += text));
          child.on('close', (code) => {
            console.log(`\n${name}\n${told.trimEnd()}`);
            if (code === 0) passed++;
            else failed++;
            done();
          });
        }),
    ),
  );
}

function check(name, ...commands) {
  console.log(`\n${name}`);
  if (commands.every(run)) passed++;
  else failed++;
}

function unit() {
  console.log('\nunit');
  const good = run([
    'node_modules/vitest/vitest.mjs',
    'run',
    '--reporter=default',
    '--reporter=json',
    '--outputFile.json=test-results/unit.json',
  ]);
  const report = read('test-results/unit.json');
  passed += report?.numPassedTests ?? 0;
  failed += report?.numFailedTests ?? 0;
  if (!good && !(report?.numFailedTests > 0)) failed++;
}

function endToEnd() {
  console.log('\nend to end');
  const good = run(['node_modules/@playwright/test/cli.js', 'test']);
  const stats = read('test-results/e2e.json')?.stats;
  passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0);
  failed += stats?.unexpected ?? 0;
  if (!good && !(stats?.unexpected > 0)) failed++;
}

function read(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
}

/** What Debian has is installed where that may be; whatever is missing then is told by name, or fails by name. */
function install(name) {
  const mayInstall =
    process.platform === 'linux' && process.getuid?.() === 0 && spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
  if (!mayInstall) return;
  console.log(`Installing ${name} for the tests …`);
  spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore' });
  spawnSync('apt-get', ['install', '-y', '-qq', name], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
}

function ensureChromium() {
  const path = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
  if (!existsSync(path)) install('chromium');
  if (!existsSync(path))
    stop('Chromium is missing for the end-to-end tests. Install your system’s chromium package, or set CHROMIUM_PATH to its executable.');
}

/** Reads printed sheets back; without it those checks fail by its name. */
function ensurePoppler() {
  if (spawnSync('pdftoppm', ['-v'], { stdio: 'ignore' }).error) install('poppler-utils');
}
