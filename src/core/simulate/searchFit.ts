import type { Mechanism } from '../mechanisms/mechanism';
import { otherValues } from '../play/schemaValues';
import { successBand } from '../recommend/learnerNeeds';
import type { SkillGraph } from '../skills/skillGraph';
import { ratioOf } from './ratio';
import { record, Simulation } from './simulation';
import { tableOf } from './tableOf';

/** A change of one number, or of one choice, and what it does to the share of right answers of one child. */
export interface FitChange {
  readonly parameter: string;
  readonly value: unknown;
  /** Expected shares of right answers before and after, over all that is asked. */
  readonly before: number;
  readonly after: number;
  readonly minutes: { readonly mean: number; readonly standardError: number };
}

const gamesEach = 96;
const changesShown = 3;
/** A shift of the share of right answers below this is none. */
const leastShift = 0.02;
/** What does not reach the band must come nearer to it by this. */
const leastNearer = 0.05;
/** Nobody wants a change that makes the game much longer or a mere moment. */
const longest = (minutes: number): number => Math.max(25, 1.6 * minutes);
const shortest = (minutes: number): number => Math.min(5, 0.5 * minutes);

/**
 * Makes a version easier or harder for one child: tries every other value of every parameter, one at a time, plays
 * each, and reads off how many answers this child would have right (`success` by index of the skill). The smallest
 * shift that reaches the band comes first; what stays outside it follows, nearest first; at most one a parameter. A
 * generator, so that a worker can report progress and stop. Returns nothing where nothing that is asked is known.
 */
export function* searchFit(
  mechanism: Mechanism,
  parameters: object,
  seats: number,
  graph: SkillGraph,
  success: ArrayLike<number>,
  direction: 'easier' | 'harder',
  seed: number,
): Generator<number, FitChange[]> {
  const full: Record<string, unknown> = { ...mechanism.defaults, ...parameters };
  const base = measure(mechanism, full, seats, graph, success, seed);
  if (!base) return [];
  const tries = Object.entries(mechanism.parametersSchema.properties).flatMap(([name, schema]) =>
    otherValues(schema, full[name]).map((value) => ({ name, value })),
  );
  const best = new Map<string, FitChange>();
  for (const [i, { name, value }] of tries.entries()) {
    yield i / tries.length;
    const got = measure(mechanism, { ...full, [name]: value }, seats, graph, success, seed);
    if (!got || got.minutes.mean > longest(base.minutes.mean) || got.minutes.mean < shortest(base.minutes.mean)) continue;
    const shift = direction === 'easier' ? got.share - base.share : base.share - got.share;
    // What stays far outside the band, and comes hardly nearer, is no advice.
    if (shift < leastShift || (outside(got.share) > 0 && outside(base.share) - outside(got.share) < leastNearer)) continue;
    const change: FitChange = { parameter: name, value, before: base.share, after: got.share, minutes: got.minutes };
    const known = best.get(name);
    if (!known || compare(change, known) < 0) best.set(name, change);
  }
  return [...best.values()].sort(compare).slice(0, changesShown);
}

/** How far a share lies outside the band. */
const outside = (share: number): number => Math.max(0, successBand[0] - share, share - successBand[1]);

/** Nearer to the band first, and of those in it the one that changes least. */
function compare(x: FitChange, y: FitChange): number {
  return outside(x.after) - outside(y.after) || Math.abs(x.after - x.before) - Math.abs(y.after - y.before);
}

/** The share of right answers of one child over all skills a version asks, and how long it takes; null where it cannot be played or asks nothing known. */
function measure(
  mechanism: Mechanism,
  parameters: object,
  seats: number,
  graph: SkillGraph,
  success: ArrayLike<number>,
  seed: number,
): { readonly share: number; readonly minutes: FitChange['minutes'] } | null {
  const table = tableOf(mechanism.id, parameters, seats);
  if (!table.ok) return null;
  const sim = new Simulation(table.value.mechanism, table.value.seats, graph, { seed, games: gamesEach });
  while (!sim.advance());
  let items = 0;
  let right = 0;
  for (let k = 0; k < graph.skills.length; k++) {
    const n = sim.classOverSeats(k).reduce((sum, x) => sum + x, 0);
    items += n;
    right += n * success[k]!;
  }
  if (items === 0) return null;
  const r = ratioOf(
    sim.column(record.SECONDS).map((s) => s / 60),
    sim.column(record.GAMES),
  );
  return { share: right / items, minutes: { mean: r.value, standardError: r.standardError } };
}
