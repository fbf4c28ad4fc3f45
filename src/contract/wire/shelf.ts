import { type Static, Type } from '@sinclair/typebox';
import { prepSorts } from '../../core/materials/gettingReady';
import { define } from './route';
import {
  anything,
  arr,
  bool,
  changed,
  closed,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  ok,
  opt,
  pageQuery,
  pair,
  problem,
  record,
  str,
  truth,
  waitQuery,
  whole,
  within,
  oneOf,
} from './schema';
import { dose, fileBody, helper, material, room, readingWishes, skill, source, span, strand, tableShown } from './things';
import { profile, shortProfile, fitHelp, gapHelp, suits } from './practice';
import { mechanism } from './families';

const gameFields = {
  title: name,
  bin: name,
  source,
  condition: str,
  notes: str,
  rules: arr(Type.String({ maxLength: 600 }), 60),
  /** Words of the owner to find it by: a unit, a season, a theme. */
  tags: arr(Type.String({ maxLength: 40 }), 20),
};

const prepStep = closed({ sort: oneOf(...prepSorts), what: Type.String({ maxLength: 200 }), minutes: within(0, 1000) }, [
  'sort',
  'what',
  'minutes',
]);
const usedUp = closed({ what: Type.String({ maxLength: 120 }), quantity: within(0, 10_000), cost: nullable(within(0, 100_000)) }, [
  'what',
  'quantity',
  'cost',
]);

const variantFields = {
  title: name,
  mechanism: nullable(str),
  parameters: record(anything),
  ages: pair(num),
  players: closed({ min: Type.Integer(), max: Type.Integer() }, ['min', 'max']),
  minutes: num,
  helper,
  room,
  /** Where steps are named, their sum. */
  preparationMinutes: within(0, 1000),
  steps: arr(prepStep, 20),
  uses: arr(usedUp, 20),
  materials: arr(closed({ kind: name, quantity: whole(-1_000_000, 1_000_000) }, ['kind', 'quantity']), 60),
  declared: arr(closed({ skill: str, perTenMinutes: within(0, 200), counted: whole(1, 10_000) }, ['skill', 'perTenMinutes'])),
};

const game = obj({
  id: str,
  game: str,
  title: str,
  bin: nullable(str),
  source,
  condition: str,
  notes: str,
  rules: arr(str),
  tags: arr(str),
  retired: bool,
  version: int,
  variants: arr(str),
  mechanism: nullable(str),
  parameters: record(anything),
  /** Youngest and oldest of all versions in use; empty where there is none. */
  ages: arr(num, 2),
  players: nullable(span),
  minutes: nullable(num),
  materials: arr(material),
  helper,
  preparationMinutes: num,
});

export type GameWire = Static<typeof game>;

const variant = obj({
  id: str,
  game: str,
  title: str,
  mechanism: nullable(str),
  parameters: record(anything),
  ages: pair(num),
  players: span,
  minutes: num,
  materials: arr(material),
  /** What stands in now for a thing of these that is not there, in words. */
  standIns: arr(obj({ instead: str, say: str })),
  helper,
  room,
  preparationMinutes: num,
  /** What is to be done once before it can be played, and what is used up by it. */
  steps: arr(prepStep),
  uses: arr(usedUp),
  declared: arr(obj({ skill: str, perTenMinutes: num, counted: opt(int) })),
  /** Who says how it plays: the owner, nobody yet (only the words of its row), or the owner to a guess, until it is played. */
  said: oneOf('owner', 'words', 'guessed'),
  retired: bool,
  version: int,
});

export type VariantWire = Static<typeof variant>;

const bin = obj({ id: str, title: str, position: int });

export type BinWire = Static<typeof bin>;

const catalogueRow = obj({
  row: int,
  game: str,
  variant: str,
  bin: str,
  ages: pair(num),
  players: pair(int),
  minutes: num,
  helper,
  room,
  preparationMinutes: num,
  steps: arr(prepStep),
  uses: arr(usedUp),
  rules: arr(str),
  materials: arr(material),
  stoodInFor: arr(str),
  source,
  condition: str,
  notes: str,
  tags: arr(str),
  mechanism: nullable(str),
  parameters: record(anything),
  declared: arr(dose),
  already: bool,
  table: str,
  /** What the file tells otherwise of a version that is here. */
  changes: arr(obj({ field: str, before: str, after: str })),
});

const retired = { retired: truth };

export const shelfWire = define({
  'GET /mechanisms': {
    summary: 'Rule families that can be played by the machine',
    query: pageQuery,
    response: list(mechanism),
  },
  'GET /skills': {
    summary: 'Skills with their prerequisites, codes and item predicates',
    query: pageQuery,
    response: obj({ items: arr(skill), total: int, strands: arr(strand) }),
  },
  'GET /games': { summary: 'Games on the shelf', query: { ...pageQuery, ...retired }, response: list(game) },
  'POST /games': {
    summary: 'Put a game on the shelf',
    body: closed(gameFields, ['title']),
    status: 201,
    response: changed,
  },
  'GET /games/{id}': { summary: 'One game with its variants', response: game },
  'PATCH /games/{id}': { summary: 'Change a game', body: closed({ ...gameFields, version: int }, ['version']), response: changed },
  'POST /games/{id}/retire': { summary: 'Put a game away without losing it', response: changed },
  'POST /games/{id}/restore': { summary: 'Bring a game back', response: changed },
  'GET /variants': { summary: 'Variants in use', query: { ...pageQuery, game: str, ...retired }, response: list(variant) },
  'POST /variants': {
    summary: 'Add a variant to a game',
    body: closed({ ...variantFields, game: str }, ['game', 'title']),
    status: 201,
    response: changed,
  },
  'GET /variants/{id}': { summary: 'One variant', response: variant },
  'PATCH /variants/{id}': {
    summary: 'Change a variant',
    body: closed({ ...variantFields, version: int }, ['version']),
    response: changed,
  },
  'POST /variants/{id}/retire': { summary: 'Put a variant away', response: changed },
  'POST /variants/{id}/restore': { summary: 'Bring a variant back', response: changed },
  'POST /skills/{id}/help': {
    summary: 'What would practise a skill: shipped games not on the shelf, and changes of versions that are, measured',
    query: waitQuery,
    response: gapHelp,
    job: gapHelp,
    waits: true,
  },
  'POST /variants/{id}/for': {
    summary: 'The smallest changes that make a variant easier or harder for one learner or a table of them, each played and measured',
    query: waitQuery,
    body: closed(
      {
        learners: Type.Array(str, { minItems: 1, maxItems: 12 }),
        direction: oneOf('easier', 'harder'),
        /** Versions that others at the table play. */
        beside: Type.Array(str, { maxItems: 12 }),
      },
      ['learners', 'direction'],
    ),
    response: fitHelp,
    job: fitHelp,
    waits: true,
  },
  'GET /variants/{id}/suits': {
    summary: 'Expected success with a variant for every learner, from the maps of today',
    response: list(suits),
    waits: true,
  },
  'GET /variants/{id}/profile': {
    summary: 'What a variant practises at a table of so many',
    query: { seats: whole(1, 12), minutes: within(1, 240) },
    response: profile,
    waits: true,
  },
  'GET /profiles': {
    summary: 'What every variant in use practises, in short; what is not measured yet follows by the job',
    query: { ...pageQuery, limit: Type.Integer({ minimum: 1, maximum: 20_000, default: 100 }) },
    response: obj({ items: arr(shortProfile), total: int, measuring: nullable(obj({ job: str, left: int })) }),
    waits: true,
  },
  'GET /bins': { summary: 'Where things live', query: pageQuery, response: list(bin) },
  'POST /imports/shelf': {
    summary:
      'Preview or bring in a catalogue (CSV, pasted cells, XLSX), all or nothing; `skip` leaves out rows that need mending, `update` changes what is here',
    body: closed({
      ...fileBody.properties,
      skip: bool,
      update: bool,
      ...readingWishes,
    }),
    waits: true,
    response: obj({
      committed: bool,
      tables: arr(tableShown),
      rows: arr(catalogueRow),
      problems: arr(problem),
      remarks: arr(obj({ table: str, row: int, message: str })),
      proposedKinds: arr(obj({ id: str, title: str, rows: arr(int) })),
      added: obj({ games: int, variants: int, kinds: int, changed: int }),
      change: nullable(str),
    }),
  },
  'GET /shelf.csv': {
    summary: 'The whole shelf as a list that comes back in: a row a version, ranges in words a spreadsheet leaves alone',
    query: { retired: truth },
    response: Type.String(),
    media: 'text/csv',
  },
  'GET /games/{id}/file': {
    summary: 'One game with its versions, rules and what each practises, as JSON-LD (schema.org); it comes back in elsewhere',
    response: Type.String(),
    media: 'application/ld+json',
  },
  'POST /games/together': {
    summary: 'Move several games to a bin, tag them or put them away, undone as one',
    body: closed(
      { games: arr(str, 5000), bin: name, away: bool, tag: Type.String({ maxLength: 40 }), untag: Type.String({ maxLength: 40 }) },
      ['games'],
    ),
    response: changed,
  },
  'GET /look-alike': {
    summary: 'Pairs of games that may be one, by their names',
    response: obj({ items: arr(obj({ first: str, firstTitle: str, second: str, secondTitle: str })) }),
  },
  'POST /games/{id}/merge': {
    summary: 'Make one game of two: the versions of the other come to this one, the other is put away',
    body: closed({ other: str }, ['other']),
    response: changed,
  },
  'GET /games/{id}/history': {
    summary: 'When a game was played, by whom and how it went, and who asks for it',
    response: obj({
      plays: arr(
        obj({
          plan: str,
          date: str,
          round: int,
          versions: arr(str),
          learners: arr(obj({ learner: str, nickname: str })),
          /** Notes taken there, by how it went. */
          notes: obj({ alone: int, support: int, stuck: int }),
        }),
      ),
      liked: arr(obj({ learner: str, nickname: str })),
    }),
  },
  'POST /games/{id}/liked': {
    summary: 'Children who ask for a game, or no more',
    body: closed({ learners: arr(str, 60), liked: bool }, ['learners', 'liked']),
    response: ok,
  },
  'GET /changes': {
    summary: 'Edits that can be undone, newest first',
    query: pageQuery,
    response: list(obj({ id: str, at: str, what: str, undone: bool })),
  },
  'POST /undo': {
    summary: 'Undo the latest edit, or a named one',
    body: closed({ change: str }),
    response: obj({ undone: str, what: str }),
  },
});
