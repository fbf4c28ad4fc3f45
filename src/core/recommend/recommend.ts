import type { SkillGraph } from '../skills/skillGraph';
import type { LearnerNeeds } from './learnerNeeds';
import { atTable } from './atTable';
import { isKnown, type Offer } from './offer';
import { practised } from './practised';
import { expectedSuccess, gainOf, gateOf, type Gate, lengthSlack, valueOf } from './valueOf';

export interface RecommendOptions {
  readonly minutes: number;
  readonly limit: number;
  /** Quantity on hand per kind; null when stock is not to be looked at. */
  readonly stock: ReadonlyMap<string, number> | null;
  /** Days since a game was last played by any of the learners. */
  readonly daysSincePlayed: ReadonlyMap<string, number>;
  readonly filters?: RecommendFilters;
}

/** What the person asking cannot or does not want today. */
export interface RecommendFilters {
  /** Only what runs without a grown-up at the table. */
  readonly withoutHelper?: boolean;
  /** Minutes to get ready at most. */
  readonly preparationMinutes?: number;
  /** Kinds that are not to be had today. */
  readonly withoutKinds?: readonly string[];
}

export interface SeatChoice {
  readonly learner: string;
  readonly variant: string;
  readonly value: number;
  readonly success: number;
  /** Skill index that weighs most for this learner, and its chances in the round. */
  readonly skill: number;
  readonly chances: number;
}

export interface Suggestion {
  readonly game: string;
  readonly seats: readonly SeatChoice[];
  readonly value: number;
  readonly missing: readonly { readonly kind: string; readonly short: number }[];
  readonly recentDays: number | null;
}

export type Exclusion =
  | { readonly game: string; readonly because: 'players'; readonly least: number; readonly most: number }
  | { readonly game: string; readonly because: 'minutes'; readonly minutes: number }
  | { readonly game: string; readonly because: 'stock'; readonly missing: Suggestion['missing'] }
  | {
      readonly game: string;
      readonly because: 'gate';
      readonly learner: string;
      readonly gate: Exclude<Gate, null>;
      readonly alternative: string | null;
    }
  | { readonly game: string; readonly because: 'filter'; readonly what: string }
  | { readonly game: string; readonly because: 'nothing-needed' }
  | { readonly game: string; readonly because: 'not-measured'; readonly source: Offer['source'] };

export interface Recommendation {
  readonly items: readonly Suggestion[];
  readonly excluded: readonly Exclusion[];
}

/** Worth for each child below which a game is not worth naming. */
const leastWorth = 0.15;
/** A game played within a week loses this part of its worth. */
const recentLoss = 0.4;

/** Ranked games for one learner or a table, each learner with the best variant that can share it. */
export function recommend(
  graph: SkillGraph,
  offers: readonly Offer[],
  table: readonly LearnerNeeds[],
  options: RecommendOptions,
): Recommendation {
  const items: Suggestion[] = [];
  const excluded: Exclusion[] = [];
  // One child is not at a table alone: then chances are those of the usual one.
  const here = offers.map((o) => atTable(o, table.length === 1 ? null : table.length, options.minutes));
  const rather = alternatives(graph, here, table.length, options);
  for (const [game, group] of groupBy(here, (o) => o.game)) {
    const outcome = judgeGame(graph, game, group, rather, table, options);
    if ('because' in outcome) excluded.push(outcome);
    else items.push(outcome);
  }
  items.sort((x, y) => y.value - x.value || (x.game < y.game ? -1 : 1));
  return { items: items.slice(0, options.limit), excluded };
}

export function groupBy<T, K = string>(list: readonly T[], key: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of list) {
    const found = groups.get(key(item));
    if (found) found.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

function judgeGame(
  graph: SkillGraph,
  game: string,
  group: readonly Offer[],
  rather: (barred: Barred) => string | null,
  table: readonly LearnerNeeds[],
  options: RecommendOptions,
): Suggestion | Exclusion {
  const n = table.length;
  const measured = group.filter(isKnown);
  if (measured.length === 0) return { game, because: 'not-measured', source: group[0]!.source };
  const alone = n === 1;
  const wanted = measured.map((o) => ({ o, what: filteredOut(o, options.filters) }));
  const open = wanted.filter((w) => w.what === null).map((w) => w.o);
  if (open.length === 0) return { game, because: 'filter', what: wanted[0]!.what! };
  const fitting = open.filter((o) => alone || (n >= o.players[0] && n <= o.players[1]));
  if (fitting.length === 0)
    return {
      game,
      because: 'players',
      least: Math.min(...measured.map((o) => o.players[0])),
      most: Math.max(...measured.map((o) => o.players[1])),
    };
  const short = fitting.filter((o) => o.minutes <= options.minutes * lengthSlack);
  if (short.length === 0) return { game, because: 'minutes', minutes: Math.min(...fitting.map((o) => o.minutes)) };
  const best = bestTable(
    graph,
    short.filter((o) => inStock(o, options)),
    table,
    options.minutes,
  );
  if (!best.seats || best.value <= leastWorth * n) {
    // Would a version that lacks something do? Then that is what keeps the game out.
    const lacking = bestTable(graph, short, table, options.minutes);
    if (lacking.seats && lacking.value > leastWorth * n)
      return {
        game,
        because: 'stock',
        missing: missingFor(
          short.filter((o) => lacking.seats!.some((s) => s.variant === o.variant)),
          options.stock!,
        ),
      };
    const gate = best.seats ? null : lacking.gate;
    return gate
      ? {
          game,
          because: 'gate',
          learner: gate.learner.learner,
          gate: gate.gate,
          alternative: rather(gate),
        }
      : { game, because: 'nothing-needed' };
  }
  const recentDays = options.daysSincePlayed.get(game) ?? null;
  const freshness = recentDays !== null && recentDays < 7 ? 1 - recentLoss * (1 - recentDays / 7) : 1;
  return { game, seats: best.seats, value: best.value * freshness, missing: [], recentDays };
}

interface TableOfGame {
  readonly seats: readonly SeatChoice[] | null;
  readonly value: number;
  /** The first thing that barred somebody. */
  readonly gate: Barred | null;
}

/** The versions of one game that can share a table and are worth most to the learners together; null where somebody finds none. */
function bestTable(graph: SkillGraph, versions: readonly Offer[], table: readonly LearnerNeeds[], minutes: number): TableOfGame {
  let firstGate: { learner: LearnerNeeds; gate: Exclude<Gate, null> } | null = null;
  let best: SeatChoice[] | null = null;
  let bestValue = 0;
  for (const mix of groupBy(versions, (o) => o.mixClass).values()) {
    const seats: SeatChoice[] = [];
    for (const learner of table) {
      const { seat, gate } = bestSeat(graph, mix, learner, minutes);
      if (seat) seats.push(seat);
      else if (gate && !firstGate) firstGate = { learner, gate };
    }
    if (seats.length < table.length) continue;
    const value = seats.reduce((sum, s) => sum + s.value, 0);
    if (!best || value > bestValue) {
      best = seats;
      bestValue = value;
    }
  }
  return { seats: best, value: bestValue, gate: firstGate };
}

const inStock = (o: Offer, options: RecommendOptions): boolean => options.stock === null || missingFor([o], options.stock).length === 0;

/** Whether a version could be played at this table today at all. */
const usable = (o: Offer, players: number, options: RecommendOptions): boolean =>
  isKnown(o) &&
  filteredOut(o, options.filters) === null &&
  (players === 1 || (players >= o.players[0] && players <= o.players[1])) &&
  o.minutes <= options.minutes * lengthSlack &&
  inStock(o, options);

function filteredOut(o: Offer, f: RecommendFilters | undefined): string | null {
  if (f?.withoutHelper && o.helper === 'needed') return 'helper';
  if (f?.preparationMinutes !== undefined && o.preparationMinutes > f.preparationMinutes) return 'preparation';
  return f?.withoutKinds?.find((kind) => o.materials.some((m) => m.kind === kind)) ?? null;
}

function bestSeat(
  graph: SkillGraph,
  mix: readonly Offer[],
  learner: LearnerNeeds,
  minutes: number,
): { seat: SeatChoice | null; gate: Gate } {
  let seat: SeatChoice | null = null;
  let gate: Gate = null;
  for (const offer of mix) {
    const found = gateOf(graph, offer, learner);
    if (found) {
      gate ??= found;
      continue;
    }
    const value = valueOf(offer, learner, minutes);
    if (seat && value <= seat.value) continue;
    const main = mainSkill(offer, learner, minutes);
    seat = {
      learner: learner.learner,
      variant: offer.variant,
      value,
      success: expectedSuccess(offer, learner),
      skill: main,
      chances: main < 0 ? 0 : (offer.doses[main]! * minutes) / 10,
    };
  }
  return { seat, gate };
}

/** The skill that this variant serves best for this learner. */
export function mainSkill(offer: Offer, learner: LearnerNeeds, minutes: number): number {
  let best = -1;
  let bestWorth = -1;
  for (const k of practised(offer.doses)) {
    const worth = learner.need[k]! * gainOf((learner.fit[k]! * offer.doses[k]! * minutes) / 10) + offer.doses[k]! * 1e-6;
    if (worth > bestWorth) {
      best = k;
      bestWorth = worth;
    }
  }
  return best;
}

export function missingFor(offers: readonly Offer[], stock: ReadonlyMap<string, number>): { kind: string; short: number }[] {
  const wanted = new Map<string, number>();
  for (const offer of offers) for (const m of offer.materials) wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
  return [...wanted].flatMap(([kind, quantity]) => {
    const have = stock.get(kind) ?? 0;
    return have < quantity ? [{ kind, short: quantity - have }] : [];
  });
}

/** A learner and what keeps a game from it. */
interface Barred {
  readonly learner: LearnerNeeds;
  readonly gate: Exclude<Gate, null>;
}

/** For what is missing, the version that practises it most and is not barred itself; looked for once a learner and skill. */
function alternatives(
  graph: SkillGraph,
  all: readonly Offer[],
  players: number,
  options: RecommendOptions,
): (barred: Barred) => string | null {
  let open: readonly Offer[] | null = null;
  const found = new Map<string, string | null>();
  return ({ learner, gate }) => {
    if (gate.because !== 'needs') return null;
    const key = `${learner.learner}|${gate.missing}`;
    const known = found.get(key);
    if (known !== undefined) return known;
    open ??= all.filter((o) => usable(o, players, options));
    let best: Offer | null = null;
    for (const offer of open) {
      const dose = offer.doses[gate.missing]!;
      if (dose > (best?.doses[gate.missing] ?? 0) && gateOf(graph, offer, learner) === null) best = offer;
    }
    found.set(key, best?.variant ?? null);
    return best?.variant ?? null;
  };
}
