import { spawnSync } from 'node:child_process';
import { checks } from './checks.mjs';
import { ensureInstalled } from './ensureInstalled.mjs';

/** All that can be told without running the program: format, types, lint, structure. */
ensureInstalled();
let failed = 0;
for (const [name, args] of Object.entries(checks)) {
  console.log(`\n${name}`);
  if (spawnSync(process.execPath, args, { stdio: 'inherit' }).status !== 0) failed++;
}
process.exit(failed === 0 ? 0 : 1);
