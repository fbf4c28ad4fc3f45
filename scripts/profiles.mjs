import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './ensureInstalled.mjs';

if (process.argv.includes('--help')) {
  console.log('npm run profiles -- [--only ID]   plays the shipped library anew; with an ID, one game or one family');
  process.exit(0);
}
ensureInstalled();
const { buildWorkers } = await import('./buildWorkers.mjs');
await buildWorkers();
process.exit(spawnSync(process.execPath, ['dist/scripts/profileLibrary.mjs', ...process.argv.slice(2)], { stdio: 'inherit' }).status ?? 1);
