import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './ensureInstalled.mjs';

ensureInstalled();
const { buildWorkers } = await import('./buildWorkers.mjs');
await buildWorkers();
process.exit(spawnSync(process.execPath, ['dist/scripts/profileLibrary.mjs', ...process.argv.slice(2)], { stdio: 'inherit' }).status ?? 1);
