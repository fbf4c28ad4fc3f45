import { type ProfileSummary } from '../../contract/wire/practice';
import { shelfWire } from '../../contract/wire/shelf';
import type { Kept } from '../../contract/wire/route';
import { graphOf } from '../db/graphOf';
import { mechanisms } from '../../core/mechanisms/registry';
import { policies } from '../../core/mechanisms/mechanism';
import { saidIn } from '../../core/play/country';
import { bins, changes, games, variants } from '../db/schema';
import { page, Reply, serve } from '../http/route';
import { countryOf } from '../shared/country';
import { profileOf } from '../simulations/profileOf';
import { usualSeats } from '../simulations/profileStore';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { breadthsIn } from './breadthsIn';
import type { Offer } from '../../core/recommend/offer';
import { practised } from '../../core/recommend/practised';
import { settleMeasures } from './measure';
import { offersNow } from './offers';
import { answerOf } from '../simulations/answerOf';
import { bytesOf } from '../shared/filePart';
import { startFitHelp } from './fitHelp';
import { startGapHelp } from './gapHelp';
import { suitsHere } from './suits';
import { wireGames, wireVariants } from './wireShelf';
import { importTables } from './importShelf';
import { changeSeveral } from './severalGames';
import { historyOf, setLiked } from './historyOf';
import { alikeOn, mergeGames } from './mergeGames';
import { gameFile, shelfCsv } from './takeOut';
import { readTables } from '../shared/readTables';
import { gameById, variantById } from './shelfRows';
import { createGame, setRetired, updateGame } from './shelfStore';
import { createVariant, updateVariant } from './variantStore';
import { undoChange } from '../undo/undo';

/** A page waits so long for versions that are new. */
const profilesWaitMs = 1200;
/** Chances in ten minutes below this are no practice and are left out of lists. */
const leastListed = 0.5;

/** A version's practice in short: what tells most first, broad skills counting less. */
function shortProfile(o: Offer, { skills }: SkillGraph, breadth: Float64Array): Kept<ProfileSummary> {
  const doses: { skill: string; perTenMinutes: number; telling: number }[] = [];
  for (const k of practised(o.doses)) {
    const dose = o.doses[k]!;
    if (dose >= leastListed)
      doses.push({ skill: skills[k]!.id, perTenMinutes: Math.round(dose * 10) / 10, telling: dose / Math.sqrt(breadth[k]!) });
  }
  doses.sort((x, y) => y.telling - x.telling);
  return {
    variant: o.variant,
    game: o.game,
    source: o.source,
    minutes: o.minutes,
    doses: doses.map(({ skill, perTenMinutes }) => ({ skill, perTenMinutes })),
  };
}

export const shelfRoutes = serve(shelfWire, {
  'GET /mechanisms': ({ db, query }) => {
    const country = countryOf(db);
    const say = (line: string): string => saidIn(country, line);
    return page(
      mechanisms.map((m) => ({
        id: m.id,
        family: m.id,
        title: m.title,
        words: m.words.map(say),
        earlyEnding: say(m.earlyEnding),
        told: m.told.map(say),
        parametersSchema: m.parametersSchema,
        policies,
        example: { ...m.defaults },
        seats: m.seats,
      })),
      query,
    );
  },
  'GET /skills': ({ db, query }) => ({ ...page(graphOf(db).skills, query), strands: graphOf(db).strands }),
  'GET /games': ({ db, query }) =>
    page(
      wireGames(
        db,
        db
          .select()
          .from(games)
          .all()
          .filter((g) => query.retired === 'true' || g.retiredAt === null),
      ),
      query,
    ),
  'POST /games': ({ db, body, now }) => createGame(db, body, now),
  'GET /games/{id}': ({ db, params }) => wireGames(db, [gameById(db, params.id)])[0]!,
  'PATCH /games/{id}': ({ db, params, body: { version, ...input } }) => updateGame(db, params.id, input, version),
  'POST /games/{id}/retire': ({ db, params, now }) => setRetired(db, 'game', params.id, true, now),
  'POST /games/{id}/restore': ({ db, params, now }) => setRetired(db, 'game', params.id, false, now),
  'GET /variants': ({ db, query }) =>
    page(
      wireVariants(
        db,
        db
          .select()
          .from(variants)
          .all()
          .filter((v) => (query.retired === 'true' || v.retiredAt === null) && (query.game === undefined || v.gameId === query.game)),
      ),
      query,
    ),
  'POST /variants': ({ db, body: { game, ...input } }) => createVariant(db, game, input),
  'GET /variants/{id}': ({ db, params }) => wireVariants(db, [variantById(db, params.id)])[0]!,
  'PATCH /variants/{id}': ({ db, params, body: { version, ...input } }) => updateVariant(db, params.id, input, version),
  'POST /variants/{id}/retire': ({ db, params, now }) => setRetired(db, 'variant', params.id, true, now),
  'POST /variants/{id}/restore': ({ db, params, now }) => setRetired(db, 'variant', params.id, false, now),
  'POST /skills/{id}/help': async ({ db, params, query }) => answerOf(await startGapHelp(db, params.id), query.wait, (help) => help),
  'POST /variants/{id}/for': async ({ db, params, body, query, today }) =>
    answerOf(await startFitHelp(db, params.id, body, today), query.wait, (help) => help),
  'GET /variants/{id}/suits': ({ db, params, today }) => suitsHere(db, variantById(db, params.id).id, today),
  'GET /variants/{id}/profile': ({ db, params, query }) => {
    const v = variantById(db, params.id);
    return profileOf(db, v, query.seats ?? usualSeats(v), query.minutes ?? 15);
  },
  'GET /profiles': async ({ db, query }) => {
    const graph = graphOf(db);
    const measuring = await settleMeasures(db, profilesWaitMs);
    const breadth = breadthsIn(graph);
    const found = page(offersNow(db), query);
    return { ...found, items: found.items.map((o) => shortProfile(o, graph, breadth)), measuring };
  },
  'GET /bins': ({ db, query }) =>
    page(
      db
        .select()
        .from(bins)
        .all()
        .sort((x, y) => x.position - y.position),
      query,
    ),
  'POST /imports/shelf': async ({ db, body, now }) => importTables(db, await readTables(bytesOf(body)), body, now),
  'GET /shelf.csv': ({ db, query }) =>
    new Reply(200, shelfCsv(db, query.retired === 'true'), { 'content-disposition': 'attachment; filename="shelf.csv"' }),
  'GET /games/{id}/file': ({ db, params }) =>
    new Reply(200, gameFile(db, params.id), { 'content-disposition': `attachment; filename="${params.id}.jsonld"` }),
  'POST /games/together': ({ db, body, now }) => changeSeveral(db, body, now),
  'GET /look-alike': ({ db }) => ({ items: [...alikeOn(db)] }),
  'GET /games/{id}/history': ({ db, params }) => historyOf(db, params.id),
  'POST /games/{id}/liked': ({ db, params, body }) => setLiked(db, params.id, body),
  'POST /games/{id}/merge': ({ db, params, body, now }) => mergeGames(db, params.id, body.other, now),
  'GET /changes': ({ db, query }) =>
    page(
      db
        .select()
        .from(changes)
        .all()
        .sort((x, y) => (x.at < y.at ? 1 : -1))
        .map((c) => ({ id: c.id, at: c.at, what: c.what, undone: c.undoneAt !== null })),
      query,
    ),
  'POST /undo': ({ db, body, now }) => undoChange(db, body.change ?? null, now),
});
