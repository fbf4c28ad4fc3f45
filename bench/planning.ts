import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { Worker } from 'node:worker_threads';
import { loadSolver } from '../src/adapters/highs/solveModel';
import { shippedGraph } from '../src/contract/shippedData';
import { shippedLibrary, shippedProfile } from '../src/contract/shippedLibrary';
import { baseRate, brier, calibrationError, type Forecast } from '../src/core/cohort/evaluate';
import { closedLoop, type LoopResult, type Planner, PLANNERS } from '../src/core/cohort/loop/closedLoop';
import { COHORTS, LOOP_SEEDS, setById, TRAINING_SEEDS } from '../src/core/cohort/loop/world';
import type { Offer } from '../src/core/recommend/offer';

const graph = shippedGraph();

/** The whole library as it ships, every version at the middle of its table. */
export function libraryOffers(): Offer[] {
  return shippedLibrary.flatMap((game) =>
    game.variants.map((v): Offer => {
      const doses = new Float64Array(graph.skills.length);
      const profile = shippedProfile(game.id, v.id);
      for (const [skill, mean] of profile?.doses ?? []) doses[graph.indexOf.get(skill as string)!] = mean as number;
      return {
        variant: `${game.id}/${v.id}`,
        game: game.id,
        title: v.title,
        gameTitle: game.title,
        mixClass: game.id,
        mechanism: game.mechanism,
        parameters: v.parameters,
        players: [v.players.min, v.players.max],
        ages: v.ages,
        minutes: profile?.minutes[1] ?? v.minutes,
        helper: v.helper,
        preparationMinutes: v.preparationMinutes,
        materials: [],
        doses,
        source: 'calculated',
      };
    }),
  );
}

function dosesBefore(): Map<string, Float64Array> {
  const listed = JSON.parse(readFileSync('bench/doses-before.json', 'utf8')) as Record<string, [string, number][]>;
  return new Map(
    Object.entries(listed).map(([variant, doses]) => {
      const all = new Float64Array(graph.skills.length);
      for (const [skill, mean] of doses) {
        const k = graph.indexOf.get(skill);
        if (k !== undefined) all[k] = mean;
      }
      return [variant, all];
    }),
  );
}

export interface Run {
  readonly cohort: string;
  readonly set: string;
  readonly seed: readonly [number, string];
  readonly planner: Planner;
}
const keyOf = (r: Run): string => `${r.cohort}|${r.set}|${r.seed[0]}|${r.planner}`;

/** One run; forecasts are kept as pairs so that a file can hold them. */
export async function oneLoop(r: Run): Promise<LoopResult> {
  const solve = await loadSolver();
  const cohort = COHORTS.find((c) => c.id === r.cohort)!;
  return closedLoop(graph, libraryOffers(), dosesBefore(), cohort, setById(r.set), r.seed, r.planner, solve, 0.1);
}

const dir = 'bench/out';

/** Runs what is not yet kept, on all cores, and prints the table of what there is. */
export async function benchLoop(options: {
  quick: boolean;
  train: boolean;
  write: boolean;
  only?: readonly Planner[];
  cohorts?: readonly string[];
}): Promise<void> {
  const seeds = options.train ? TRAINING_SEEDS : options.quick ? LOOP_SEEDS.slice(0, 3) : LOOP_SEEDS;
  const sets = options.quick || options.train ? ['steady'] : ['steady', 'forgetful', 'uneven'];
  const runs = sets.flatMap((set, s) =>
    COHORTS.filter((c) => !options.cohorts || options.cohorts.includes(c.id)).flatMap((c) =>
      (s === 0 ? seeds : seeds.slice(0, 4)).flatMap((seed) =>
        (['nobody', ...(options.only ?? PLANNERS)] as Planner[]).map((planner): Run => ({ cohort: c.id, set, seed, planner })),
      ),
    ),
  );
  mkdirSync(dir, { recursive: true });
  const path = `${dir}/loop-${options.train ? 'training' : 'judged'}.json`;
  const kept: Record<string, LoopResult> = existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as Record<string, LoopResult>) : {};
  const waiting = runs.filter((r) => !(keyOf(r) in kept));
  const began = performance.now();
  await Promise.all(
    Array.from({ length: Math.min(cpus().length, Math.max(1, waiting.length)) }, async () => {
      if (waiting.length === 0) return;
      const worker = new Worker(new URL('./loopWorker.mjs', import.meta.url));
      worker.setMaxListeners(0);
      for (let r = waiting.shift(); r; r = waiting.shift()) {
        const run = r;
        kept[keyOf(run)] = await new Promise<LoopResult>((done, failed) => {
          worker.once('message', done);
          worker.once('error', failed);
          worker.postMessage(run);
        });
        writeFileSync(path, JSON.stringify(kept));
      }
      await worker.terminate();
    }),
  );
  const lines = table(runs, kept);
  console.log(lines.join('\n'));
  console.log(`\n${((performance.now() - began) / 1000).toFixed(0)} s`);
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/** Net durable gaps per learner hour of one run, by learner. */
function netOf(r: LoopResult, nobody: LoopResult): number[] {
  return r.held.map((h, i) => (r.hours[i] === 0 ? 0 : (h - nobody.held[i]!) / r.hours[i]!));
}

function table(runs: readonly Run[], kept: Readonly<Record<string, LoopResult>>): string[] {
  const out: string[] = [];
  for (const set of [...new Set(runs.map((r) => r.set))])
    for (const cohort of [...new Set(runs.map((r) => r.cohort))]) {
      const mine = runs.filter((r) => r.set === set && r.cohort === cohort);
      const seeds = [...new Set(mine.map((r) => r.seed))].filter((s) => kept[`${cohort}|${set}|${s[0]}|nobody`]);
      out.push(
        `\n${cohort}, ${set}, ${seeds.length} seeds`,
        '| planner | net an hour | worst tenth | < 50 % | 70–90 % | 60–95 % | > 95 % | resting | well placed | Brier/base at 0, 4, 8, 12 | calibration error |',
        '|---|---|---|---|---|---|---|---|---|---|---|',
      );
      for (const planner of [...new Set(mine.map((r) => r.planner))]) {
        if (planner === 'nobody') continue;
        const results = seeds.flatMap((s) => {
          const r = kept[`${cohort}|${set}|${s[0]}|${planner}`];
          const n = kept[`${cohort}|${set}|${s[0]}|nobody`];
          return r && n ? [{ r, net: netOf(r, n) }] : [];
        });
        if (results.length === 0) continue;
        const nets = results.map((x) => sum(x.net) / x.net.length);
        const all = results.flatMap((x) => x.net).sort((x, y) => x - y);
        const tenth = all.slice(0, Math.max(1, Math.round(all.length / 10)));
        const items = results.reduce((acc, x) => acc.map((v, i) => v + x.r.items[i]!), new Array<number>(20).fill(0));
        const share = (from: number, to: number): string => `${((100 * sum(items.slice(from, to))) / sum(items)).toFixed(0)}`;
        const f = [0, 1, 2, 3].map((i) => results.flatMap((x) => x.r.forecasts[i]!));
        const ratio = (list: readonly Forecast[]): string => (brier(list) / (baseRate(list) * (1 - baseRate(list)))).toFixed(2);
        out.push(
          `| ${planner} | ${(sum(nets) / nets.length).toFixed(3)} (${nets.map((n) => n.toFixed(2)).join(' ')}) | ${(sum(tenth) / tenth.length).toFixed(2)} | ${share(0, 10)} | ${share(14, 18)} | ${share(12, 19)} | ${share(19, 20)} | ${((100 * sum(results.map((x) => x.r.resting))) / results.length).toFixed(0)} % | ${((100 * sum(results.map((x) => x.r.wellPlaced))) / sum(results.map((x) => x.r.seats))).toFixed(0)} % | ${f.map(ratio).join(', ')} | ${f.map((x) => calibrationError(x).toFixed(3)).join(', ')} |`,
        );
      }
    }
  return out;
}
