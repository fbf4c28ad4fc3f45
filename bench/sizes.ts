import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { shippedGraph } from '../src/contract/shippedData';
import type { TrueAt, TruePlay } from '../src/core/cohort/loop/world';
import { mechanismById } from '../src/core/mechanisms/registry';
import type { Offer } from '../src/core/recommend/offer';
import { meanDoses } from '../src/core/simulate/meanDoses';
import { seatsFor } from '../src/core/simulate/seats';
import { ENGINE, Simulation } from '../src/core/simulate/simulation';
import { simulationResult } from '../src/core/simulate/simulationResult';
import type { SimulationResult } from '../src/core/simulate/simulationResult';

const graph = shippedGraph();
const path = 'bench/out/sizes.json';
const games = 96;
const most = 12;
/** Minutes between two plays of a game that ended early: the loop's own assumption. */
const between = 1;

interface Counted {
  readonly doses: readonly (readonly [skill: string, perTenMinutes: number])[];
  /** Answers of one learner in ten minutes, whatever they are credited to. */
  readonly answers: number;
}

function playedAt(o: Offer, n: number): SimulationResult {
  const mechanism = mechanismById(o.mechanism!)!;
  const sim = new Simulation(mechanism, seatsFor(mechanism, o.parameters, n), graph, { seed: 11, games });
  while (!sim.advance());
  return simulationResult(sim);
}

/** What every version gives at every table that may play it, as the engine plays them; kept beside the runs. */
export function measureSizes(offers: readonly Offer[]): Record<string, Counted> {
  const kept = existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as { engine: string; at: Record<string, Counted> }) : null;
  const at = kept?.engine === ENGINE ? kept.at : {};
  let added = false;
  for (const o of offers) {
    const seats = o.mechanism === null ? null : mechanismById(o.mechanism)!.seats;
    if (!seats) continue;
    for (let n = Math.max(1, o.players[0], seats.min); n <= Math.min(most, o.players[1], seats.max); n++) {
      if (at[`${o.variant}|${n}`]) continue;
      const r = playedAt(o, n);
      at[`${o.variant}|${n}`] = {
        doses: [...meanDoses(r)].map(([skill, d]) => [skill, Number(d.mean.toPrecision(4))]),
        answers: (10 * r.measures['itemsPerTurn']! * r.turns.mean) / r.minutes.mean / n,
      };
      added = true;
    }
  }
  if (added) {
    mkdirSync('bench/out', { recursive: true });
    writeFileSync(path, JSON.stringify({ engine: ENGINE, at }));
  }
  return at;
}

/** What versions truly give: measured at the very table, with minutes in which it is laid out again. */
export function trueSizes(offers: readonly Offer[]): TrueAt {
  const listed = measureSizes(offers);
  const made = new Map<string, TruePlay>();
  return (offer, players, slot) => {
    // A planner asks before it knows who will sit there.
    const n = Math.min(Math.min(most, offer.players[1]), Math.max(offer.players[0], players));
    const key = `${offer.variant}|${n}`;
    const known = made.get(`${key}|${slot}`);
    if (known) return known;
    const plays = offer.minutes >= slot ? 1 : (slot + between) / (offer.minutes + between);
    const share = (slot - (plays - 1) * between) / slot;
    const measured = listed[key];
    if (!measured) throw new Error(`${key} was never measured`);
    const doses = new Float64Array(graph.skills.length);
    for (const [skill, mean] of measured.doses) doses[graph.indexOf.get(skill)!] = mean * share;
    const truly = { doses, answers: measured.answers * share };
    made.set(`${key}|${slot}`, truly);
    return truly;
  };
}
