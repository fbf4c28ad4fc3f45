import type { Mechanism, Seat } from '../mechanisms/mechanism';
import { type Course, courseOf } from './course';
import { errorOfShare } from './ratio';
import { Simulation } from './simulation';
import type { Estimate } from './simulationResult';

export interface Fairness {
  readonly games: number;
  /** Each seat's chance to win at this very table. */
  readonly wins: readonly Estimate[];
  /** How much likelier the first seat wins than its share, all players alike. */
  readonly seatAdvantage: Estimate;
  /** How much oftener a careful player wins than chance, against players who choose at random: 0 luck, 1 choice. */
  readonly choice: Estimate;
  readonly choiceWord: 'little' | 'somewhat' | 'much';
  /** Lead changes, when the winner is known, the weakest seat; null where no game of like players was won. */
  readonly course: Course | null;
  /** Head start that brings the weakest seat nearest to an even chance; null when none is needed or possible. */
  readonly handicap: {
    readonly seat: number;
    readonly headStart: number;
    readonly unit: string;
    readonly before: Estimate;
    readonly after: Estimate;
  } | null;
}

/** Below and above these, choices are said to matter little and much (common practice, no source). */
const little = 0.15;
const much = 0.45;
const mostHeadStart = 64;

/** Games that tell what a lead is worth and how games go; more than a chance to win asks for, since positions are told apart. */
export const courseGames = 2000;

/** Who wins how often, why, and what would even it. Null for a game that nobody can win. */
export function fairnessOf(mechanism: Mechanism, seats: readonly Seat<object>[], seed: number, games: number): Fairness | null {
  const wins = winsOf(mechanism, seats, seed, games);
  if (seats.length < 2 || wins.every((w) => w.mean === 0)) return null;
  const even = 1 / seats.length;
  const alike = seats.map((s) => ({ ...s, parameters: seats[0]!.parameters, policy: 'typical' as const, errorRate: 0.15, headStart: 0 }));
  const first = winsOf(mechanism, alike, seed, games);
  const all = first.reduce((sum, w) => sum + w.mean, 0) || 1;
  // The careful player sits in every seat in turn, so that the seat itself cancels out.
  let careful = 0;
  let decided = 0;
  for (let s = 0; s < seats.length; s++) {
    const table = alike.map((x, i) => ({ ...x, policy: i === s ? ('careful' as const) : ('random' as const) }));
    const w = winsOf(mechanism, table, seed + s + 1, Math.ceil(games / seats.length));
    careful += w[s]!.mean;
    decided += w.reduce((sum, x) => sum + x.mean, 0);
  }
  const rate = decided === 0 ? even : careful / decided;
  const choice = Math.max(0, (rate - even) / (1 - even));
  const error = Math.sqrt((rate * (1 - rate)) / games) / (1 - even);
  return {
    games,
    wins,
    seatAdvantage: { mean: first[0]!.mean / all - even, standardError: first[0]!.standardError / all },
    choice: { mean: choice, standardError: error },
    choiceWord: choice < little ? 'little' : choice < much ? 'somewhat' : 'much',
    course: courseOf(mechanism, seats, seed, courseGames),
    handicap: evenOut(mechanism, seats, wins, seed, games),
  };
}

/** Each seat's chance to win at this very table. */
export function winsOf(mechanism: Mechanism, seats: readonly Seat<object>[], seed: number, games: number): Estimate[] {
  const sim = new Simulation(mechanism, seats, null, { seed, games });
  while (!sim.advance());
  return seats.map((_, s) => {
    const mean = sim.winsOf(s).reduce((a, b) => a + b, 0) / sim.games;
    return { mean, standardError: errorOfShare(mean, sim.games) };
  });
}

/** Doubles the head start until the weakest seat wins its share, then closes in from both sides. */
function evenOut(
  mechanism: Mechanism,
  seats: readonly Seat<object>[],
  wins: readonly Estimate[],
  seed: number,
  games: number,
): Fairness['handicap'] {
  if (mechanism.headStart === null) return null;
  const decided = wins.reduce((sum, w) => sum + w.mean, 0);
  const even = decided / seats.length;
  let weakest = 0;
  for (let s = 1; s < wins.length; s++) if (wins[s]!.mean < wins[weakest]!.mean) weakest = s;
  const before = wins[weakest]!;
  if (even - before.mean < 3 * before.standardError) return null;
  const tried = new Map<number, Estimate>();
  const chance = (headStart: number): Estimate => {
    const known = tried.get(headStart);
    if (known) return known;
    const found = winsOf(
      mechanism,
      seats.map((s, i) => (i === weakest ? { ...s, headStart } : s)),
      seed,
      games,
    )[weakest]!;
    tried.set(headStart, found);
    return found;
  };
  let high = 1;
  while (high < mostHeadStart && chance(high).mean < even) high *= 2;
  let low = Math.floor(high / 2);
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (chance(middle).mean < even) low = middle;
    else high = middle;
  }
  const best = low > 0 && Math.abs(chance(low).mean - even) < Math.abs(chance(high).mean - even) ? low : high;
  // A head start that changes nothing beyond chance is not worth giving.
  if (chance(best).mean - before.mean < 3 * before.standardError) return null;
  return { seat: weakest, headStart: best, unit: mechanism.headStart, before, after: chance(best) };
}
