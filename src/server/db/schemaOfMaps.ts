import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Skill } from '../../core/skills/skill';

/** Frameworks that were brought in; the two shipped ones stand in data files. */
export const frameworks = sqliteTable('frameworks', {
  id: text().primaryKey(),
  title: text().notNull(),
  creator: text().notNull(),
  licence: text(),
  /** The package as it came, for export without loss. */
  source: text({ mode: 'json' }).$type<Record<string, unknown>>().notNull(),
  createdAt: text().notNull(),
});

/** One expectation of a framework that was brought in. */
export const expectations = sqliteTable(
  'expectations',
  {
    frameworkId: text()
      .notNull()
      .references(() => frameworks.id, { onDelete: 'cascade' }),
    identifier: text().notNull(),
    code: text().notNull(),
    statement: text().notNull(),
    band: text(),
    parent: text(),
    position: integer().notNull(),
  },
  (t) => [primaryKey({ columns: [t.frameworkId, t.identifier] })],
);

/** Which skills an expectation stands for, as accepted by the owner. */
export const crosswalk = sqliteTable(
  'crosswalk',
  {
    frameworkId: text()
      .notNull()
      .references(() => frameworks.id, { onDelete: 'cascade' }),
    identifier: text().notNull(),
    skill: text().notNull(),
    relation: text({ enum: ['same', 'related'] }).notNull(),
    acceptedAt: text().notNull(),
  },
  (t) => [primaryKey({ columns: [t.frameworkId, t.identifier, t.skill] })],
);

/** Skills the owner added, and prerequisites added to shipped ones. */
export const ownSkills = sqliteTable('own_skills', {
  id: text().primaryKey(),
  skill: text({ mode: 'json' }).$type<Skill>().notNull(),
  version: integer().notNull().default(1),
  createdAt: text().notNull(),
});
export const ownEdges = sqliteTable(
  'own_edges',
  { skill: text().notNull(), needs: text().notNull(), sort: text({ enum: ['idea', 'heart'] }).notNull(), createdAt: text().notNull() },
  (t) => [primaryKey({ columns: [t.skill, t.needs] })],
);
