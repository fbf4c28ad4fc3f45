import { anneal } from '../../planning/anneal';
import { greedy } from '../../planning/greedy';
import type { PlanInstance } from '../../planning/instance';
import type { Offer } from '../../recommend/offer';
import { createRng } from '../../shared/rng';

/** Who plays which version at which table of a round. */
export type Seating = readonly {
  readonly round: number;
  readonly game: string;
  /** Step the planner names, −1 for none; missing where it names no steps. */
  readonly seats: readonly { readonly learner: number; readonly offer: Offer; readonly skill?: number }[];
}[];

export interface Room {
  readonly learners: number;
  readonly rounds: number;
  readonly tables: number;
  readonly minutes: number;
}

const moves = 20_000;
const longest = 1.25;

/**
 * Seats a meeting by any value of a version for a learner, −1 where it is barred: the best version of a game each, no
 * game twice, the same search as the app's own planner.
 */
export function seatBy(
  offers: readonly Offer[],
  room: Room,
  valueOf: (learner: number, offer: Offer) => number,
  seed: number,
  anyway = false,
): Seating {
  const games = new Map<string, Offer[]>();
  for (const o of offers) if (o.minutes <= room.minutes * longest) games.set(o.game, [...(games.get(o.game) ?? []), o]);
  const list = [...games.values()];
  const chosen = Array.from({ length: room.learners }, (_, l) =>
    list.map((group) => {
      let best: { offer: Offer; value: number } | null = null;
      for (const offer of group) {
        const value = valueOf(l, offer);
        if (value >= 0 && (!best || value > best.value)) best = { offer, value };
      }
      return best;
    }),
  );
  const two = Math.min(2, room.learners);
  const instance: PlanInstance = {
    learners: room.learners,
    rounds: room.rounds,
    tables: room.tables,
    helpers: room.tables,
    preparationMinutes: 10_000,
    stock: [],
    slopes: [1],
    games: list.map((group) => ({
      min: Math.max(two, ...group.map((o) => o.players[0])),
      max: Math.min(...group.map((o) => o.players[1])),
      materials: [],
      helper: 0,
      preparation: 0,
    })),
    gaps: Array.from({ length: room.learners }, () => []),
    value: chosen.map((row) => row.map((c) => (c ? c.value : -1))),
    dose: chosen.map((row) => row.map((c) => (c ? [] : null))),
  };
  let state = greedy(instance, createRng(seed, 1), 0.1);
  for (let i = 2; !state && i < 20; i++) state = greedy(instance, createRng(seed, i), 0.4);
  // Where nobody finds a table so, what was barred is open without worth: better a seat than none.
  if (!state) return anyway ? [] : seatBy(offers, room, (l, o) => Math.max(0, valueOf(l, o)), seed, true);
  const { schedule } = anneal(state, createRng(seed, 99), moves);
  return schedule.flatMap((tables, round) =>
    tables.map((t) => ({
      round,
      game: list[t.game]![0]!.game,
      seats: t.learners.map((learner) => ({ learner, offer: chosen[learner]![t.game]!.offer })),
    })),
  );
}
