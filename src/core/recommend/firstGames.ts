import type { SkillGraph } from '../skills/skillGraph';
import type { LearnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { gateOf, valueOf } from './valueOf';

/** A second good game for a child is worth this part of the first, a third that part of it again. */
const nextPart = 0.6;

/**
 * Few games that together give everybody something good: each time the one that adds most over the children, the best
 * version for each; what a child has already counts down for the next (greedy cover; common practice, no source).
 * @returns ids of games, the first chosen first; fewer where no more would help anybody
 */
export function firstGames(
  graph: SkillGraph,
  offers: readonly Offer[],
  children: readonly LearnerNeeds[],
  minutes: number,
  count: number,
): string[] {
  const games = [...new Set(offers.map((o) => o.game))];
  const worth = new Map(
    games.map((game) => [
      game,
      children.map((c) =>
        Math.max(0, ...offers.filter((o) => o.game === game && gateOf(graph, o, c) === null).map((o) => valueOf(o, c, minutes))),
      ),
    ]),
  );
  const times = children.map(() => 0);
  const chosen: string[] = [];
  while (chosen.length < count) {
    let best: string | null = null;
    let most = 0;
    for (const game of games) {
      if (chosen.includes(game)) continue;
      const gain = worth.get(game)!.reduce((sum, w, i) => sum + w * nextPart ** times[i]!, 0);
      if (gain > most) [best, most] = [game, gain];
    }
    if (best === null) break;
    chosen.push(best);
    worth.get(best)!.forEach((w, i) => (times[i] = times[i]! + (w > 0 ? 1 : 0)));
  }
  return chosen;
}
