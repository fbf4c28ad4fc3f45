import { libraryWire } from '../../contract/wire/library';
import { libraryIn, titlesAnywhere } from '../../contract/libraryIn';
import { firstThirty, shippedProfile } from '../../contract/shippedLibrary';
import { moodOf, sortOf } from '../../core/mechanisms/character';
import { mechanismById } from '../../core/mechanisms/registry';
import { versionFacts } from '../../core/mechanisms/versionFacts';
import { usualSeats } from '../../core/simulate/usualSeats';
import { nameKey } from '../../core/content/names';
import type { Db } from '../db/db';
import { games, type UndoStep, variants } from '../db/schema';
import { notFound, refuse } from '../http/problemError';
import { page, serve } from '../http/route';
import { countryOf } from '../shared/country';
import { titles } from '../shared/titles';
import { laidOut, thingsOnHand } from './offers';
import { insertGame } from './shelfStore';
import { insertVariant } from './variantStore';
import { freeId } from '../shared/freeId';
import { recordChange } from '../undo/undo';

export const libraryRoutes = serve(libraryWire, {
  'GET /library': ({ db, query }) => {
    const owned = new Set(
      db
        .select()
        .from(games)
        .all()
        .map((g) => nameKey(g.title)),
    );
    const here = thingsOnHand(db);
    const title = titles(db);
    const country = countryOf(db);
    return page(
      libraryIn(country).map(({ room = 'calm' as const, ...g }) => ({
        ...g,
        plays: mechanismById(g.mechanism)!.title,
        sort: sortOf(g.mechanism),
        mood: moodOf(mechanismById(g.mechanism)!, room),
        onShelf: titlesAnywhere(g.id).some((t) => owned.has(nameKey(t))),
        variants: g.variants.map((v) => {
          const facts = versionFacts(mechanismById(g.mechanism)!, v.parameters, usualSeats(v.players), v.ages, country);
          const out = laidOut(here, facts.materials, g.mechanism);
          return {
            id: v.id,
            title: v.title,
            parameters: { ...v.parameters },
            ages: v.ages,
            players: v.players,
            minutes: v.minutes,
            room,
            materials: [...facts.materials],
            helper: facts.presence.is,
            preparationMinutes: facts.preparationMinutes,
            picture: facts.howTo.pictures[1].picture,
            presence: facts.presence,
            first: firstThirty.includes(`${g.id}/${v.id}`),
            missing: out.materials.filter((m) => here.have(m.kind) < m.quantity),
            standIns: (out.standIns ?? []).map((s) => `${title.kind(s.instead)}: ${s.say}`),
            profile: shippedProfile(g.id, v.id, country.id) ?? null,
          };
        }),
      })),
      query,
    );
  },
  'GET /library/titles': ({ db, query }) =>
    page(
      libraryIn(countryOf(db)).map(({ id, title }) => ({ id, title })),
      query,
    ),
  'POST /library/{id}/take': ({ db, params, now }) => takeFromLibrary(db, params.id, now),
});

/** One game and its versions in one transaction, undone as one. */
export function takeFromLibrary(db: Db, id: string, now: string): { id: string; change: string } {
  const game = libraryIn(countryOf(db)).find((g) => g.id === id);
  if (!game) throw notFound('library game', id);
  return db.transaction((tx) => {
    if (
      tx
        .select()
        .from(games)
        .all()
        .some((g) => titlesAnywhere(id).some((t) => nameKey(g.title) === nameKey(t)))
    )
      throw refuse('duplicate', `${game.title} is on the shelf already.`, 'id');
    const undo: UndoStep[] = [];
    const gameId = freeId(game.title, (x) =>
      tx
        .select()
        .from(games)
        .all()
        .some((g) => g.id === x),
    );
    insertGame(tx, gameId, game.title, { bin: game.bin, source: 'free', condition: '', notes: '', rules: [game.story] }, now);
    undo.unshift({ table: 'games', delete: { id: gameId } });
    for (const v of game.variants) {
      const variantId = freeId(`${game.title} ${v.title}`, (x) =>
        tx
          .select()
          .from(variants)
          .all()
          .some((row) => row.id === x),
      );
      insertVariant(tx, variantId, gameId, {
        title: v.title,
        mechanism: game.mechanism,
        parameters: { ...v.parameters },
        ages: [v.ages[0], v.ages[1]],
        players: v.players,
        minutes: v.minutes,
        room: game.room ?? 'calm',
      });
      undo.unshift({ table: 'variants', delete: { id: variantId } });
    }
    return { id: gameId, change: recordChange(tx, `took ${game.title} from the library`, undo) };
  });
}
