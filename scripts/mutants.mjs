import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureInstalled } from './ensureInstalled.mjs';

const help = `npm run mutants -- [options]

Changes the code in small ways, one at a time, and looks whether a test notices: a seeded draw
of core/play, core/content, core/items and server (or, with --only judgement, of core/recommend,
core/mastery and core/planning), against the tests beside them. What was done before it was stopped
is kept; run it again to go on.

  --seed N      which draw (7)
  --most N      how many mutants at most (600)
  --again       forget what was done for this draw
  --only AREA   core, server or judgement
`;
const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '7' },
    most: { type: 'string', default: '600' },
    again: { type: 'boolean' },
    only: { type: 'string' },
    help: { type: 'boolean' },
  },
});
if (values.help) {
  console.log(help);
  process.exit(0);
}
ensureInstalled();
const { buildAll } = await import('./build.mjs');
await buildAll();
const { Stryker } = await import('@stryker-mutator/core');
const { allMutants, areas, keyOf } = await import('./mutants/draw.mjs');

/** So many mutants share one run, which first has to run every test of the area once. */
const inOneRun = 50;
const folder = 'reports/mutants';
const resultsFile = join(folder, `seed-${values.seed}.json`);
mkdirSync(folder, { recursive: true });
if (values.again) rmSync(resultsFile, { force: true });

const all = await allMutants(values.seed, values.only === 'judgement' ? ['judgement'] : undefined);
const draw = all.slice(0, Number(values.most));
/** @type {Record<string, string>} verdict by mutant */
const results = existsSync(resultsFile) ? JSON.parse(readFileSync(resultsFile, 'utf8')) : {};
console.log(`${all.length} mutants, ${draw.length} drawn with seed ${values.seed}, ${draw.filter((k) => k in results).length} done.`);

for (const [area, folders] of Object.entries(areas)) {
  if (values.only ? values.only !== area : area === 'judgement') continue;
  const left = draw.filter((k) => folders.some((f) => k.startsWith(`${f}/`)) && !(k in results));
  for (let at = 0; at < left.length; at += inOneRun) await run(area, left.slice(at, at + inOneRun));
}
// The test of all routes takes half a minute, so it only looks at what the others did not notice.
if (!values.only || values.only === 'server') {
  const unseen = draw.filter((k) => k.startsWith('src/server/') && ['Survived', 'NoCoverage'].includes(results[k]));
  for (let at = 0; at < unseen.length; at += inOneRun) await run('contract', unseen.slice(at, at + inOneRun));
}
report();

async function run(area, keys) {
  const started = Date.now();
  const drawFile = join(folder, 'running.json');
  writeFileSync(drawFile, JSON.stringify(keys));
  process.env.ZEITGEBER_MUTANTS = join(process.cwd(), drawFile);
  process.env.ZEITGEBER_MUTANTS_AREA = area;
  const stryker = new Stryker({
    mutate: [...new Set(keys.map((k) => k.split('|')[0]))],
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.mutants.config.ts', related: false },
    plugins: ['@stryker-mutator/vitest-runner', join(process.cwd(), 'scripts/mutants/drawn.mjs')],
    checkers: ['drawn'],
    coverageAnalysis: 'perTest',
    concurrency: 2,
    timeoutMS: 8000,
    timeoutFactor: 1.5,
    dryRunTimeoutMinutes: 15,
    reporters: ['json'],
    jsonReporter: { fileName: join(folder, 'last-run.json') },
    ignorePatterns: ['reports', 'test-results', 'docs', 'bench', 'e2e', 'data/profiles', '.zeitgeber'],
    tempDirName: '.stryker-tmp',
    logLevel: 'warn',
    allowEmpty: true,
  });
  const wanted = new Set(keys);
  for (const mutant of await stryker.runMutationTest()) {
    const key = keyOf(mutant, 1);
    // A second look that notices nothing and sees less changes nothing.
    if (wanted.has(key)) results[key] = area === 'contract' && mutant.status === 'NoCoverage' ? results[key] : mutant.status;
  }
  for (const key of keys) results[key] ??= 'NotFound';
  writeFileSync(resultsFile, JSON.stringify(results, null, 1));
  console.log(`${area}: ${keys.length} in ${Math.round((Date.now() - started) / 1000)} s. ${tally(keys)}`);
}

function tally(keys) {
  const count = {};
  for (const k of keys) if (results[k]) count[results[k]] = (count[results[k]] ?? 0) + 1;
  return Object.entries(count)
    .map(([status, n]) => `${n} ${status}`)
    .join(', ');
}

function report() {
  for (const folders of Object.values(areas))
    for (const f of folders) console.log(`${f}: ${tally(draw.filter((k) => k.startsWith(`${f}/`)))}`);
  console.log('');
  for (const k of draw.filter((k) => ['Survived', 'NoCoverage'].includes(results[k])).sort()) console.log(`${results[k]}  ${k}`);
}
