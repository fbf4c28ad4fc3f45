import { sizeShare } from '../recommend/atTable';
import type { Offer } from '../recommend/offer';
import type { PlanAims, PlanGame, PlanInstance } from './instance';
import { bestAlone, leastShareOfBest } from './shareOfBest';

/** What an organiser wishes for a session beside that all practise what they need. */
export interface Wishes {
  /** Rather fewer different games to fetch and explain, though each child gets a little less. */
  readonly fewerGames?: boolean;
  /** Longest share of a round that anybody waits for a turn, 0 … 1. */
  readonly longestWait?: number;
  /** Two who sit together gladly. */
  readonly together?: readonly (readonly [string, string])[];
  /** Two who never share a table. */
  readonly apart?: readonly (readonly [string, string])[];
  /** Everyone with everyone over the weeks. */
  readonly mix?: boolean;
  /** At most one table of a round that is lively or on the floor. */
  readonly oneLively?: boolean;
  /** Aims to plan without, to see what they cost. */
  readonly without?: readonly PricedAim[];
}

/** Aims that cost practice: nobody far below the best alone, few games to fetch, who sits with whom. */
export const pricedAims = ['floor', 'games', 'companions'] as const;
export type PricedAim = (typeof pricedAims)[number];

/** What the wishes stand on: who is there and what was before. */
export interface WishContext {
  readonly learners: readonly string[];
  readonly wishes?: Wishes;
  /** Days since each time a learner played a game, by `learner|game`. */
  readonly daysSincePlayed: ReadonlyMap<string, readonly number[]>;
  /** Rounds without a seat lately, by learner. */
  readonly rested?: ReadonlyMap<string, number>;
  /** How often two sat together lately, by `learner|learner` in the order of their names. */
  readonly satTogether?: ReadonlyMap<string, number>;
  /** Seats as they were, by round: the game each learner played. */
  readonly keep?: readonly ReadonlyMap<string, string>[];
  /** What a seat that stays is worth, as a share of a usual seat; a little where nothing is said. */
  readonly keepShare?: number;
}

/**
 * Prices in shares of a usual seat, which is the mean over the children of a round of the best for each alone.
 * Common practice, no source: what a grown-up would give up for it.
 */
const price = {
  /** Fetching and explaining one game more; half of it where it was out within `recentDays`. */
  fetch: 0.08,
  fetchWhenFewer: 0.5,
  /** A table of a game nobody knows, beyond one a helper. */
  fresh: 0.3,
  /** A seat that is another than before. */
  keep: 0.15,
  /** Two who sit together gladly, each time; less the second and third time. */
  together: [0.3, 0.15, 0.1],
  /** Two who have not met lately, the first time; each further time costs. */
  mix: 0.12,
  mixAgain: -0.06,
} as const;
const recentDays = 21;
/** What is missing to half of the best for a child alone counts once more. */
const floorPrice = 1;

export const pairKey = (x: string, y: string): string => (x < y ? `${x}|${y}` : `${y}|${x}`);

/** The same session with what is aimed at beside the sum. */
export function withWishes(instance: PlanInstance, gameIds: readonly string[], context: WishContext): PlanInstance {
  const { learners, wishes = {}, daysSincePlayed, keep } = context;
  const best = learners.map((_, l) => bestAlone(instance, l));
  const seat = best.reduce((sum, b) => sum + b, 0) / Math.max(1, learners.length * instance.rounds);
  const lastOut = new Map<string, number>();
  for (const l of learners)
    for (const g of new Set(gameIds))
      for (const days of daysSincePlayed.get(`${l}|${g}`) ?? []) lastOut.set(g, Math.min(days, lastOut.get(g) ?? Infinity));
  const without = (aim: PricedAim): boolean => wishes.without?.includes(aim) ?? false;
  const each = without('games') ? 0 : seat * (wishes.fewerGames ? price.fetchWhenFewer : price.fetch);
  const games = instance.games.map((game, g): PlanGame => {
    const days = lastOut.get(gameIds[g]!);
    return { ...game, fetch: days !== undefined && days <= recentDays ? each / 2 : each, fresh: days === undefined };
  });
  const indexOf = new Map(learners.map((l, i) => [l, i]));
  const pair = ([x, y]: readonly [string, string]): [number, number][] => {
    const [a, b] = [indexOf.get(x), indexOf.get(y)];
    return a === undefined || b === undefined || a === b ? [] : [[a, b]];
  };
  const apart = (wishes.apart ?? []).flatMap(pair);
  const together = without('companions')
    ? []
    : [
        ...(wishes.together ?? []).flatMap(pair).map((p) => ({ pair: p, worth: price.together.map((w) => w * seat) })),
        ...(wishes.mix ? mixing(learners, context, seat) : []),
      ];
  const aims: PlanAims = {
    ...(without('floor') ? {} : { floor: { least: best.map((b) => leastShareOfBest * b), price: floorPrice } }),
    fresh: { free: Math.max(1, instance.helpers), price: price.fresh * seat },
    ...(keep ? { keep: { games: keptSeats(learners, gameIds, instance, keep), worth: (context.keepShare ?? price.keep) * seat } } : {}),
    ...(together.length > 0 ? { together } : {}),
    ...(apart.length > 0 ? { apart } : {}),
    ...(wishes.oneLively ? { loud: 1 } : {}),
  };
  const rested = context.rested ? learners.map((l) => context.rested!.get(l) ?? 0) : undefined;
  return { ...instance, games, aims, ...(rested ? { rested } : {}) };
}

function mixing(learners: readonly string[], { satTogether }: WishContext, seat: number): NonNullable<PlanAims['together']> {
  return learners.flatMap((x, i) =>
    learners.slice(i + 1).map((y, j) => {
      const met = satTogether?.get(pairKey(x, y)) ?? 0;
      return { pair: [i, i + 1 + j] as const, worth: [(price.mix * seat) / (1 + met), price.mixAgain * seat, price.mixAgain * seat] };
    }),
  );
}

/**
 * The option behind each kept seat. Those who shared a table share one: the one open to most of them, with nobody bound where
 * that will do; a child who is not ready for it has the first that is open to it alone.
 */
function keptSeats(
  learners: readonly string[],
  gameIds: readonly string[],
  instance: PlanInstance,
  keep: readonly ReadonlyMap<string, string>[],
): number[][] {
  const open = (l: number, g: number): boolean => instance.value[l]![g]! >= 0;
  const optionsOf = (game: string): number[] => gameIds.flatMap((id, g) => (id === game ? [g] : []));
  const shared = keep.map((round) => {
    const best = new Map<string, number>();
    for (const game of new Set(round.values())) {
      const here = learners.flatMap((l, i) => (round.get(l) === game ? [i] : []));
      const takers = (g: number): number => here.filter((i) => open(i, g)).length;
      const [first, ...rest] = optionsOf(game);
      if (first !== undefined)
        best.set(
          game,
          rest.reduce((x, y) => (takers(y) > takers(x) ? y : x), first),
        );
    }
    return best;
  });
  return learners.map((l, i) =>
    Array.from({ length: instance.rounds }, (_, r) => {
      const game = keep[r]?.get(l);
      if (game === undefined) return -1;
      const together = shared[r]!.get(game);
      return together !== undefined && open(i, together) ? together : (optionsOf(game).find((g) => open(i, g)) ?? -1);
    }),
  );
}

/** Most at a table of these versions so that nobody waits longer than so much of the round; all that may where nobody counted. */
export function mostForWait(offers: readonly Offer[], most: number, longestWait: number | undefined): number {
  if (longestWait === undefined) return most;
  let players = most;
  for (const { counted } of offers) if (counted) while (players > 1 && waitingAt(counted, players) > longestWait + 1e-9) players--;
  return players;
}

/** Share of the round that a player waits at a table of so many. */
export function waitingAt(counted: NonNullable<Offer['counted']>, players: number): number {
  const busy = Math.min(1, Math.max(1 / counted.seats, 1 - counted.waiting));
  return 1 - Math.min(1, busy * sizeShare(counted, players));
}
