import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { NotedItem } from '../../core/mastery/evidence';
import type { Accommodation } from '../../core/recommend/accommodations';

export { crosswalk, expectations, frameworks, ownEdges, ownSkills } from './schemaOfMaps';

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
  /** Pieces in the cupboard. */
  quantity: integer().notNull().default(0),
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
    /** Unordered marks that tell the variants apart on tokens. */
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
    preparationMinutes: real().notNull().default(0),
    /** The owner's own word on what it practises, per skill and ten minutes. */
    declared: text({ mode: 'json' }).$type<{ skill: string; perTenMinutes: number; counted?: number }[]>().notNull(),
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

/** Results of simulations by a hash of everything that decides them. */
export const simulations = sqliteTable('simulations', {
  hash: text().primaryKey(),
  result: text({ mode: 'json' }).notNull(),
  createdAt: text().notNull(),
});

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
  (t) => [index('evidence_learner').on(t.learnerId, t.at), uniqueIndex('evidence_sequence').on(t.sequence)],
);

export const terms = sqliteTable('terms', {
  id: text().primaryKey(),
  title: text().notNull(),
  starts: text().notNull(),
  ends: text().notNull(),
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
  },
  (t) => [uniqueIndex('meetings_date').on(t.termId, t.date)],
);

export interface StoredSeat {
  learner: string;
  variant: string;
  /** Frozen when the seat was given, so that it can be asked for months later. */
  why: string;
}
export interface StoredTable {
  game: string;
  helper: boolean;
  seats: StoredSeat[];
}
export interface StoredRound {
  tables: StoredTable[];
  resting: string[];
}
export interface StoredLock {
  learner: string;
  round: number;
  game: string;
}

export const plans = sqliteTable(
  'plans',
  {
    id: text().primaryKey(),
    date: text().notNull(),
    request: text({ mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    rounds: text({ mode: 'json' }).$type<StoredRound[]>().notNull(),
    locks: text({ mode: 'json' }).$type<StoredLock[]>().notNull(),
    status: text({ enum: ['optimal', 'good', 'stopped-early', 'infeasible'] }).notNull(),
    objective: real().notNull(),
    bound: real().notNull(),
    edited: integer({ mode: 'boolean' }).notNull().default(false),
    /** Made by planning the whole term forward: a forecast that may be planned anew. */
    forecast: integer({ mode: 'boolean' }).notNull().default(false),
    playedAt: text(),
    version: integer().notNull().default(1),
    createdAt: text().notNull(),
  },
  (t) => [index('plans_date').on(t.date)],
);

export const gatherTicks = sqliteTable(
  'gather_ticks',
  {
    planId: text()
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    item: text().notNull(),
    tickedAt: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.planId, t.item] })],
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
  'games' | 'variants' | 'variantMaterials' | 'kinds' | 'ownSkills' | 'ownEdges' | 'frameworks' | 'expectations' | 'crosswalk';
export type UndoStep = { table: UndoTable; delete: Record<string, unknown> } | { table: UndoTable; put: Record<string, unknown> };

/** Answers already given to writes with an Idempotency-Key. */
export const idempotency = sqliteTable('idempotency', {
  key: text().primaryKey(),
  route: text().notNull(),
  status: integer().notNull(),
  body: text({ mode: 'json' }).notNull(),
  createdAt: text().notNull(),
});
