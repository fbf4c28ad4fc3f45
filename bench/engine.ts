import { shippedGraph } from '../src/contract/shippedData';
import { mechanisms } from '../src/core/mechanisms/registry';
import { seatsFor } from '../src/core/simulate/seats';
import { Simulation } from '../src/core/simulate/simulation';
import { simulationResult } from '../src/core/simulate/simulationResult';

const budgetSeconds = 1;

/** Profile of each mechanism's own example to 1 % on length and ±0.5 points on shares, on one core. */
export function benchEngine(): void {
  console.log('\nProfile to 1 % of mean length and ±0.5 points on shares, one core, budget 1 s');
  for (const m of mechanisms) {
    const start = performance.now();
    const sim = new Simulation(m, seatsFor(m, {}, 3), shippedGraph(), { seed: 7 });
    while (!sim.advance());
    const r = simulationResult(sim);
    const took = (performance.now() - start) / 1000;
    console.log(
      `  ${m.id.padEnd(16)} ${took.toFixed(2)} s  ${(took / budgetSeconds).toFixed(2)} of budget  ${r.games} games, ±${((100 * r.turns.standardError) / r.turns.mean).toFixed(2)} %`,
    );
  }
}
