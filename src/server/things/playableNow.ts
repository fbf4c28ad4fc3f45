import type { PlayableWire } from '../../contract/wire/thingsOwned';
import type { Kept } from '../../contract/wire/route';
import { libraryOffers } from '../../contract/libraryOffers';
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

/** What can be played today with what is there, from the shelf and from the library, and by whom. */
export async function playableNow(db: Db, today: string): Promise<Kept<PlayableWire>> {
  const shelf = await offersOf(db);
  const graph = graphOf(db);
  const here = thingsOnHand(db);
  const onShelf = new Set(shelf.map((o) => nameKey(o.gameTitle)));
  // What stands on the shelf is told from there, in the owner's own versions.
  const library = libraryOffers(graph).filter((o) => !onShelf.has(nameKey(o.gameTitle)));
  const people = allLearners(db);
  const maps = allEstimates(db, people, today);
  const needs = people.map((l) => needsOf(graph, l, maps.get(l.id)!, today));
  const lay = (o: Offer): LaidOut => {
    // A version of the shelf comes with what stands in already.
    const out = o.game.length > 0 && shelfGames.has(o.game) ? o : { ...o, ...laidOut(here, o.materials, o.mechanism) };
    return { offer: out, missing: [...new Set(out.materials.filter((m) => here.have(m.kind) < m.quantity).map((m) => m.kind))] };
  };
  const shelfGames = new Set(shelf.map((o) => o.game));
  const found = playable(graph, [...shelf, ...library.map((o) => ({ ...o, game: `library:${o.game}` }))].map(lay), needs);
  const name = titles(db);
  const titleOf = new Map([...shelf, ...library].map((o) => [o.game, o.gameTitle]));
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
      games: found.away.games.map((g) => titleOf.get(plain(g))!),
      learners: [...found.away.learners].map(([learner, games]) => ({ learner, nickname: byId.get(learner)!, games })),
    },
  };
}
