import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './ensureInstalled.mjs';

/** Types of the whole project; the framework's own declarations are written first, so a fresh clone passes too. */
ensureInstalled();
const env = { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' };
for (const args of [
  ['node_modules/astro/astro.js', 'sync'],
  ['node_modules/typescript/bin/tsc', '--noEmit'],
]) {
  const { status } = spawnSync(process.execPath, args, { stdio: 'inherit', env });
  if (status !== 0) process.exit(status ?? 1);
}
