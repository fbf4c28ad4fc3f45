import { spawnSync } from 'node:child_process';
import { changedFiles, testsOf } from './changed.mjs';
import { ensureInstalled } from './ensureInstalled.mjs';

if (process.argv.includes('--help')) {
  console.log(`npm run test:changed -- [BASE]

Runs the unit and component tests that a change touches: those in the folder of a changed file, and those that read one
directly. What changed is what is not committed yet or, with BASE, what differs from that commit. It is for a quick look
between changes; npm test is what decides.`);
  process.exit(0);
}
ensureInstalled();
const changed = changedFiles(process.argv[2]);
const tests = testsOf(changed);
if (tests.length === 0) {
  console.log(
    changed.length === 0 ? 'Nothing changed.' : `${changed.length} files changed; no unit test stands beside them or reads them.`,
  );
  process.exit(0);
}
console.log(`${changed.length} files changed, ${tests.length} files of tests touched.`);
process.exit(spawnSync(process.execPath, ['node_modules/vitest/vitest.mjs', 'run', ...tests], { stdio: 'inherit' }).status ?? 1);
