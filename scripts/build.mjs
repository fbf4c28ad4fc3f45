import { spawnSync } from 'node:child_process';
import { existsSync, writeFileSync, statSync } from 'node:fs';
import { ensureInstalled, newest, stop } from './ensureInstalled.mjs';

const stamp = 'dist/.built';
const sources = ['src', 'data', 'bench', 'drill', 'scripts', 'public', 'astro.config.mjs', 'package-lock.json'];

/** Builds the site and the workers, unless nothing changed since the last time. */
export async function buildAll({ force = false } = {}) {
  if (!force && existsSync(stamp) && statSync(stamp).mtimeMs > newest(sources)) return;
  console.log('Building …');
  const run = spawnSync(process.execPath, ['node_modules/astro/astro.js', 'build', '--silent'], {
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (run.status !== 0) stop('The build failed; see the lines above.');
  const { buildWorkers } = await import('./buildWorkers.mjs');
  await buildWorkers();
  writeFileSync(stamp, new Date().toISOString());
}

if (process.argv[1]?.endsWith('build.mjs')) {
  ensureInstalled();
  await buildAll({ force: true });
}
