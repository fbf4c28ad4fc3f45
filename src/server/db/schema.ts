import { blob, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { NotedItem } from '../../core/mastery/evidence';
import type { Loan } from '../../core/materials/onHand';
import type { PrepStep, UsedUp } from '../../core/materials/gettingReady';
import type { Accommodation } from '../../core/recommend/accommodations';

export { crosswalk, expectations, frameworks, ownEdges, ownSkills } from './schemaOfMaps';
export {
  gatherTicks,
  planBs,
  plans,
  type StoredLock,
  type StoredPlanB,
  type StoredRequest,
  type StoredRound,
  type StoredSeat,
  type StoredTable,
} from './schemaOfPlans';

/** Names and settings of this workspace (title, framework, seed of the demo …). */
export const settings = sqliteTable('settings', { key: text().primaryKey(), value: text().notNull() });

export const bins = sqliteTable('bins', { id: text().primaryKey(), title: text().notNull(), position: integer().notNull() });

/** Sorts of material: the shipped ones and those the owner added. */
export const kinds = sqliteTable('kinds', {
  id: text().primaryKey(),
  title: text().notNull(),
  alsoCalled: text({ mode: 'json' }).$type<string[]>().notNull(),
  unit: text().notNull(),
  smallParts: integer({ mode: 'boolean' }).notNull(),
  plentiful: integer({ mode: 'boolean' }).notNull(),
  caution: text(),
  shipped: integer({ mode: 'boolean' }).notNull(),
  /** Pieces that are ours. */
  quantity: integer().notNull().default(0),
  /** What the owner said of how many there are; null where nobody said anything yet. */
  told: text({ enum: ['number', 'plenty', 'unsure'] }),
  binId: text().references(() => bins.id),
  /** Worn, stained, mended: in the owner's words. */
  condition: text().notNull().default(''),
  /** What is missing of it, in the owner's words; empty where it is whole. */
  incomplete: text().notNull().default(''),
  loans: text({ mode: 'json' }).$type<Loan[]>().notNull().default([]),
  /** What the owner said will do in its place. */
  standIn: text(),
  /** What one of it costs, in the owner's money; null where nobody wrote it down. */
  price: real(),
});

export const games = sqliteTable(
  'games',
  {
    id: text().primaryKey(),
    title: text().notNull(),
    binId: text().references(() => bins.id),
    source: text({ enum: ['made', 'bought', 'free'] }).notNull(),
    condition: text().notNull().default(''),
    notes: text().notNull().default(''),
    rules: text({ mode: 'json' }).$type<string[]>().notNull(),
    /** Words of the owner to find it by: a unit, a season, a theme. */
    tags: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    retiredAt: text(),
    version: integer().notNull().default(1),
    createdAt: text().notNull(),
  },
  (t) => [uniqueIndex('games_title').on(t.title)],
);

export const variants = sqliteTable(
  'variants',
  {
    id: text().primaryKey(),
    gameId: text()
      .notNull()
      .references(() => games.id, { onDelete: 'cascade' }),
    title: text().notNull(),
    mechanism: text(),
    parameters: text({ mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    agesMin: real().notNull(),
    agesMax: real().notNull(),
    playersMin: integer().notNull(),
    playersMax: integer().notNull(),
    minutes: real().notNull(),
    helper: text({ enum: ['alone', 'nearby', 'needed'] })
      .notNull()
      .default('nearby'),
    /** How it goes on in the room: quietly at a table, with voices and movement, or on the floor. */
    room: text({ enum: ['calm', 'lively', 'floor'] })
      .notNull()
      .default('calm'),
    /** Minutes to get it ready once; the sum of its steps where they are named. */
    preparationMinutes: real().notNull().default(0),
    /** What is to be done once before it can be played, step by step, and what is used up by it. */
    steps: text({ mode: 'json' }).$type<PrepStep[]>().notNull().default([]),
    uses: text({ mode: 'json' }).$type<UsedUp[]>().notNull().default([]),
    /** The owner's own word on what it practises, per skill and ten minutes. */
    declared: text({ mode: 'json' }).$type<{ skill: string; perTenMinutes: number; counted?: number }[]>().notNull(),
    /** Who says how it plays: the owner; nobody yet, only the words of its row; or the owner to a guess, until it is played. */
    said: text({ enum: ['owner', 'words', 'guessed'] })
      .notNull()
      .default('owner'),
    retiredAt: text(),
    version: integer().notNull().default(1),
  },
  (t) => [index('variants_game').on(t.gameId), uniqueIndex('variants_title').on(t.gameId, t.title)],
);

export const variantMaterials = sqliteTable(
  'variant_materials',
  {
    variantId: text()
      .notNull()
      .references(() => variants.id, { onDelete: 'cascade' }),
    kindId: text()
      .notNull()
      .references(() => kinds.id),
    quantity: integer().notNull(),
  },
  (t) => [primaryKey({ columns: [t.variantId, t.kindId] })],
);

/** Steps of getting a version ready that are done; `all` where no steps are named. */
export const prepTicks = sqliteTable(
  'prep_ticks',
  {
    variantId: text()
      .notNull()
      .references(() => variants.id, { onDelete: 'cascade' }),
    step: text().notNull(),
    tickedAt: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.variantId, t.step] })],
);

/** Sheets that were printed and made: with their seed a lost one can be printed again. */
export const madeSets = sqliteTable('made_sets', {
  id: text().primaryKey(),
  sheet: text().notNull(),
  parameters: text({ mode: 'json' }).$type<Record<string, unknown>>().notNull(),
  seed: integer().notNull(),
  paper: text().notNull(),
  form: text().notNull(),
  mark: text().notNull(),
  label: text().notNull(),
  copies: integer().notNull(),
  pieces: integer().notNull(),
  /** The version it was made for, while there is one. */
  variantId: text().references(() => variants.id, { onDelete: 'set null' }),
  /** The thing it became one more of. */
  kindId: text().references(() => kinds.id, { onDelete: 'set null' }),
  madeOn: text().notNull(),
  /** Minutes it took by the owner's word, and as they were reckoned. */
  minutes: real(),
  reckoned: real().notNull(),
});

/** What is to be met when: a code of a framework in the week that begins on a Monday. */
export const pacing = sqliteTable(
  'pacing',
  { week: text().notNull(), framework: text().notNull(), identifier: text().notNull(), position: integer().notNull() },
  (t) => [primaryKey({ columns: [t.week, t.framework, t.identifier] })],
);

/** Codes of shipped frameworks that the owner compared with her document; the others are from memory. */
export const comparedCodes = sqliteTable(
  'compared_codes',
  { framework: text().notNull(), identifier: text().notNull(), at: text().notNull() },
  (t) => [primaryKey({ columns: [t.framework, t.identifier] })],
);

/** Results of simulations by a hash of everything that decides them; a cache, so old ones may go. */
export const simulations = sqliteTable(
  'simulations',
  {
    hash: text().primaryKey(),
    /** The same without the skills: finds what was measured before the owner changed them. */
    task: text().notNull(),
    /** Median minutes and mean chances by skill id, read without unpacking the whole. */
    summary: text({ mode: 'json' }).$type<StoredSummary>().notNull(),
    /** The whole result as packed JSON. */
    result: blob({ mode: 'buffer' }).notNull(),
    usedAt: text().notNull(),
  },
  (t) => [index('simulations_task').on(t.task), index('simulations_used').on(t.usedAt)],
);
export interface StoredSummary {
  readonly minutes: number;
  /** Share of a player's time that is waiting; missing in what was stored before it was kept. */
  readonly waiting?: number;
  readonly doses: readonly (readonly [skill: string, perTenMinutes: number])[];
}

export const learners = sqliteTable(
  'learners',
  {
    id: text().primaryKey(),
    nickname: text().notNull(),
    born: text().notNull(),
    framework: text().notNull(),
    permanentSupports: text({ mode: 'json' }).$type<string[]>().notNull(),
    supportsInUse: text({ mode: 'json' }).$type<string[]>().notNull(),
    /** What helpers should do (seeing side, large print …), never a diagnosis. */
    actions: text({ mode: 'json' }).$type<string[]>().notNull(),
    /** Skills that were agreed on for this child. */
    goals: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    /** Goes by the goals alone; nothing is "wanted by now". */
    withoutNorms: integer({ mode: 'boolean' }).notNull().default(false),
    /** What games must allow for; see `core/recommend/accommodations`. */
    accommodations: text({ mode: 'json' }).$type<Accommodation[]>().notNull().default([]),
    /** Games this child asks for. */
    likings: text({ mode: 'json' }).$type<string[]>().notNull().default([]),
    version: integer().notNull().default(1),
    createdAt: text().notNull(),
  },
  (t) => [uniqueIndex('learners_nickname').on(t.nickname)],
);

export const groups = sqliteTable('groups', { id: text().primaryKey(), title: text().notNull().unique() });

export const memberships = sqliteTable(
  'memberships',
  {
    id: text().primaryKey(),
    learnerId: text()
      .notNull()
      .references(() => learners.id, { onDelete: 'cascade' }),
    groupId: text()
      .notNull()
      .references(() => groups.id, { onDelete: 'cascade' }),
    from: text('from_date').notNull(),
    to: text('to_date'),
  },
  (t) => [index('memberships_learner').on(t.learnerId)],
);

/** Append-only; a correction is a retraction and a new row. */
export const evidence = sqliteTable(
  'evidence',
  {
    id: text().primaryKey(),
    sequence: integer().notNull(),
    learnerId: text()
      .notNull()
      .references(() => learners.id, { onDelete: 'cascade' }),
    at: text().notNull(),
    kind: text({ enum: ['placement', 'check-in', 'note', 'statement'] }).notNull(),
    skill: text().notNull(),
    result: text({ enum: ['stuck', 'support', 'alone'] }),
    correct: integer(),
    total: integer(),
    how: text({ enum: ['counted-all', 'counted-on', 'worked-out', 'knew'] }),
    support: text(),
    variantId: text(),
    planId: text(),
    items: text({ mode: 'json' }).$type<NotedItem[]>().notNull(),
    /** Where it was brought in from; null when noted here. */
    source: text({ enum: ['csv', 'xapi'] }),
    /** Seconds for a whole sheet, where somebody chose to time it; no estimate reads it. */
    seconds: real(),
    byRole: text({ enum: ['organiser', 'helper', 'parent'] }).notNull(),
    byOwnChild: integer({ mode: 'boolean' }).notNull(),
    recordedAt: text().notNull(),
    retractedAt: text(),
    retractedBecause: text(),
  },
  (t) => [
    index('evidence_learner').on(t.learnerId, t.at),
    // All that counting everybody's notes and the group's map read, so that they read nothing else.
    index('evidence_reading').on(t.learnerId, t.skill, t.at, t.result, t.retractedAt, t.sequence),
    uniqueIndex('evidence_sequence').on(t.sequence),
  ],
);

export const terms = sqliteTable('terms', {
  id: text().primaryKey(),
  title: text().notNull(),
  starts: text().notNull(),
  ends: text().notNull(),
  version: integer().notNull().default(1),
});

export const meetings = sqliteTable(
  'meetings',
  {
    id: text().primaryKey(),
    termId: text()
      .notNull()
      .references(() => terms.id, { onDelete: 'cascade' }),
    date: text().notNull(),
    startsAt: text().notNull(),
    rounds: integer().notNull(),
    minutes: integer().notNull(),
    tables: integer().notNull(),
    helpers: integer().notNull(),
    off: integer({ mode: 'boolean' }).notNull().default(false),
    offBecause: text(),
    /** Counts changes, for calendars that were given the meeting before. */
    version: integer().notNull().default(1),
    changedAt: text().notNull().default(''),
  },
  (t) => [uniqueIndex('meetings_date').on(t.termId, t.date)],
);

/** Edits that can be undone: what a row was before. */
export const changes = sqliteTable('changes', {
  id: text().primaryKey(),
  at: text().notNull(),
  what: text().notNull(),
  undo: text({ mode: 'json' }).$type<UndoStep[]>().notNull(),
  undoneAt: text(),
});
type UndoTable =
  | 'games'
  | 'variants'
  | 'variantMaterials'
  | 'kinds'
  | 'madeSets'
  | 'prepTicks'
  | 'ownSkills'
  | 'ownEdges'
  | 'frameworks'
  | 'expectations'
  | 'crosswalk'
  | 'pacing';
/**
 * How to take one row back: what was added goes, what was taken away is put again, and of what was changed only
 * the changed columns return (`set`), if they still are what the change made of them (`was`).
 */
export type UndoStep =
  | { table: UndoTable; delete: Record<string, unknown> }
  | { table: UndoTable; put: Record<string, unknown> }
  | { table: UndoTable; key: Record<string, unknown>; set: Record<string, unknown>; was: Record<string, unknown> };

/**
 * Writes with an Idempotency-Key: entered before the work as pending, done with the answer after it,
 * in the same transaction as the work where that is possible.
 */
export const idempotency = sqliteTable(
  'idempotency',
  {
    key: text().primaryKey(),
    route: text().notNull(),
    /** Hash of what was sent, so that a key cannot stand for something else. */
    sent: text().notNull(),
    state: text({ enum: ['pending', 'done'] }).notNull(),
    status: integer(),
    body: text({ mode: 'json' }),
    createdAt: text().notNull(),
  },
  (t) => [index('idempotency_created').on(t.createdAt)],
);

/** What was taken in of a learner's notes so far, so that a page need not replay years; a cache. */
export const learnerStates = sqliteTable('learner_states', {
  learnerId: text()
    .primaryKey()
    .references(() => learners.id, { onDelete: 'cascade' }),
  /** Everything but the notes that decides the state: estimator, skills, facts about the child. */
  stamp: text().notNull(),
  notes: integer().notNull(),
  lastSequence: integer().notNull(),
  state: blob({ mode: 'buffer' }).notNull(),
});
