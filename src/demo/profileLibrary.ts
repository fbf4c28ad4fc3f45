import { writeFileSync } from 'node:fs';
import { libraryPrecision, librarySeed, shippedLibrary } from '../contract/shippedLibrary';
import { usualSeats } from '../core/simulate/usualSeats';
import { profileSummary, type ProfileSummary } from '../core/simulate/profileSummary';
import type { SimulationResult } from '../core/simulate/simulationResult';
import { closePool, startJob } from '../server/jobs/pool';

/** Plays every shipped version to the library's precision on both cores and writes the profiles. */
const began = performance.now();
const profiles: Record<string, ProfileSummary> = {};
const slow: [number, string][] = [];
let failed = 0;
await Promise.all(
  shippedLibrary.flatMap((game) =>
    game.variants.map(async (variant) => {
      const name = `${game.id}/${variant.id}`;
      const job = await startJob<SimulationResult>({
        kind: 'simulate',
        mechanism: game.mechanism,
        parameters: variant.parameters,
        seats: usualSeats(variant.players),
        seed: librarySeed,
        precision: libraryPrecision,
      }).finished;
      if (job.status !== 'done') {
        failed++;
        console.error(`${name}: ${job.problem?.message}`);
        return;
      }
      profiles[name] = profileSummary(job.result!);
      slow.push([job.result!.games, name]);
    }),
  ),
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
  `${Object.keys(profiles).length} versions profiled in ${((performance.now() - began) / 1000).toFixed(0)} s; most games: ${slow
    .sort((x, y) => y[0] - x[0])
    .slice(0, 5)
    .map(([n, v]) => `${v} ${n}`)
    .join(', ')}`,
);
if (failed > 0) process.exit(1);
