import { below, createRng, uniform } from '../shared/rng';
import type { PlanAims, PlanInstance, PlanLock } from './instance';

/** A session of the usual size with tight tables: nine to twelve learners, few things, few helpers, games of two to four. */
export function tight(seed: number, locks: readonly PlanLock[] = []): PlanInstance {
  const rng = createRng(seed);
  const learners = 9 + below(rng, 4);
  const games = 14;
  const gaps = Array.from({ length: learners }, () => Array.from({ length: 5 }, () => uniform(rng)));
  return {
    learners,
    rounds: 3,
    tables: 5,
    helpers: 2,
    preparationMinutes: 40,
    stock: [2, 3, 4],
    slopes: [1, 0.6, 0.3],
    games: Array.from({ length: games }, (_, g) => ({
      min: 2 + below(rng, 2),
      max: 3 + below(rng, 2),
      materials: [[below(rng, 3), 1]],
      helper: below(rng, 4) === 0 ? 1 : 0,
      preparation: below(rng, 6),
      family: g >= 12 ? g - 12 : g,
    })),
    gaps,
    value: gaps.map(() => Array.from({ length: games }, () => (uniform(rng) < 0.15 ? -1 : uniform(rng) / 10))),
    dose: gaps.map(() => Array.from({ length: games }, () => [[below(rng, 5), 0.5 + uniform(rng)]])),
    locks,
    // Some rest in a round, and stay where they are.
    resting:
      seed % 2 === 0
        ? []
        : [
            [0, 1],
            [3, 2],
            [4, 2],
          ],
  };
}

/** The same with every aim beside the sum at once. */
export function withAims(base: PlanInstance, seed: number): PlanInstance {
  const rng = createRng(seed, 9);
  const pairs = Array.from({ length: 5 }, (_, i): [number, number] => [i, i + 1 + below(rng, base.learners - i - 1)]);
  const aims: PlanAims = {
    floor: { least: base.gaps.map(() => uniform(rng)), price: 0.7 },
    rest: base.gaps.map(() => 5 + uniform(rng)),
    keep: { games: base.gaps.map(() => Array.from({ length: base.rounds }, () => below(rng, base.games.length + 1) - 1)), worth: 0.2 },
    together: pairs.map((pair, i) => ({ pair, worth: i % 2 === 0 ? [0.3, 0.1] : [0.2, -0.3, -0.3] })),
    apart: [[0, base.learners - 1]],
    fresh: { free: 1, price: 0.15 },
    loud: 2,
  };
  const games = base.games.map((g) => ({ ...g, fetch: uniform(rng) / 10, fresh: below(rng, 2) === 0, loud: below(rng, 4) === 0 }));
  // What a family costs to fetch is said once.
  return { ...base, games: games.map((g) => ({ ...g, fetch: games[g.family ?? 0]!.fetch })), aims };
}
