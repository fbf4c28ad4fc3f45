import { type ChildProcessWithoutNullStreams, spawn, spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { Worker } from 'node:worker_threads';
import { shippedGraph } from '../src/contract/shippedData';
import { libraryPrecision, librarySeed, shippedLibrary } from '../src/contract/shippedLibrary';
import { mechanismById } from '../src/core/mechanisms/registry';
import { usualSeats } from '../src/core/simulate/usualSeats';
import { seatsFor, type SeatRequest } from '../src/core/simulate/seats';
import { record, Simulation } from '../src/core/simulate/simulation';

const sliceMs = 50;
const rounds = 31;
const bareBinary = 'dist/bench/engine';
/** The same games, filling the tallies the engine fills. */
const talliesBinary = 'dist/bench/engine-tallies';

/** The three games of the native program, as the engine knows them. */
const games: readonly {
  readonly name: string;
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: readonly SeatRequest[];
  readonly factor: number;
}[] = [
  { name: 'G1', mechanism: 'sum-columns', parameters: { height: 10, picks: 0, firstColumn: 2 }, seats: [{ policy: 'careful' }], factor: 4 },
  {
    name: 'G2',
    mechanism: 'running-total',
    parameters: {},
    seats: [{ policy: 'careful' }, { policy: 'careful' }, { policy: 'careful' }],
    factor: 4,
  },
  {
    name: 'G3',
    mechanism: 'pair-memory',
    parameters: { memory: -1 },
    seats: [{ policy: 'careful' }, { policy: 'careful', parameters: { memory: 5 } }],
    factor: 2,
  },
];

const median = (values: readonly number[]): number => [...values].sort((x, y) => x - y)[Math.floor(values.length / 2)]!;

interface Native {
  ask(game: string): Promise<{ perSecond: number; turns: number; minutes: number }>;
  end(): void;
}

function startNative(binary: string, flags: readonly string[]): Native | null {
  const built = spawnSync('g++', ['-O2', '-std=c++17', ...flags, '-o', binary, 'bench/native/engine.cpp']);
  if (built.status !== 0) return null;
  const child: ChildProcessWithoutNullStreams = spawn(binary);
  const answers = createInterface({ input: child.stdout })[Symbol.asyncIterator]();
  return {
    ask: async (game) => {
      child.stdin.write(`${game} ${sliceMs}\n`);
      const line = String((await answers.next()).value);
      const [perSecond, turns, minutes] = line.split(' ').map(Number);
      return { perSecond: perSecond!, turns: turns!, minutes: minutes! };
    },
    end: () => child.stdin.end(),
  };
}

/** The engine against hand-written native programs of the same rules: paired slices, median ratio. */
export async function benchNative(): Promise<void> {
  console.log('\nEngine against a native program of the same rules that fills the same tallies, one core, median of paired slices');
  mkdirSync('dist/bench', { recursive: true });
  const tallies = startNative(talliesBinary, ['-DTALLIES']);
  const bare = startNative(bareBinary, []);
  if (!tallies || !bare) {
    console.log('  no compiler here, so nothing to compare with');
    return;
  }
  const engines = games.map((g) => endless(g));
  // Both warm up on every game first: alone, one style looks faster than beside others.
  for (const e of engines) slice(e, 4 * sliceMs);
  for (const [i, g] of games.entries()) {
    const ratios: number[] = [];
    const bareRatios: number[] = [];
    let turns = 0;
    let minutes = 0;
    for (let r = 0; r < rounds; r++) {
      const theirs = await tallies.ask(g.name);
      const ours = slice(engines[i]!, sliceMs);
      const leanest = await bare.ask(g.name);
      ({ turns, minutes } = theirs);
      ratios.push(theirs.perSecond / ours);
      bareRatios.push(leanest.perSecond / ours);
    }
    const mean = engines[i]!.means();
    console.log(
      `  ${g.name} ${g.mechanism.padEnd(14)} ${median(ratios).toFixed(2)} × slower  (asked: ${g.factor} ×, ${(median(ratios) / g.factor).toFixed(2)} of it)  mean turns ${mean.turns.toFixed(2)} here, ${turns.toFixed(2)} there, minutes ${mean.minutes.toFixed(2)} and ${minutes.toFixed(2)}; against the bare game, which counts items and turns only: ${median(bareRatios).toFixed(2)} ×`,
    );
  }
  tallies.end();
  bare.end();
}

interface Endless {
  advance(): number;
  means(): Means;
}

/** Plays on for ever, as a precise profile does. */
function endless(g: (typeof games)[number]): Endless {
  const mechanism = mechanismById(g.mechanism)!;
  const seats = seatsFor(mechanism, g.parameters, g.seats);
  const start = (): Simulation => new Simulation(mechanism, seats, shippedGraph(), { seed: 7, precision: { length: 1e-9, share: 1e-9 } });
  let sim = start();
  let last: Means | null = null;
  return {
    advance: () => {
      const before = sim.games;
      const over = sim.advance();
      const played = sim.games - before;
      if (over) {
        last = meansOf(sim);
        sim = start();
      }
      return played;
    },
    // Just after a new start the games before tell more.
    means: () => (sim.games < 1000 && last ? last : meansOf(sim)),
  };
}

interface Means {
  readonly turns: number;
  readonly minutes: number;
}

function meansOf(sim: Simulation): Means {
  const mean = (place: number): number => sim.column(place).reduce((a, b) => a + b, 0) / sim.games;
  return { turns: mean(record.TURNS), minutes: mean(record.SECONDS) / 60 };
}

/** Games a second over one slice. */
function slice(e: Endless, ms: number): number {
  const began = performance.now();
  let played = 0;
  let now = began;
  while (now - began < ms) {
    played += e.advance();
    now = performance.now();
  }
  return (played / (now - began)) * 1000;
}

const tasks = 6;
const gamesEach = 60_000;

/** Two workers against one, with a native control beside it: when another job holds a core, both fall. */
export async function benchWorkers(): Promise<void> {
  console.log('\nTwo workers against one (asked: 1.7 times as fast)');
  const one = await timeOf(1);
  const two = await timeOf(2);
  const control = spawnSync('sh', ['-c', `(echo "G2 1500" | ${bareBinary}) & (echo "G2 1500" | ${bareBinary}); wait`], {
    encoding: 'utf8',
  });
  const alone = spawnSync('sh', ['-c', `echo "G2 1500" | ${bareBinary}`], { encoding: 'utf8' });
  const rate = (out: string): number =>
    out
      .trim()
      .split('\n')
      .reduce((sum, line) => sum + Number(line.split(' ')[0]), 0);
  const native = alone.status === 0 ? `; two native programs ${(rate(control.stdout) / rate(alone.stdout)).toFixed(2)} ×` : '';
  console.log(`  ${(one / two).toFixed(2)} × as fast${native}`);
}

async function timeOf(count: number): Promise<number> {
  const workers = Array.from({ length: count }, () => new Worker('./dist/workers/task.worker.mjs'));
  const run = (w: Worker, seed: number, n: number): Promise<void> =>
    new Promise((resolve) => {
      w.removeAllListeners('message');
      w.on('message', (m: { type: string }) => m.type === 'done' && resolve());
      w.postMessage({
        own: { skills: [], edges: [] },
        task: { kind: 'simulate', mechanism: 'running-total', parameters: {}, seats: 3, seed, games: n },
      });
    });
  await Promise.all(workers.map((w) => run(w, 1, 5000)));
  let next = 0;
  const began = performance.now();
  await Promise.all(
    workers.map(async (w) => {
      while (next < tasks) await run(w, ++next, gamesEach);
    }),
  );
  const took = performance.now() - began;
  await Promise.all(workers.map((w) => w.terminate()));
  return took;
}

const firstEstimateMs = 300;

/** Time to a first estimate of every shipped version: the table made ready and 512 games, or two batches. */
export function benchFirstEstimate(): void {
  const times = shippedLibrary.flatMap((g) =>
    g.variants.map((v) => {
      const mechanism = mechanismById(g.mechanism)!;
      const began = performance.now();
      const sim = new Simulation(mechanism, seatsFor(mechanism, v.parameters, usualSeats(v.players)), shippedGraph(), {
        seed: librarySeed,
        precision: libraryPrecision,
      });
      sim.advance();
      sim.advance();
      return { ms: performance.now() - began, name: `${g.id}/${v.id}` };
    }),
  );
  times.sort((x, y) => y.ms - x.ms);
  console.log(
    `\nFirst estimate of ${times.length} shipped versions: slowest ${(times[0]!.ms / firstEstimateMs).toFixed(2)} of ${firstEstimateMs} ms (${times[0]!.name}), median ${(times[Math.floor(times.length / 2)]!.ms / firstEstimateMs).toFixed(3)}`,
  );
}
