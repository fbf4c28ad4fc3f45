import { operations } from '../items/item';
import type { Estimate, SimulationResult } from './simulationResult';

/** What a stored profile keeps of a simulation: enough to choose by, small enough to ship. */
export interface ProfileSummary {
  readonly engine: string;
  readonly seed: number;
  readonly seats: number;
  readonly games: number;
  readonly turns: Estimate;
  /** Minutes of play: a tenth of games are shorter than the first, a tenth longer than the last. */
  readonly minutes: readonly [number, number, number];
  /** Skill, chances for one learner in ten minutes, standard error; most first. */
  readonly doses: readonly (readonly [string, number, number])[];
  /** Operation and its share of all items. */
  readonly mix: readonly (readonly [string, number])[];
  readonly waiting: number;
  readonly choices: number;
  readonly idleTurns: number;
  readonly facts: number;
}

const dosesKept = 10;
const leastShare = 0.005;
const short = (n: number, digits = 4): number => Number(n.toPrecision(digits));

/** Doses are means over the seats of the table. */
export function profileSummary(r: SimulationResult): ProfileSummary {
  const sums = new Map<string, { dose: number; variance: number }>();
  for (const list of r.doses)
    for (const d of list) {
      const s = sums.get(d.skill) ?? { dose: 0, variance: 0 };
      sums.set(d.skill, { dose: s.dose + d.perTenMinutes, variance: s.variance + d.standardError ** 2 });
    }
  const doses = [...sums].map(([skill, s]) => [skill, short(s.dose / r.seats), short(Math.sqrt(s.variance) / r.seats, 2)] as const).sort((x, y) => y[1] - x[1]);
  return {
    engine: r.engine,
    seed: r.seed,
    seats: r.seats,
    games: r.games,
    turns: { mean: short(r.turns.mean), standardError: short(r.turns.standardError, 2) },
    minutes: [short(r.minutes['0.1']!), short(r.minutes['0.5']!), short(r.minutes['0.9']!)],
    doses: doses.slice(0, dosesKept),
    mix: operations.map((op) => [op, short(r.shares[op].mean, 3)] as const).filter(([, share]) => share >= leastShare),
    waiting: short(r.measures['waitingShare']!, 3),
    choices: short(r.measures['choices']!, 3),
    idleTurns: short(r.measures['movelessShare']!, 3),
    facts: r.distinctFacts,
  };
}
