import { parseArgs } from 'node:util';
import { drillBadRequests } from './badRequests';
import { drillExtremes } from './extremes';
import { drillFiles } from './files';
import { drillKills } from './kills';
import type { Score } from './program';
import { drillWriters } from './writers';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { seed: { type: 'string', default: '7' }, share: { type: 'string', default: '1' } },
});
const seed = Number(values.seed);
const share = (n: number): number => Math.max(1, Math.round(n * Number(values.share)));

const drills: Readonly<Record<string, () => Promise<Score>>> = {
  kills: () => drillKills(seed, share(60)),
  requests: () => drillBadRequests(seed, share(5000)),
  files: () => drillFiles(seed, share(500)),
  extremes: () => drillExtremes(),
  writers: () => drillWriters(share(20)),
};

let failed = 0;
for (const [name, run] of Object.entries(drills)) {
  if (positionals.length > 0 && !positionals.includes(name)) continue;
  const begun = Date.now();
  const score = await run();
  score.print();
  console.log(`  in ${Math.round((Date.now() - begun) / 1000)} s, seed ${seed}`);
  failed += score.failures.length;
}
process.exit(failed === 0 ? 0 : 1);
