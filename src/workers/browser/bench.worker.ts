import { graphFor } from '../../contract/graphWith';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { searchChanges } from '../../core/simulate/searchChanges';
import { Simulation } from '../../core/simulate/simulation';
import { simulationResult } from '../../core/simulate/simulationResult';
import { DEFAULT_TIME, timeProblem } from '../../core/simulate/timeModel';
import { tableOf } from '../../core/simulate/tableOf';
import type { BenchAnswer, BenchQuestion } from './messages';

/** A first answer comes after so many milliseconds of play, then sharper ones. */
const firstMs = 120;
const laterMs = 900;
const precision = { length: 0.01, share: 0.004 };

let last: { readonly key: string; readonly graph: SkillGraph } | null = null;

/** The graph with the owner's skills, built anew only when they changed. */
function graphOf(own: Extract<BenchQuestion, { kind: 'estimate' }>['own']): SkillGraph {
  const key = JSON.stringify(own);
  if (last?.key !== key) last = { key, graph: graphFor(own) };
  return last.graph;
}

let current = 0;
const send = (answer: BenchAnswer): void => postMessage(answer);
/** Lets a newer question in. */
const breathe = (): Promise<void> => new Promise((r) => setTimeout(r, 0));

addEventListener('message', (event: MessageEvent<BenchQuestion>) => {
  current++;
  const mine = current;
  if (event.data.kind === 'estimate') void estimate(event.data, mine);
  if (event.data.kind === 'search') void search(event.data, mine);
});

async function estimate(q: Extract<BenchQuestion, { kind: 'estimate' }>, mine: number): Promise<void> {
  const table = tableOf(q.mechanism, q.parameters, q.seats);
  if (!table.ok) return send({ kind: 'refused', ask: q.ask, problem: table.problem });
  const time = { ...DEFAULT_TIME, ...q.time };
  const pace = timeProblem(time);
  if (pace) return send({ kind: 'refused', ask: q.ask, problem: pace });
  const sim = new Simulation(table.value.mechanism, table.value.seats, graphOf(q.own), { seed: q.seed, precision, time });
  let due = performance.now() + firstMs;
  for (let over = false; !over;) {
    over = sim.advance();
    const now = performance.now();
    if (!over && now < due) continue;
    if (sim.batches.length >= 2 || over) send({ kind: 'estimate', ask: q.ask, result: simulationResult(sim), final: over });
    due = performance.now() + laterMs;
    await breathe();
    if (mine !== current) return;
  }
}

async function search(q: Extract<BenchQuestion, { kind: 'search' }>, mine: number): Promise<void> {
  const table = tableOf(q.mechanism, q.parameters, q.seats);
  if (!table.ok) return send({ kind: 'refused', ask: q.ask, problem: table.problem });
  const steps = searchChanges(table.value.mechanism, q.parameters, q.seats, q.wish, q.seed);
  for (;;) {
    const step = steps.next();
    if (step.done) return send({ kind: 'changes', ask: q.ask, changes: step.value });
    send({ kind: 'searching', ask: q.ask, share: step.value });
    await breathe();
    if (mine !== current) return;
  }
}
