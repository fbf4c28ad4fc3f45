import type { SkillGraph } from '../skills/skillGraph';
import type { Mechanism } from '../mechanisms/mechanism';
import { otherValues } from '../play/schemaValues';
import { ratioOf } from './ratio';
import { record, Simulation } from './simulation';
import type { Estimate } from './simulationResult';
import { groupNames } from './classes';
import { tableOf } from './tableOf';

/** What a person may wish of a version. */
export const wishes = [
  'more-subtraction',
  'more-addition',
  'more-multiplication',
  'more-crossing',
  'fewer-idle-turns',
  'less-waiting',
  'fewer-choices',
  'end-in-ten',
  'more-practice',
] as const;
export type Wish = (typeof wishes)[number];
/** A wish for chances at one skill. */
export interface SkillWish {
  readonly skill: string;
  readonly graph: SkillGraph;
}

export interface Change {
  readonly parameter: string;
  readonly value: unknown;
  readonly before: Estimate;
  readonly after: Estimate;
  /** Minutes of the changed version. */
  readonly minutes: Estimate;
}

const gamesEach = 240;
/** Several versions are searched for one skill, so each change is played less often. */
const gamesForSkill = 96;
const changesShown = 3;
/** An effect must stand out from the noise by so many standard errors. */
const leastErrors = 3;
/** Nobody wants a change that makes the game much longer or a mere moment. */
const longest = (minutes: number): number => Math.max(25, 1.6 * minutes);
const shortest = (minutes: number): number => Math.min(5, 0.5 * minutes);

/**
 * Tries every other value of every parameter, one at a time, and lists the changes that do
 * most for the wish, at most one a parameter, each with its measured effect. A generator,
 * so that a worker can report progress and stop.
 */
export function* searchChanges(
  mechanism: Mechanism,
  parameters: object,
  seats: number,
  wish: Wish | SkillWish,
  seed: number,
): Generator<number, Change[]> {
  const full: Record<string, unknown> = { ...mechanism.defaults, ...parameters };
  const base = measure(mechanism, full, seats, wish, seed);
  if (!base) return [];
  const tries = Object.entries(mechanism.parametersSchema.properties).flatMap(([name, schema]) =>
    otherValues(schema, full[name]).map((value) => ({ name, value })),
  );
  const best = new Map<string, { change: Change; gain: number }>();
  for (const [i, { name, value }] of tries.entries()) {
    yield i / tries.length;
    const got = measure(mechanism, { ...full, [name]: value }, seats, wish, seed);
    if (!got || got.minutes.mean > longest(base.minutes.mean) || got.minutes.mean < shortest(base.minutes.mean)) continue;
    const gain = gainOf(wish, base.measured.mean, got.measured.mean);
    if (gain <= 1e-9 || gain < leastErrors * Math.hypot(base.measured.standardError, got.measured.standardError)) continue;
    const known = best.get(name);
    if (!known || gain > known.gain)
      best.set(name, { gain, change: { parameter: name, value, before: base.measured, after: got.measured, minutes: got.minutes } });
  }
  return [...best.values()]
    .sort((x, y) => y.gain - x.gain)
    .slice(0, changesShown)
    .map((b) => b.change);
}

/** Positive when the wish comes nearer. */
function gainOf(wish: Wish | SkillWish, before: number, after: number): number {
  if (wish === 'end-in-ten') return Math.abs(before - 10) - Math.abs(after - 10);
  return wish === 'fewer-idle-turns' || wish === 'less-waiting' || wish === 'fewer-choices' ? before - after : after - before;
}

/** The measured number of a wish: a share, chances in ten minutes for one learner, or minutes. */
function measure(
  mechanism: Mechanism,
  parameters: object,
  seats: number,
  wish: Wish | SkillWish,
  seed: number,
): { measured: Estimate; minutes: Estimate } | null {
  const table = tableOf(mechanism.id, parameters, seats);
  if (!table.ok) return null;
  const sim = new Simulation(table.value.mechanism, table.value.seats, typeof wish === 'string' ? null : wish.graph, {
    seed,
    games: typeof wish === 'string' ? gamesEach : gamesForSkill,
  });
  while (!sim.advance());
  const seconds = sim.column(record.SECONDS);
  const games = sim.column(record.GAMES);
  const estimate = (y: ArrayLike<number>, x: ArrayLike<number>): Estimate => {
    const r = ratioOf(y, x);
    return { mean: r.value, standardError: r.standardError };
  };
  const minutes = estimate(
    seconds.map((s) => s / 60),
    games,
  );
  // Each child, ten minutes: seat minutes divided by ten.
  const perChild = seconds.map((s) => (s / 600) * seats);
  const group = (name: (typeof groupNames)[number]): Float64Array => sim.classOverSeats(groupNames.indexOf(name));
  if (typeof wish !== 'string') return { measured: estimate(sim.classOverSeats(wish.graph.indexOf.get(wish.skill)!), perChild), minutes };
  switch (wish) {
    case 'more-subtraction':
      return { measured: estimate(group('subtract'), perChild), minutes };
    case 'more-addition':
      return { measured: estimate(group('add'), perChild), minutes };
    case 'more-multiplication':
      return { measured: estimate(group('multiply'), perChild), minutes };
    case 'more-crossing':
      return { measured: estimate(group('crossing'), perChild), minutes };
    case 'more-practice':
      return { measured: estimate(sim.column(record.ITEMS), perChild), minutes };
    case 'fewer-idle-turns':
      return { measured: estimate(sim.column(record.MOVELESS), sim.column(record.TURNS)), minutes };
    case 'fewer-choices':
      return { measured: estimate(sim.column(record.CHOICES), sim.column(record.TURNS)), minutes };
    case 'less-waiting':
      return { measured: estimate(sim.column(record.WAITING), games), minutes };
    case 'end-in-ten':
      return { measured: minutes, minutes };
  }
}
