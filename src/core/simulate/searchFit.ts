import { canShare } from '../mechanisms/canShare';
import type { Mechanism } from '../mechanisms/mechanism';
import { otherValues } from '../play/schemaValues';
import { successBand } from '../recommend/learnerNeeds';
import type { SkillGraph } from '../skills/skillGraph';
import { ratioOf } from './ratio';
import { record, Simulation } from './simulation';
import { tableOf } from './tableOf';

/** A change of one number, or of one choice, and what it does to the share of right answers of each child. */
export interface FitChange {
  readonly parameter: string;
  readonly value: unknown;
  /** Expected shares of right answers before and after, over all that is asked, child by child. */
  readonly before: readonly number[];
  readonly after: readonly number[];
  readonly minutes: { readonly mean: number; readonly standardError: number };
}

const gamesEach = 96;
const changesShown = 3;
/** A shift of the share of right answers below this, half an answer in ten, nobody notices. */
const leastShift = 0.05;
/** What does not reach the band must come nearer to it by this. */
const leastNearer = 0.05;
/** Nobody wants a change that makes the game much longer or a mere moment. */
const longest = (minutes: number): number => Math.max(25, 1.6 * minutes);
const shortest = (minutes: number): number => Math.min(5, 0.5 * minutes);

/**
 * Makes a version easier or harder for the children of a table: tries every other value of every parameter, one at a
 * time, plays each, and reads off how many answers each child would have right (`successes`, each by index of the
 * skill; means over the children are compared). The smallest shift that reaches the band comes first; what stays
 * outside it follows, nearest first; at most one a parameter; none that could not share a table with the versions
 * `beside` it. A generator, so that a worker can report progress and stop. Returns nothing where nothing that is asked
 * is known.
 */
export function* searchFit(
  mechanism: Mechanism,
  parameters: object,
  seats: number,
  graph: SkillGraph,
  successes: readonly ArrayLike<number>[],
  direction: 'easier' | 'harder',
  seed: number,
  beside: readonly object[] = [],
): Generator<number, FitChange[]> {
  const full: Record<string, unknown> = { ...mechanism.defaults, ...parameters };
  const base = measure(mechanism, full, seats, graph, successes, seed);
  if (!base) return [];
  const tries = Object.entries(mechanism.parametersSchema.properties).flatMap(([name, schema]) =>
    otherValues(schema, full[name]).map((value) => ({ name, value })),
  );
  const best = new Map<string, FitChange>();
  for (const [i, { name, value }] of tries.entries()) {
    yield i / tries.length;
    const turned = { ...full, [name]: value };
    if (!beside.every((other) => canShare(mechanism, turned, other))) continue;
    const got = measure(mechanism, turned, seats, graph, successes, seed);
    if (!got || got.minutes.mean > longest(base.minutes.mean) || got.minutes.mean < shortest(base.minutes.mean)) continue;
    const shift = (direction === 'easier' ? 1 : -1) * (meanOf(got.shares) - meanOf(base.shares));
    // What stays far outside the band, and comes hardly nearer, is no advice.
    if (shift < leastShift || (outside(got.shares) > 0 && outside(base.shares) - outside(got.shares) < leastNearer)) continue;
    const change: FitChange = { parameter: name, value, before: base.shares, after: got.shares, minutes: got.minutes };
    const known = best.get(name);
    if (!known || compare(change, known) < 0) best.set(name, change);
  }
  return [...best.values()].sort(compare).slice(0, changesShown);
}

const meanOf = (list: readonly number[]): number => list.reduce((sum, x) => sum + x, 0) / list.length;
/** How far shares lie outside the band, on average. */
const outside = (shares: readonly number[]): number =>
  meanOf(shares.map((share) => Math.max(0, successBand[0] - share, share - successBand[1])));
/** How far the shares of a change move, on average. */
const moved = ({ before, after }: FitChange): number => meanOf(after.map((x, i) => Math.abs(x - before[i]!)));

/** Nearer to the band first, and of those in it the one that changes least. */
function compare(x: FitChange, y: FitChange): number {
  return outside(x.after) - outside(y.after) || moved(x) - moved(y);
}

/** The share of right answers of each child over all skills a version asks, and how long it takes; null where it cannot be played or asks nothing known. */
function measure(
  mechanism: Mechanism,
  parameters: object,
  seats: number,
  graph: SkillGraph,
  successes: readonly ArrayLike<number>[],
  seed: number,
): { readonly shares: readonly number[]; readonly minutes: FitChange['minutes'] } | null {
  const table = tableOf(mechanism.id, parameters, seats);
  if (!table.ok) return null;
  const sim = new Simulation(table.value.mechanism, table.value.seats, graph, { seed, games: gamesEach });
  while (!sim.advance());
  let items = 0;
  const right = successes.map(() => 0);
  for (let k = 0; k < graph.skills.length; k++) {
    const n = sim.classOverSeats(k).reduce((sum, x) => sum + x, 0);
    items += n;
    for (const [i, success] of successes.entries()) right[i]! += n * success[k]!;
  }
  if (items === 0) return null;
  const r = ratioOf(
    sim.column(record.SECONDS).map((s) => s / 60),
    sim.column(record.GAMES),
  );
  return { shares: right.map((x) => x / items), minutes: { mean: r.value, standardError: r.standardError } };
}
