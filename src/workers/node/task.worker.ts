import { parentPort } from 'node:worker_threads';
import { loadSolver } from '../../adapters/highs/solveModel';
import { checkTable } from '../../contract/parameters';
import { shippedGraph } from '../../contract/shippedData';
import { planTerm } from '../../core/planning/planTerm';
import { Simulation } from '../../core/simulate/simulation';
import { simulationResult } from '../../core/simulate/simulationResult';
import type { FromWorker, SimulateTask, Task } from './messages';

const port = parentPort!;
const send = (message: FromWorker): void => port.postMessage(message);
/** At most so many progress messages a second. */
const progressEveryMs = 80;

port.on('message', (task: Task) => {
  run(task).catch((error: unknown) => send({ type: 'failed', problem: { code: 'worker-lost', message: error instanceof Error ? error.message : String(error) } }));
});

async function run(task: Task): Promise<void> {
  if (task.kind === 'crash') process.exit(1);
  if (task.kind === 'simulate') return simulate(task);
  const solve = await loadSolver();
  let last = 0;
  const result = planTerm(shippedGraph(), task.input, solve, (share) => {
    const now = performance.now();
    if (now - last < progressEveryMs) return;
    last = now;
    send({ type: 'progress', share });
  });
  send({ type: 'done', result });
}

function simulate(task: SimulateTask): void {
  const table = checkTable(task.mechanism, task.parameters, task.seats);
  if (!table.ok) return send({ type: 'failed', problem: table.problem });
  const sim = new Simulation(table.value.mechanism, table.value.seats, shippedGraph(), { seed: task.seed, ...(task.games ? { games: task.games } : {}), ...(task.precision ? { precision: task.precision } : {}) });
  let last = performance.now();
  while (!sim.advance()) {
    const now = performance.now();
    if (now - last < progressEveryMs) continue;
    last = now;
    send({ type: 'progress', share: sim.progress() });
  }
  send({ type: 'done', result: simulationResult(sim) });
}
