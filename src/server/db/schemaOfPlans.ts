import type { MissingSeats } from '../../core/planning/plannedMeeting';
import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

export interface StoredSeat {
  learner: string;
  variant: string;
  /** Frozen when the seat was given, so that it can be asked for months later. */
  why: string;
  /** The skill the seat was given for; null for company, absent in sessions of an earlier version. */
  skill?: string | null;
  /** The tool to lay out for this child; null for none. */
  tool?: string | null;
  /** The child whose seat it is, where two play it as partners. */
  with?: string;
}
export interface StoredTable {
  game: string;
  helper: boolean;
  /** A grown-up plays along. */
  grownUp?: boolean;
  /** The child to look at: that note would tell most. */
  lookFor?: string | null;
  seats: StoredSeat[];
}
export interface StoredRound {
  tables: StoredTable[];
  resting: string[];
  /** What those who rest without having asked for it can do; null: nothing that is played alone. */
  meanwhile?: { learner: string; variant: string | null }[];
}
export interface StoredLock {
  learner: string;
  round: number;
  game: string;
}

/** What a session was planned from, and what stood in the way when it could not be. */
export interface StoredRequest {
  date: string;
  present: string[];
  rounds: number;
  minutes: number;
  tables: number;
  helpers: number;
  seed?: number;
  seconds?: number;
  preparationMinutes?: number;
  resting?: { learner: string; round: number }[];
  timesEach?: number;
  withoutGames?: string[];
  grownUp?: boolean;
  everybody?: { round: number; game: string }[];
  missing?: MissingSeats | null;
  considered?: number | null;
}

export const plans = sqliteTable(
  'plans',
  {
    id: text().primaryKey(),
    date: text().notNull(),
    request: text({ mode: 'json' }).$type<StoredRequest>().notNull(),
    rounds: text({ mode: 'json' }).$type<StoredRound[]>().notNull(),
    locks: text({ mode: 'json' }).$type<StoredLock[]>().notNull(),
    status: text({ enum: ['optimal', 'good', 'stopped-early', 'partial', 'infeasible'] }).notNull(),
    objective: real().notNull(),
    bound: real().notNull(),
    edited: integer({ mode: 'boolean' }).notNull().default(false),
    /** Made by planning the whole term forward: a forecast that may be planned anew. */
    forecast: integer({ mode: 'boolean' }).notNull().default(false),
    playedAt: text(),
    version: integer().notNull().default(1),
    createdAt: text().notNull(),
    /** Stands on paper: whoever types it in finds the session again. Given once, in the order in which sessions were made. */
    number: integer().notNull().default(0),
  },
  (t) => [index('plans_date').on(t.date)],
);

export interface StoredAway {
  learners: string[];
  cost: number;
  lost: number;
  rounds: StoredRound[];
  unseated: number;
}
/** What to do when something goes wrong, worked out from a session as it stood at one version. */
export interface StoredPlanB {
  away: StoredAway[];
  without: { game: string; rounds: StoredRound[]; unseated: number }[];
  shorter: { count: number; minutes: number; rounds: StoredRound[]; unseated: number } | null;
}

export const planBs = sqliteTable('plan_bs', {
  planId: text()
    .primaryKey()
    .references(() => plans.id, { onDelete: 'cascade' }),
  version: integer().notNull(),
  answers: text({ mode: 'json' }).$type<StoredPlanB>().notNull(),
  madeOn: text().notNull(),
});

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
