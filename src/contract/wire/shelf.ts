import { type Static, Type } from '@sinclair/typebox';
import type { Operation } from '../../core/items/item';
import { policies } from '../../core/mechanisms/mechanism';
import { define } from './route';
import {
  anything,
  arr,
  bool,
  changed,
  closed,
  estimate,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  oneOf,
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
} from './schema';
import { dose, fileBody, helper, item, material, offerSource, remark, skill, source, span, strand } from './things';

const gameFields = {
  title: name,
  bin: name,
  source,
  condition: str,
  notes: str,
  rules: arr(Type.String({ maxLength: 600 }), 60),
};
const variantFields = {
  title: name,
  mechanism: nullable(str),
  parameters: record(anything),
  ages: pair(num),
  players: closed({ min: Type.Integer(), max: Type.Integer() }, ['min', 'max']),
  minutes: num,
  helper,
  preparationMinutes: within(0, 1000),
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
  helper,
  preparationMinutes: num,
  declared: arr(obj({ skill: str, perTenMinutes: num, counted: opt(int) })),
  retired: bool,
  version: int,
});
export type VariantWire = Static<typeof variant>;

const bounds = { minimum: opt(num), maximum: opt(num), minItems: opt(int), maxItems: opt(int), uniqueItems: opt(bool) };
/** How a family asks for one of its parameters: a small part of JSON Schema. */
const parameterField = obj({
  ...bounds,
  type: opt(oneOf('boolean', 'integer', 'number', 'string', 'array', 'object')),
  title: opt(str),
  enum: opt(arr(anything)),
  items: opt(obj({ ...bounds, type: opt(str), enum: opt(arr(Type.Union([Type.String(), Type.Number()]))), items: opt(record(anything)) })),
});
export type ParameterField = Static<typeof parameterField>;
const mechanism = obj({
  id: str,
  family: str,
  title: str,
  words: arr(str),
  earlyEnding: str,
  told: arr(str),
  parametersSchema: obj({
    type: Type.Literal('object'),
    additionalProperties: Type.Literal(false),
    properties: record(parameterField),
  }),
  policies: arr(oneOf(...policies)),
  example: record(anything),
  seats: span,
});
export type MechanismWire = Static<typeof mechanism>;

const kind = obj({
  id: str,
  title: str,
  alsoCalled: arr(str),
  unit: str,
  quantity: int,
  plentiful: bool,
  smallParts: bool,
  caution: nullable(str),
  shipped: bool,
});
export type KindWire = Static<typeof kind>;
const bin = obj({ id: str, title: str, position: int });
export type BinWire = Static<typeof bin>;

const profile = obj({
  variant: str,
  seats: int,
  games: int,
  seed: opt(int),
  engine: opt(str),
  source: oneOf('calculated', 'declared', 'none'),
  doses: arr(obj({ skill: str, perTenMinutes: num, standardError: nullable(num), counted: opt(int) })),
  /** A declared dose was counted at a table. */
  counted: opt(bool),
  minutes: record(num),
  minuteHistogram: opt(arr(num)),
  /** Share of games that end within `slotMinutes`. */
  endsInSlot: opt(num),
  slotMinutes: opt(num),
  turns: opt(obj({ ...estimate.properties, quantiles: record(num) })),
  waitingShare: nullable(num),
  measures: record(num),
  measureErrors: opt(record(num)),
  shares: opt(record(estimate)),
  distinctFacts: opt(int),
  outcomes: opt(obj({ wins: arr(num), ties: num, capped: num, score: estimate })),
  items: arr(obj({ ...item.properties, count: num })),
  materials: opt(arr(material)),
});
export type ProfileWire = Static<typeof profile>;
export type ItemWire = ProfileWire['items'][number];
const shortProfile = obj({
  variant: str,
  game: str,
  source: offerSource,
  minutes: num,
  doses: arr(dose),
});
export type ProfileSummary = Static<typeof shortProfile>;

const gapHelp = obj({
  skill: str,
  library: arr(obj({ game: str, title: str, version: str, perTenMinutes: num, standardError: num })),
  changes: arr(
    obj({
      game: str,
      variant: str,
      gameTitle: str,
      title: str,
      parameter: str,
      parameterTitle: str,
      value: anything,
      before: estimate,
      after: estimate,
      minutes: estimate,
    }),
  ),
});
const suits = obj({
  learner: str,
  nickname: str,
  success: num,
  low: num,
  high: num,
  because: nullable(oneOf('needs', 'too-hard', 'age', 'accommodation')),
  missing: nullable(str),
});

export type SuitsWire = Static<typeof suits>;

const libraryGame = obj({
  id: str,
  title: str,
  bin: str,
  mechanism: str,
  rules: arr(str),
  plays: str,
  onShelf: bool,
  variants: arr(
    obj({
      id: str,
      title: str,
      parameters: record(anything),
      ages: pair(num),
      players: span,
      minutes: num,
      preparationMinutes: num,
      helper,
      materials: arr(material),
      /** Measured when the version was shipped. */
      profile: nullable(
        obj({
          engine: str,
          seed: int,
          seats: int,
          games: int,
          turns: estimate,
          minutes: Type.Unsafe<[short: number, usual: number, long: number]>(arr(num, 3, 3)),
          doses: arr(
            Type.Unsafe<[skill: string, perTenMinutes: number, standardError: number]>({
              type: 'array',
              prefixItems: [str, num, num],
              minItems: 3,
              maxItems: 3,
            }),
          ),
          /** Operations and their shares of all items. */
          mix: arr(Type.Unsafe<[Operation, number]>({ type: 'array', prefixItems: [str, num], minItems: 2, maxItems: 2 })),
          waiting: num,
          choices: num,
          idleTurns: num,
          facts: num,
        }),
      ),
    }),
  ),
});
export type LibraryGameWire = Static<typeof libraryGame>;
const libraryTitle = obj({ id: str, title: str });

const catalogueRow = obj({
  row: int,
  game: str,
  variant: str,
  bin: str,
  ages: pair(num),
  players: pair(int),
  minutes: num,
  materials: arr(material),
  source,
  condition: str,
  notes: str,
  mechanism: nullable(str),
  parameters: record(anything),
  declared: arr(dose),
  already: bool,
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
  'GET /kinds': { summary: 'Sorts of material and how many there are', query: pageQuery, response: list(kind) },
  'PUT /kinds/{id}/stock': {
    summary: 'Say how many of a material there are',
    body: closed({ quantity: whole(0, 100_000) }, ['quantity']),
    response: changed,
  },
  'POST /imports/shelf': {
    summary: 'Preview or bring in a catalogue CSV, all or nothing',
    body: fileBody,
    response: obj({
      committed: bool,
      rows: arr(catalogueRow),
      problems: arr(problem),
      remarks: arr(remark),
      proposedKinds: arr(obj({ id: str, title: str, rows: arr(int) })),
      added: obj({ games: int, variants: int, kinds: int }),
      change: nullable(str),
    }),
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

export const libraryWire = define({
  'GET /library': {
    summary: 'Games that ship with the app, with their measured profiles',
    query: pageQuery,
    response: list(libraryGame),
  },
  'GET /library/titles': { summary: 'Their names alone', query: pageQuery, response: list(libraryTitle) },
  'POST /library/{id}/take': {
    summary: 'Put a shipped game with all its versions on the shelf',
    status: 201,
    response: obj({ id: str, change: str }),
  },
});
