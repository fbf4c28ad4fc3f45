import { readFileSync } from 'node:fs';
import { loadSolver } from '../src/adapters/highs/solveModel';
import { checkPlan } from '../src/core/planning/checkPlan';
import type { PlanInstance } from '../src/core/planning/instance';
import { planSession } from '../src/core/planning/planSession';

const seed = 1;
const moves = 4_000_000;

/** Plans instance files through the function the app itself calls; one JSON line each, or a table. */
export async function benchPlan(files: readonly string[], options: { table?: boolean } = {}): Promise<void> {
  const solve = await loadSolver();
  if (options.table) console.log('\nSession plans, two starts of 4 million moves; share of the stated bound and of the best known plan');
  for (const file of files) {
    const instance = JSON.parse(readFileSync(file, 'utf8')) as PlanInstance & { bound: number; bestKnown: number };
    const start = performance.now();
    const cpu = process.cpuUsage();
    const outcome = planSession(instance, solve, { seed, moves });
    const took = (performance.now() - start) / 1000;
    const { user, system } = process.cpuUsage(cpu);
    const broken = checkPlan(instance, outcome.schedule);
    if (options.table) {
      console.log(
        `  ${instance.name}  ${took.toFixed(2)} s  ${(outcome.objective / instance.bound).toFixed(4)} of bound  ${(outcome.objective / instance.bestKnown).toFixed(4)} of best known  ${outcome.status}, ${broken.length} rules broken`,
      );
      continue;
    }
    console.log(
      JSON.stringify({
        name: instance.name ?? file,
        status: outcome.status,
        objective: Number(outcome.objective.toFixed(6)),
        bound: Number(outcome.bound.toFixed(6)),
        ofBound: Number((outcome.objective / instance.bound).toFixed(4)),
        ofBestKnown: Number((outcome.objective / instance.bestKnown).toFixed(4)),
        seconds: Number(took.toFixed(2)),
        cpuSeconds: Number(((user + system) / 1e6).toFixed(2)),
        moves: 2 * moves,
        seed,
        broken: broken.length,
        schedule: outcome.schedule.map((round) => round.map((t) => ({ game: t.game, learners: t.learners }))),
      }),
    );
  }
}
