import { readFileSync, writeFileSync } from 'node:fs';
import { countries } from '../contract/countries';
import { measuredIn } from '../contract/libraryIn';
import { libraryPrecision, librarySeed, shippedLibrary } from '../contract/shippedLibrary';
import { usualSeats } from '../core/simulate/usualSeats';
import type { Course } from '../core/simulate/course';
import { courseGames } from '../core/simulate/fairness';
import { profileSummary, type ProfileSummary } from '../core/simulate/profileSummary';
import type { SimulationResult } from '../core/simulate/simulationResult';
import { closePool, startJob } from '../server/jobs/pool';

/** Plays every shipped version to the library's precision on both cores and writes the profiles. */
const began = performance.now();
/** `--only ID`: one game, or all of one family; the other profiles stay as they are. */
const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : undefined;
const chosen = shippedLibrary.filter((g) => only === undefined || g.id === only || g.mechanism === only);
if (chosen.length === 0) {
  console.error(`There is no game and no family "${only ?? ''}" in the library.`);
  process.exit(1);
}
const profiles: Record<string, ProfileSummary> = only
  ? (JSON.parse(readFileSync('data/library/profiles.json', 'utf8')) as Record<string, ProfileSummary>)
  : {};
const slow: [number, string][] = [];
let failed = 0;
await Promise.all(
  [
    ...chosen.flatMap((game) => game.variants.map((variant) => ({ game, variant, name: `${game.id}/${variant.id}` }))),
    ...countries.flatMap(measuredIn).filter(({ game }) => chosen.some((g) => g.id === game.id)),
  ].map(async ({ game, variant, name }) => {
    const table = { mechanism: game.mechanism, parameters: variant.parameters, seats: usualSeats(variant.players), seed: librarySeed };
    const course = startJob<Course | null>({ kind: 'course', ...table, games: courseGames }).finished;
    const job = await startJob<SimulationResult>({
      kind: 'simulate',
      ...table,
      precision: libraryPrecision,
    }).finished;
    if (job.status !== 'done') {
      failed++;
      console.error(`${name}: ${job.problem?.message}`);
      return;
    }
    profiles[name] = profileSummary(job.result!, (await course).result ?? null);
    slow.push([job.result!.games, name]);
  }),
);
const sorted = Object.fromEntries(Object.entries(profiles).sort(([x], [y]) => (x < y ? -1 : 1)));
writeFileSync(
  'data/library/profiles.json',
  `{\n${Object.entries(sorted)
    .map(([k, p]) => `${JSON.stringify(k)}:${JSON.stringify(p)}`)
    .join(',\n')}\n}\n`,
);
await closePool();
console.log(
  `${slow.length} versions profiled in ${((performance.now() - began) / 1000).toFixed(0)} s; most games: ${slow
    .sort((x, y) => y[0] - x[0])
    .slice(0, 5)
    .map(([n, v]) => `${v} ${n}`)
    .join(', ')}`,
);
if (failed > 0) process.exit(1);
