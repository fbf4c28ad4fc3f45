import { spawnSync } from 'node:child_process';
import { ensureInstalled } from './ensureInstalled.mjs';

/** All that can be told without running the program: format, types, lint, structure. */
ensureInstalled();
let failed = 0;
for (const [name, ...args] of [
  ['format', 'node_modules/prettier/bin/prettier.cjs', '--check', '.'],
  ['types', 'scripts/types.mjs'],
  ['lint', 'node_modules/eslint/bin/eslint.js', '.'],
  [
    'structure',
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    'src',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
  ],
]) {
  console.log(`\n${name}`);
  if (spawnSync(process.execPath, args, { stdio: 'inherit' }).status !== 0) failed++;
}
process.exit(failed === 0 ? 0 : 1);
