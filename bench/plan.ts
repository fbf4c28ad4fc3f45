import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import { loadSolver } from '../src/adapters/highs/solveModel';
import { boundModel } from '../src/core/planning/boundModel';
import { checkPlan } from '../src/core/planning/checkPlan';
import type { PlanInstance } from '../src/core/planning/instance';
import { objectiveOf } from '../src/core/planning/objective';
import type { SolveModel } from '../src/core/planning/linearModel';
import { boundOf, isSearched, joinFound, movesPerSecond, type PlanOutcome, prepare, withoutSearch } from '../src/core/planning/planSession';
import { searchFrom } from '../src/core/planning/searchFrom';
import type { FromWorker, SearchResult, SearchTask } from '../src/workers/node/messages';
import { shelfSession } from './shelves';

type Instance = PlanInstance & { readonly bound?: number; readonly bestKnown?: number; readonly provenOptimum?: number | null };

export interface PlanBenchOptions {
  readonly seed: number;
  /** Moves of each of the two starts; by the size of the instance where nothing is said. */
  readonly moves?: number;
}

const folder = 'bench/planning-instances';
/** What a set of instances is held against, its share asked for and the moves that its time allows. */
const sets: readonly { readonly set: string; readonly of: 'optimum' | 'bound'; readonly least: number; readonly moves: number }[] = [
  { set: 'A', of: 'optimum', least: 1, moves: 1_000_000 },
  { set: 'B', of: 'optimum', least: 0.993, moves: 4_000_000 },
  { set: 'C', of: 'bound', least: 0.99, moves: 12_000_000 },
  { set: 'D', of: 'bound', least: 0.97, moves: 12_000_000 },
];
const real = [
  { name: 'the library', more: 0, least: 0.96, moves: 600_000 },
  { name: '2,000 games more', more: 2000, least: 0.95, moves: 1_000_000 },
];

interface Run {
  readonly outcome: PlanOutcome;
  readonly seconds: number;
  /** Of both threads. */
  readonly cpuSeconds: number;
  readonly firstSeconds: number;
}

/** Plans as the app does: two starts in two threads, the bound beside the second. */
async function plan(instance: PlanInstance, solve: SolveModel, worker: Worker, seed: number, moves: number): Promise<Run> {
  const began = performance.now();
  const cpu = process.cpuUsage();
  const spent = (): number => {
    const { user, system } = process.cpuUsage(cpu);
    return (user + system) / 1e6;
  };
  const seconds = (): number => (performance.now() - began) / 1000;
  const ready = prepare(instance, solve, { seed });
  const firstSeconds = seconds();
  if (!isSearched(ready)) return { outcome: withoutSearch(ready), seconds: seconds(), cpuSeconds: spent(), firstSeconds };
  const task: SearchTask = { kind: 'search', instance: ready.instance, first: ready.first, seed, start: 1, moves };
  const other = new Promise<SearchResult>((resolve, reject) => {
    worker.once('message', (m: FromWorker) =>
      m.type === 'done' ? resolve(m.result as SearchResult) : reject(new Error(JSON.stringify(m))),
    );
    worker.once('error', reject);
  });
  worker.postMessage(task);
  const found = searchFrom(ready.instance, solve, ready.first, { seed, start: 0, moves });
  const second = await other;
  return { outcome: joinFound(ready, [found, second.found], second.bound), seconds: seconds(), cpuSeconds: spent(), firstSeconds };
}

/** The best of what an instance file says of itself: its proven optimum, or the best known, or a bound. */
const against = (i: Instance, of: 'optimum' | 'bound'): number | null =>
  (of === 'optimum' ? (i.provenOptimum ?? i.bestKnown) : i.bound) ?? null;

/** `bench -- plan FILE…`: one JSON line an instance. */
async function planFiles(files: readonly string[], options: PlanBenchOptions): Promise<void> {
  await withWorker(async (solve, worker) => {
    for (const file of files) {
      const instance = JSON.parse(readFileSync(file, 'utf8')) as Instance;
      const moves = options.moves ?? sets.find((s) => instance.name?.startsWith(s.set))?.moves ?? 4_000_000;
      const { outcome, seconds, cpuSeconds, firstSeconds } = await plan(instance, solve, worker, options.seed, moves);
      const share = (of: number | null | undefined): number | null => (of ? Number((outcome.objective / of).toFixed(4)) : null);
      console.log(
        JSON.stringify({
          name: instance.name ?? file,
          status: outcome.status,
          objective: Number(outcome.objective.toFixed(6)),
          bound: Number(outcome.bound.toFixed(6)),
          ofBound: share(instance.bound),
          ofBestKnown: share(instance.bestKnown),
          ofOptimum: share(instance.provenOptimum),
          seconds: Number(seconds.toFixed(2)),
          cpuSeconds: Number(cpuSeconds.toFixed(2)),
          firstPlanSeconds: Number(firstSeconds.toFixed(3)),
          moves: 2 * moves,
          seed: options.seed,
          broken: checkPlan(instance, outcome.schedule).length,
          schedule: outcome.schedule.map((round) => round.map((t) => ({ game: t.game, learners: t.learners }))),
        }),
      );
    }
  });
}

/** All sets of instances against what is asked of each; false where one falls short. */
async function planSets(options: PlanBenchOptions): Promise<boolean> {
  let all = true;
  console.log('\nSession plans, two starts in two threads; mean share of the proven optimum (A, B) or of the bound in the file (C, D)');
  await withWorker(async (solve, worker) => {
    for (const { set, of, least, moves } of sets) {
      const files = readdirSync(folder).filter((f) => f.startsWith(set) && f.endsWith('.json'));
      const runs: (Run & { readonly share: number; readonly broken: number })[] = [];
      for (const file of files.sort()) {
        const instance = JSON.parse(readFileSync(`${folder}/${file}`, 'utf8')) as Instance;
        const run = await plan(instance, solve, worker, options.seed, options.moves ?? moves);
        runs.push({
          ...run,
          share: run.outcome.objective / against(instance, of)!,
          broken: checkPlan(instance, run.outcome.schedule).length,
        });
      }
      const mean = (f: (r: (typeof runs)[number]) => number): number => runs.reduce((sum, r) => sum + f(r), 0) / runs.length;
      const share = mean((r) => r.share);
      const fine = share >= least - 1e-9 && runs.every((r) => r.broken === 0);
      all &&= fine;
      console.log(
        `  ${set}  ${runs.length} instances  ${(share * 100).toFixed(2)} % (asked ${(least * 100).toFixed(1)}; ${runs.map((r) => (r.share * 100).toFixed(2)).join(', ')})  ${fine ? 'reached' : 'MISSED'}  ${mean((r) => r.seconds).toFixed(1)} s, ${mean((r) => r.cpuSeconds).toFixed(1)} CPU s, ${((2 * (options.moves ?? moves)) / 1e6).toFixed(0)} M moves; first plan ${mean((r) => r.firstSeconds).toFixed(2)} s; shown within ${(mean((r) => r.outcome.bound / r.outcome.objective - 1) * 100).toFixed(1)} %`,
      );
    }
  });
  return all;
}

/** The two shelves of `shelves.ts`: against the linear bound over the whole shelf. */
async function planShelves(options: PlanBenchOptions): Promise<boolean> {
  let all = true;
  console.log('\nReal shelves: 24 invented children, four rounds, six tables; share of the linear bound over every game of the shelf');
  await withWorker(async (solve, worker) => {
    for (const { name, more, least, moves } of real) {
      const began = process.cpuUsage();
      const { instance, options: ways } = shelfSession(more);
      const { user } = process.cpuUsage(began);
      const run = await plan(instance, solve, worker, options.seed, options.moves ?? moves);
      const { instance: whole, options: every } = shelfSession(more, 1, true);
      const bound = boundOf(whole, solve);
      // The same plan, told by the model of the whole shelf: what counts there is what counts.
      const there = new Map(every.map((o, g) => [`${o.game}|${o.offers[0]!.mixClass}|${o.beside}`, g]));
      const schedule = run.outcome.schedule.map((round) =>
        round.map((t) => {
          const o = ways[t.game]!;
          return { ...t, game: there.get(`${o.game}|${o.offers[0]!.mixClass}|${o.beside}`)! };
        }),
      );
      const share = checkPlan(whole, schedule).length === 0 ? objectiveOf(whole, schedule) / bound : 0;
      all &&= share >= least;
      console.log(
        `  ${name}: ${whole.games.length} ways to share a game, ${ways.length} considered, built in ${(user / 1e6).toFixed(2)} CPU s  ${(share * 100).toFixed(2)} % (asked ${(least * 100).toFixed(0)})  ${share >= least ? 'reached' : 'MISSED'}  ${run.seconds.toFixed(1)} s, ${run.cpuSeconds.toFixed(1)} CPU s; first plan ${run.firstSeconds.toFixed(2)} s; shown within ${((run.outcome.bound / run.outcome.objective - 1) * 100).toFixed(1)} %; model ${boundModel(instance).cost.length} columns`,
      );
    }
  });
  return all;
}

async function withWorker(run: (solve: SolveModel, worker: Worker) => Promise<void>): Promise<void> {
  const file = fileURLToPath(new URL('../workers/task.worker.mjs', import.meta.url));
  if (!existsSync(file)) throw new Error('The workers are not built. Run "npm run build" first.');
  const worker = new Worker(file);
  try {
    await run(await loadSolver(), worker);
  } finally {
    await worker.terminate();
  }
}

/** Reads `--seconds N`, `--moves N`, `--seed N`; what is left are files, or `real`. */
export async function benchPlan(args: readonly string[]): Promise<boolean> {
  const rest = [...args];
  const take = (name: string): number | undefined => {
    const at = rest.indexOf(`--${name}`);
    if (at < 0) return undefined;
    const value = Number(rest.splice(at, 2)[1]);
    if (!Number.isFinite(value) || value <= 0) throw new Error(`--${name} wants a number above 0.`);
    return value;
  };
  const seconds = take('seconds');
  const moves = take('moves') ?? (seconds === undefined ? undefined : seconds * movesPerSecond);
  const options = { seed: take('seed') ?? 1, ...(moves === undefined ? {} : { moves: Math.ceil(moves) }) };
  if (rest[0] === 'real') return planShelves(options);
  if (rest.length > 0) return planFiles(rest, options).then(() => true);
  const sessions = await planSets(options);
  return (await planShelves(options)) && sessions;
}
