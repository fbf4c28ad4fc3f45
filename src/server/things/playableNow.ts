import type { PlayableWire } from '../../contract/wire/thingsOwned';
import type { Kept } from '../../contract/wire/route';
import { libraryOffers } from '../../contract/libraryOffers';
import { plenty } from '../../core/materials/onHand';
import { groupBy } from '../../core/recommend/recommend';
import { games, variantMaterials } from '../db/schema';
import { nameKey } from '../../core/content/names';
import { type LaidOut, playable } from '../../core/recommend/playable';
import type { Offer } from '../../core/recommend/offer';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { needsOf } from '../evidence/evidenceStore';
import { allEstimates } from '../evidence/learnerState';
import { allLearners } from '../learners/learnerStore';
import { titles } from '../shared/titles';
import { laidOut, offersOf, thingsOnHand } from '../shelf/offers';

/**
 * Every version of the shelf and of the library with what a table of it takes of what is there, and what is missing. What
 * stands on the shelf, or was put away from it, is not told from the library again.
 * @param only things as if nothing else were there, and of those enough
 * @param as one thing as if there were so many of it
 */
export async function versionsLaidOut(
  db: Db,
  only: readonly string[] | null = null,
  as?: { readonly kind: string; readonly quantity: number },
): Promise<{ readonly shelf: readonly LaidOut[]; readonly library: readonly LaidOut[] }> {
  const shelf = await offersOf(db);
  const there = thingsOnHand(db);
  const here = only
    ? { ...there, have: (kind: string) => (only.includes(kind) ? plenty : 0) }
    : as
      ? { ...there, have: (kind: string) => (kind === as.kind ? as.quantity : there.have(kind)) }
      : there;
  const owned = new Set(
    db
      .select({ title: games.title })
      .from(games)
      .all()
      .map((g) => nameKey(g.title)),
  );
  const library = libraryOffers(graphOf(db)).filter((o) => !owned.has(nameKey(o.gameTitle)));
  // What the versions of the shelf need by their rules, whatever stands in for it now.
  const needsOfVersion = new Map(
    [...groupBy(db.select().from(variantMaterials).all(), (m) => m.variantId)].map(([variant, rows]) => [
      variant,
      rows.map((m) => ({ kind: m.kindId, quantity: m.quantity })),
    ]),
  );
  const lay = (o: Offer, needs: Offer['materials']): LaidOut => {
    const out = { ...o, ...laidOut(here, needs, o.mechanism) };
    return { offer: out, missing: out.materials.filter((m) => here.have(m.kind) < m.quantity) };
  };
  return {
    shelf: shelf.map((o) => lay(o, needsOfVersion.get(o.variant) ?? [])),
    library: library.map((o) => lay(o, o.materials)),
  };
}

/** What can be played today with what is there, from the shelf and from the library, and by whom. */
export async function playableNow(db: Db, today: string, only: readonly string[] | null = null): Promise<Kept<PlayableWire>> {
  const { shelf, library } = await versionsLaidOut(db, only);
  const graph = graphOf(db);
  const people = allLearners(db);
  const maps = allEstimates(db, people, today);
  const needs = people.map((l) => needsOf(graph, l, maps.get(l.id)!, today));
  const marked = library.map((v) => ({ ...v, offer: { ...v.offer, game: `library:${v.offer.game}` } }));
  const found = playable(graph, [...shelf, ...marked], needs);
  const name = titles(db);
  const titleOf = new Map([...shelf, ...library].map(({ offer }) => [offer.game, offer.gameTitle]));
  const plain = (game: string): string => game.replace(/^library:/, '');
  const byId = new Map(people.map((l) => [l.id, l.nickname]));
  return {
    games: found.games.map((g) => ({
      game: plain(g.game),
      title: titleOf.get(plain(g.game))!,
      where: g.game.startsWith('library:') ? ('library' as const) : ('shelf' as const),
      versions: g.offers.map((o) => o.title),
      learners: [...g.learners],
      standIns: [...new Set(g.offers.flatMap((o) => o.standIns ?? []).map((s) => `${name.kind(s.instead)}: ${s.say}`))],
    })),
    children: people.map((l) => ({ learner: l.id, nickname: l.nickname, games: found.counts.get(l.id)! })),
    away: found.away && {
      kind: found.away.kind,
      title: name.kind(found.away.kind),
      needed: found.away.needed,
      games: found.away.games.map((g) => titleOf.get(plain(g))!),
      learners: [...found.away.learners].map(([learner, games]) => ({ learner, nickname: byId.get(learner)!, games })),
    },
  };
}
