import type { SkillGraph } from '../skills/skillGraph';
import { atTable } from './atTable';
import type { LearnerNeeds } from './learnerNeeds';
import { isKnown, type Offer } from './offer';
import { groupBy } from './recommend';
import { gateOf, lengthSlack, valueOf } from './valueOf';

/** A game that all who are there can play at once. */
export interface ForEverybody {
  readonly game: string;
  /** Most who can play it. */
  readonly most: number;
  /** How many of the children it is open to and does something for. */
  readonly serves: number;
  readonly worth: number;
}

/**
 * Games for a round in which all play together, as an opener or an end: one way of sharing it seats everybody and fits
 * into the round. Those that serve most of the children first, then those worth most to them together, then by name.
 */
export function forEverybody(
  graph: SkillGraph,
  offers: readonly Offer[],
  children: readonly LearnerNeeds[],
  minutes: number,
): ForEverybody[] {
  const able = offers
    .filter((o) => isKnown(o) && o.players[0] <= children.length && o.players[1] >= children.length && o.minutes <= minutes * lengthSlack)
    .map((o) => atTable(o, children.length, minutes));
  const best = new Map<string, ForEverybody>();
  for (const ways of groupBy(able, (o) => `${o.game}|${o.mixClass}`).values()) {
    let serves = 0;
    let worth = 0;
    for (const child of children) {
      const open = ways.filter((o) => gateOf(graph, o, child) === null);
      const most = Math.max(0, ...open.map((o) => valueOf(o, child, minutes)));
      if (most > 0) serves++;
      worth += most;
    }
    const game = ways[0]!.game;
    const found = { game, most: Math.min(...ways.map((o) => o.players[1])), serves, worth };
    const known = best.get(game);
    if (serves > 0 && (!known || serves > known.serves || (serves === known.serves && worth > known.worth))) best.set(game, found);
  }
  return [...best.values()].sort((x, y) => y.serves - x.serves || y.worth - x.worth || (x.game < y.game ? -1 : 1));
}
