import type { SkillGraph } from '../skills/skillGraph';
import type { LearnerNeeds } from './learnerNeeds';
import { isKnown, type Offer } from './offer';
import { gateOf } from './valueOf';

/** A version with what a table of it takes of what is there, and what is missing all the same. */
export interface LaidOut {
  readonly offer: Offer;
  readonly missing: readonly { readonly kind: string; readonly quantity: number }[];
}

/** A game that can be played today, in which version, and for whom. */
export interface PlayableGame {
  readonly game: string;
  readonly offers: readonly Offer[];
  /** Children who are ready for one of those. */
  readonly learners: readonly string[];
}

/** The one thing that would open most, most for those who have fewest games. */
export interface OneThingAway {
  readonly kind: string;
  /** So many are needed that all of `games` can be played. */
  readonly needed: number;
  readonly games: readonly string[];
  /** By child: how many of those games are for it. */
  readonly learners: ReadonlyMap<string, number>;
}

export interface Playable {
  readonly games: readonly PlayableGame[];
  /** By child: how many games are open. */
  readonly counts: ReadonlyMap<string, number>;
  readonly away: OneThingAway | null;
}

/** What can be played with what is there and by whom; and the one missing thing that would help most. */
export function playable(graph: SkillGraph, versions: readonly LaidOut[], children: readonly LearnerNeeds[]): Playable {
  const ready = new Map<Offer, string[]>();
  const readyFor = (offer: Offer): string[] => {
    let list = ready.get(offer);
    if (!list) ready.set(offer, (list = children.filter((c) => gateOf(graph, offer, c) === null).map((c) => c.learner)));
    return list;
  };
  const open = new Map<string, Offer[]>();
  for (const { offer, missing } of versions)
    if (missing.length === 0 && isKnown(offer)) open.set(offer.game, [...(open.get(offer.game) ?? []), offer]);
  const games = [...open].map(([game, offers]) => ({ game, offers, learners: [...new Set(offers.flatMap(readyFor))] }));
  const counts = new Map(children.map((c) => [c.learner, games.filter((g) => g.learners.includes(c.learner)).length]));
  return { games, counts, away: oneThingAway(versions, open, counts, readyFor) };
}

function oneThingAway(
  versions: readonly LaidOut[],
  open: ReadonlyMap<string, unknown>,
  counts: ReadonlyMap<string, number>,
  readyFor: (offer: Offer) => readonly string[],
): OneThingAway | null {
  const byKind = new Map<string, Map<string, Set<string>>>();
  const needed = new Map<string, number>();
  for (const { offer, missing } of versions) {
    if (missing.length !== 1 || open.has(offer.game) || !isKnown(offer)) continue;
    const { kind, quantity } = missing[0]!;
    const games = byKind.get(kind) ?? new Map<string, Set<string>>();
    byKind.set(kind, games);
    needed.set(kind, Math.max(needed.get(kind) ?? 0, quantity));
    games.set(offer.game, new Set([...(games.get(offer.game) ?? []), ...readyFor(offer)]));
  }
  let best: OneThingAway | null = null;
  let most = 0;
  for (const [kind, games] of byKind) {
    const learners = new Map<string, number>();
    for (const list of games.values()) for (const l of list) learners.set(l, (learners.get(l) ?? 0) + 1);
    // A game more is worth most to a child who has few; where nobody is known yet, games alone count.
    const worth = [...learners].reduce((sum, [l, n]) => sum + n / (1 + counts.get(l)!), 0) + games.size * 1e-3;
    if (worth > most) {
      most = worth;
      best = { kind, needed: needed.get(kind)!, games: [...games.keys()], learners };
    }
  }
  return best;
}
