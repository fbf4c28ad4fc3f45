import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './ensureInstalled.mjs';

if (process.argv.includes('--help')) {
  console.log(`npm run drill -- [kills] [requests] [files] [extremes] [writers] [--seed N] [--share S]

Pulls the plug, sends bad requests and broken files, and lets two people write at once, against the built
program in a directory of its own. --share 0.1 does a tenth. Ends with 1 where anything failed.`);
  process.exit(0);
}
ensureInstalled();
const { buildAll } = await import('./build.mjs');
await buildAll();
process.exit(spawnSync(process.execPath, ['dist/scripts/drill.mjs', ...process.argv.slice(2)], { stdio: 'inherit' }).status ?? 1);
