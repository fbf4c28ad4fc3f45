import { graphOf } from '../db/graphOf';
import { mechanisms } from '../../core/mechanisms/registry';
import { policies } from '../../core/mechanisms/mechanism';
import { bins, changes, games, kinds, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import { any, arr, bool, closed, int, list, nullable, num, obj, page, pageQuery, type Route, str } from '../http/route';
import { bytesBody, changed, gameFields, gameResponse, variantFields, variantResponse } from '../http/schemas';
import { profileOf } from '../simulations/profileOf';
import { usualSeats } from '../simulations/profileStore';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { breadthsOf } from '../../core/skills/breadth';
import type { Offer } from '../../core/recommend/offer';
import { practised } from '../../core/recommend/valueOf';
import { settleMeasures } from './measure';
import { offersNow } from './offers';
import { answerOf, waitQuery } from '../simulations/routes';
import { startGapHelp } from './gapHelp';
import { suitsHere } from './suits';
import { materialsByVariant, wireGames, wireVariant, wireVariants } from './wireShelf';
import { importShelf } from './importShelf';
import { createGame, createVariant, gameById, setRetired, setStock, updateGame, updateVariant, variantById } from './shelfStore';
import { undoChange } from '../undo/undo';

export function bytesOf(body: { base64?: string; text?: string }): Uint8Array {
  if (body.base64 !== undefined) return Uint8Array.from(Buffer.from(body.base64, 'base64'));
  if (body.text !== undefined) return new TextEncoder().encode(body.text);
  throw refuse('malformed', 'Send the file as "base64" or "text".', 'text');
}

let breadth: { graph: SkillGraph; values: Float64Array } | null = null;
function breadthsIn(graph: SkillGraph): Float64Array {
  if (breadth?.graph !== graph) breadth = { graph, values: breadthsOf(graph) };
  return breadth.values;
}

/** A page waits so long for versions that are new. */
const profilesWaitMs = 1200;
/** Chances in ten minutes below this are no practice and are left out of lists. */
const leastListed = 0.5;

/** A version's practice in short: what tells most first, broad skills counting less. */
function shortProfile(o: Offer, { skills }: SkillGraph, breadth: Float64Array): object {
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

const importResponse = obj(
  {
    committed: bool,
    rows: arr(any),
    problems: arr(obj({ code: str, message: str }, ['code', 'message'])),
    remarks: arr(obj({ row: int, message: str })),
    proposedKinds: arr(any),
  },
  ['committed', 'problems', 'remarks'],
);

export const shelfRoutes: readonly Route[] = [
  {
    method: 'GET',
    path: '/mechanisms',
    summary: 'Rule families that can be played by the machine',
    query: pageQuery,
    response: list(obj({ id: str, family: str, parametersSchema: obj({}), policies: arr(str), example: obj({}) })),
    handle: ({ query }) =>
      page(
        mechanisms.map((m) => ({
          id: m.id,
          family: m.id,
          title: m.title,
          words: m.words,
          earlyEnding: m.earlyEnding,
          told: m.told,
          parametersSchema: m.parametersSchema,
          policies,
          example: m.defaults,
          seats: m.seats,
        })),
        query,
      ),
  },
  {
    method: 'GET',
    path: '/skills',
    summary: 'Skills with their prerequisites, codes and item predicates',
    query: pageQuery,
    response: list(
      obj({
        id: str,
        title: str,
        strand: str,
        wantedAt: obj({}),
        prerequisites: arr(obj({ id: str, sort: str })),
        codes: arr(str),
        predicate: nullable(obj({})),
      }),
    ),
    handle: ({ db, query }) => ({ ...page(graphOf(db).skills, query), strands: graphOf(db).strands }),
  },
  {
    method: 'GET',
    path: '/games',
    summary: 'Games on the shelf',
    query: { ...pageQuery, retired: { enum: ['true', 'false'] } },
    response: list(gameResponse),
    handle: ({ db, query }) =>
      page(
        wireGames(
          db,
          db
            .select()
            .from(games)
            .all()
            .filter((g) => query['retired'] === 'true' || g.retiredAt === null),
        ),
        query,
      ),
  },
  {
    method: 'POST',
    path: '/games',
    summary: 'Put a game on the shelf',
    body: closed(gameFields, ['title']),
    status: 201,
    response: changed,
    handle: ({ db, body, now }) => createGame(db, body, now),
  },
  {
    method: 'GET',
    path: '/games/{id}',
    summary: 'One game with its variants',
    response: gameResponse,
    handle: ({ db, params }) => wireGames(db, [gameById(db, params['id']!)])[0],
  },
  {
    method: 'PATCH',
    path: '/games/{id}',
    summary: 'Change a game',
    body: closed({ ...gameFields, version: int }, ['version']),
    response: changed,
    handle: ({ db, params, body: { version, ...input } }) => updateGame(db, params['id']!, input, version),
  },
  {
    method: 'POST',
    path: '/games/{id}/retire',
    summary: 'Put a game away without losing it',
    response: changed,
    handle: ({ db, params, now }) => setRetired(db, 'game', params['id']!, true, now),
  },
  {
    method: 'POST',
    path: '/games/{id}/restore',
    summary: 'Bring a game back',
    response: changed,
    handle: ({ db, params, now }) => setRetired(db, 'game', params['id']!, false, now),
  },
  {
    method: 'GET',
    path: '/variants',
    summary: 'Variants in use',
    query: { ...pageQuery, game: str, retired: { enum: ['true', 'false'] } },
    response: list(variantResponse),
    handle: ({ db, query }) =>
      page(
        wireVariants(
          db,
          db
            .select()
            .from(variants)
            .all()
            .filter(
              (v) => (query['retired'] === 'true' || v.retiredAt === null) && (query['game'] === undefined || v.gameId === query['game']),
            ),
        ),
        query,
      ),
  },
  {
    method: 'POST',
    path: '/variants',
    summary: 'Add a variant to a game',
    body: closed({ ...variantFields, game: str }, ['game', 'title']),
    status: 201,
    response: changed,
    handle: ({ db, body: { game, ...input } }) => createVariant(db, game, input),
  },
  {
    method: 'GET',
    path: '/variants/{id}',
    summary: 'One variant',
    response: variantResponse,
    handle: ({ db, params }) => wireVariant(variantById(db, params['id']!), materialsByVariant(db)),
  },
  {
    method: 'PATCH',
    path: '/variants/{id}',
    summary: 'Change a variant',
    body: closed({ ...variantFields, version: int }, ['version']),
    response: changed,
    handle: ({ db, params, body: { version, ...input } }) => updateVariant(db, params['id']!, input, version),
  },
  {
    method: 'POST',
    path: '/variants/{id}/retire',
    summary: 'Put a variant away',
    response: changed,
    handle: ({ db, params, now }) => setRetired(db, 'variant', params['id']!, true, now),
  },
  {
    method: 'POST',
    path: '/variants/{id}/restore',
    summary: 'Bring a variant back',
    response: changed,
    handle: ({ db, params, now }) => setRetired(db, 'variant', params['id']!, false, now),
  },
  {
    method: 'POST',
    path: '/skills/{id}/help',
    summary: 'What would practise a skill: shipped games not on the shelf, and changes of versions that are, measured',
    query: waitQuery,
    response: any,
    waits: true,
    handle: async ({ db, params, query }) => answerOf(await startGapHelp(db, params['id']!), query['wait'], (help) => help),
  },
  {
    method: 'GET',
    path: '/variants/{id}/suits',
    summary: 'Expected success with a variant for every learner, from the maps of today',
    response: list(obj({ learner: str, nickname: str, success: num, low: num, high: num, because: nullable(str), missing: nullable(str) })),
    waits: true,
    handle: ({ db, params, today }) => suitsHere(db, variantById(db, params['id']!).id, today),
  },
  {
    method: 'GET',
    path: '/variants/{id}/profile',
    summary: 'What a variant practises at a table of so many',
    query: { seats: { type: 'integer', minimum: 1, maximum: 12 }, minutes: { type: 'number', minimum: 1, maximum: 240 } },
    response: obj({
      seats: int,
      games: int,
      source: str,
      doses: arr(obj({ skill: str, perTenMinutes: num, standardError: nullable(num) })),
      minutes: obj({}),
      waitingShare: nullable(num),
    }),
    waits: true,
    handle: ({ db, params, query }) => {
      const v = variantById(db, params['id']!);
      return profileOf(db, v, Number(query['seats'] ?? usualSeats(v)), Number(query['minutes'] ?? 15));
    },
  },
  {
    method: 'GET',
    path: '/profiles',
    summary: 'What every variant in use practises, in short; what is not measured yet follows by the job',
    query: { ...pageQuery, limit: { type: 'integer', minimum: 1, maximum: 20000, default: 100 } },
    response: obj(
      {
        items: arr(obj({ variant: str, game: str, source: str, minutes: num, doses: arr(obj({ skill: str, perTenMinutes: num })) })),
        total: int,
        measuring: nullable(obj({ job: str, left: int })),
      },
      ['items', 'total', 'measuring'],
    ),
    waits: true,
    handle: async ({ db, query }) => {
      const graph = graphOf(db);
      const measuring = await settleMeasures(db, profilesWaitMs);
      const breadth = breadthsIn(graph);
      const found = page(offersNow(db), query);
      return { ...found, items: found.items.map((o) => shortProfile(o, graph, breadth)), measuring };
    },
  },
  {
    method: 'GET',
    path: '/bins',
    summary: 'Where things live',
    query: pageQuery,
    response: list(obj({ id: str, title: str, position: int })),
    handle: ({ db, query }) =>
      page(
        db
          .select()
          .from(bins)
          .all()
          .sort((x, y) => x.position - y.position),
        query,
      ),
  },
  {
    method: 'GET',
    path: '/kinds',
    summary: 'Sorts of material and how many there are',
    query: pageQuery,
    response: list(obj({ id: str, title: str, quantity: int, plentiful: bool, smallParts: bool })),
    handle: ({ db, query }) =>
      page(
        db
          .select()
          .from(kinds)
          .all()
          .sort((x, y) => (x.title < y.title ? -1 : 1)),
        query,
      ),
  },
  {
    method: 'PUT',
    path: '/kinds/{id}/stock',
    summary: 'Say how many of a material there are',
    body: closed({ quantity: { type: 'integer', minimum: 0, maximum: 100000 } }, ['quantity']),
    response: changed,
    handle: ({ db, params, body }) => setStock(db, params['id']!, body.quantity),
  },
  {
    method: 'POST',
    path: '/imports/shelf',
    summary: 'Preview or bring in a catalogue CSV, all or nothing',
    body: bytesBody,
    response: importResponse,
    handle: ({ db, body, now }) => importShelf(db, bytesOf(body), body.commit === true, now),
  },
  {
    method: 'GET',
    path: '/changes',
    summary: 'Edits that can be undone, newest first',
    query: pageQuery,
    response: list(obj({ id: str, at: str, what: str, undone: bool })),
    handle: ({ db, query }) =>
      page(
        db
          .select()
          .from(changes)
          .all()
          .sort((x, y) => (x.at < y.at ? 1 : -1))
          .map((c) => ({ id: c.id, at: c.at, what: c.what, undone: c.undoneAt !== null })),
        query,
      ),
  },
  {
    method: 'POST',
    path: '/undo',
    summary: 'Undo the latest edit, or a named one',
    body: closed({ change: str }),
    response: obj({ undone: str, what: str }),
    handle: ({ db, body, now }) => undoChange(db, body.change ?? null, now),
  },
];
