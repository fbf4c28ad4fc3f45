import { readdirSync } from 'node:fs';
import { graphInUse } from '../../contract/graphInUse';
import { shippedFrameworks } from '../../contract/shippedFrameworks';
import { and, eq, isNull } from 'drizzle-orm';
import { checkBorn, readBirthMonth } from '../../core/content/readRoster';
import type { Accommodation } from '../../core/recommend/accommodations';
import type { Db, Tx } from '../db/db';
import { dataDirectory } from '../db/open';
import { evidence, frameworks, games, groups, idempotency, learners, memberships, plans } from '../db/schema';
import { everyField, notFound, refuse } from '../http/problemError';
import { freeId, sameVersion } from '../shelf/shelfStore';

export type LearnerRow = typeof learners.$inferSelect;
export interface LearnerInput {
  nickname?: string;
  born?: string;
  framework?: string;
  group?: string | null;
  permanentSupports?: string[];
  supportsInUse?: string[];
  actions?: string[];
  goals?: string[];
  withoutNorms?: boolean;
  accommodations?: Accommodation[];
  likings?: string[];
}

export function learnerById(db: Db | Tx, id: string): LearnerRow {
  const row = db.select().from(learners).where(eq(learners.id, id)).get();
  if (!row) throw notFound('learner', id);
  return row;
}

export function allLearners(db: Db): LearnerRow[] {
  return db
    .select()
    .from(learners)
    .all()
    .sort((x, y) => (x.born < y.born ? 1 : x.born > y.born ? -1 : x.nickname < y.nickname ? -1 : 1));
}

export function createLearner(db: Db, input: LearnerInput, today: string, now: string): { id: string } {
  return db.transaction((tx) => ({ id: insertLearner(tx, input, today, now) }));
}

export function insertLearner(tx: Tx, input: LearnerInput, today: string, now: string): string {
  const { nickname, born, framework, goals, likings } = everyField({
    nickname: () => nicknameOf(tx, input.nickname, null),
    born: () => bornOf(input.born, today),
    framework: () => frameworkOf(tx, input.framework ?? 'us'),
    goals: () => goalsOf(input.goals ?? []),
    likings: () => likingsOf(tx, input.likings ?? []),
  });
  const id = freeId(nickname, (x) => tx.select().from(learners).where(eq(learners.id, x)).get() !== undefined);
  tx.insert(learners)
    .values({
      id,
      nickname,
      born,
      framework,
      permanentSupports: input.permanentSupports ?? [],
      supportsInUse: input.supportsInUse ?? [],
      actions: input.actions ?? [],
      goals,
      withoutNorms: input.withoutNorms ?? false,
      accommodations: input.accommodations ?? [],
      likings,
      createdAt: now,
    })
    .run();
  if (input.group) join(tx, id, input.group, today);
  return id;
}

function nicknameOf(tx: Tx, asked: string | undefined, own: string | null): string {
  const nickname = asked?.trim().replace(/\s+/g, ' ') ?? '';
  if (nickname === '') throw refuse('malformed', 'The learner needs a nickname or initials.', 'nickname');
  if (nickname.length > 40) throw refuse('out-of-range', 'A nickname has at most 40 letters.', 'nickname');
  const twin = tx
    .select()
    .from(learners)
    .all()
    .find((l) => l.nickname.toLowerCase() === nickname.toLowerCase() && l.id !== own);
  if (twin) throw refuse('duplicate', `There is a "${twin.nickname}" already. Choose another nickname.`, 'nickname');
  return nickname;
}

function frameworkOf(tx: Tx, asked: string): string {
  if (!shippedFrameworks.some((f) => f.id === asked) && !tx.select().from(frameworks).where(eq(frameworks.id, asked)).get())
    throw refuse('unknown-value', `There is no framework "${asked}". Bring it in first.`, 'framework');
  return asked;
}

function goalsOf(asked: string[]): string[] {
  const unknown = asked.findIndex((id) => !graphInUse().indexOf.has(id));
  if (unknown >= 0) throw refuse('unknown-skill', `There is no skill "${asked[unknown]}".`, `goals.${unknown}`);
  return [...new Set(asked)];
}

function likingsOf(tx: Tx, asked: string[]): string[] {
  const unknown = asked.findIndex((id) => !tx.select().from(games).where(eq(games.id, id)).get());
  if (unknown >= 0) throw refuse('unknown-value', `There is no game "${asked[unknown]}".`, `likings.${unknown}`);
  return [...new Set(asked)];
}

function bornOf(asked: string | undefined, today: string): string {
  const born = asked ? readBirthMonth(asked) : null;
  if (!born) throw refuse('malformed', 'A birth month is needed, like 2019-09.', 'born');
  const wrong = checkBorn(born, today);
  if (wrong) throw refuse('out-of-range', wrong, 'born');
  return born;
}

/** Ends the membership that is open and starts another; the past stays on record. */
function join(tx: Tx, learnerId: string, title: string, today: string): void {
  let group = tx
    .select()
    .from(groups)
    .all()
    .find((g) => g.title.toLowerCase() === title.toLowerCase());
  if (!group) {
    group = { id: freeId(title, (x) => tx.select().from(groups).where(eq(groups.id, x)).get() !== undefined), title };
    tx.insert(groups).values(group).run();
  }
  const open = tx
    .select()
    .from(memberships)
    .where(and(eq(memberships.learnerId, learnerId), isNull(memberships.to)))
    .all();
  if (open.some((m) => m.groupId === group.id)) return;
  for (const m of open) tx.update(memberships).set({ to: today }).where(eq(memberships.id, m.id)).run();
  tx.insert(memberships).values({ id: crypto.randomUUID(), learnerId, groupId: group.id, from: today }).run();
}

export function groupOf(db: Db | Tx, learnerId: string, day: string): string | null {
  const row = db
    .select({ title: groups.title, from: memberships.from, to: memberships.to })
    .from(memberships)
    .innerJoin(groups, eq(groups.id, memberships.groupId))
    .where(eq(memberships.learnerId, learnerId))
    .all()
    .find((m) => m.from <= day && (m.to === null || m.to > day));
  return row?.title ?? null;
}

export function updateLearner(db: Db, id: string, input: LearnerInput, version: number, today: string): { id: string; version: number } {
  return db.transaction((tx) => {
    const before = learnerById(tx, id);
    sameVersion(before, version);
    const read = everyField({
      nickname: () => (input.nickname === undefined ? {} : { nickname: nicknameOf(tx, input.nickname, id) }),
      born: () => (input.born === undefined ? {} : { born: bornOf(input.born, today) }),
      framework: () => (input.framework === undefined ? {} : { framework: frameworkOf(tx, input.framework) }),
      goals: () => (input.goals === undefined ? {} : { goals: goalsOf(input.goals) }),
      likings: () => (input.likings === undefined ? {} : { likings: likingsOf(tx, input.likings) }),
    });
    tx.update(learners)
      .set({
        ...read.nickname,
        ...read.born,
        ...read.framework,
        ...read.goals,
        ...read.likings,
        ...(input.permanentSupports === undefined ? {} : { permanentSupports: input.permanentSupports }),
        ...(input.supportsInUse === undefined ? {} : { supportsInUse: input.supportsInUse }),
        ...(input.actions === undefined ? {} : { actions: input.actions }),
        ...(input.accommodations === undefined ? {} : { accommodations: input.accommodations }),
        ...(input.withoutNorms === undefined ? {} : { withoutNorms: input.withoutNorms }),
        version: before.version + 1,
      })
      .where(eq(learners.id, id))
      .run();
    if (input.group) join(tx, id, input.group, today);
    return { id, version: before.version + 1 };
  });
}

/** Everything about this child, as it stands in the database. */
export function exportLearner(db: Db, id: string): object {
  const learner = learnerById(db, id);
  return {
    format: 'zeitgeber-learner',
    version: 1,
    learner,
    memberships: db.select().from(memberships).where(eq(memberships.learnerId, id)).all(),
    evidence: db.select().from(evidence).where(eq(evidence.learnerId, id)).all(),
    plans: db
      .select()
      .from(plans)
      .all()
      .map((p) => ({
        id: p.id,
        date: p.date,
        seats: p.rounds.flatMap((r, round) =>
          r.tables.flatMap((t) =>
            t.seats.filter((s) => s.learner === id).map((s) => ({ round, game: t.game, variant: s.variant, why: s.why })),
          ),
        ),
      }))
      .filter((p) => p.seats.length > 0),
  };
}

/**
 * Truly erases a child: the row, all evidence and memberships, every seat in plans and every
 * stored answer that names the child. Backups on disk are named, since they still hold it.
 */
export function eraseLearner(db: Db, id: string, confirm: string): { erased: string; evidence: number; backups: string[] } {
  const counted = db.transaction((tx) => {
    const learner = learnerById(tx, id);
    if (confirm !== learner.nickname) throw refuse('malformed', `To erase, repeat the nickname: confirm=${learner.nickname}`, 'confirm');
    const rows = tx.select().from(evidence).where(eq(evidence.learnerId, id)).all().length;
    for (const p of tx.select().from(plans).all()) {
      const rounds = p.rounds.map((r) => ({
        tables: r.tables.map((t) => ({
          ...t,
          seats: t.seats.filter((s) => s.learner !== id).map((s) => ({ ...s, why: s.why.replaceAll(learner.nickname, 'another child') })),
        })),
        resting: r.resting.filter((l) => l !== id),
      }));
      const request = {
        ...p.request,
        ...(Array.isArray(p.request['present']) ? { present: (p.request['present'] as string[]).filter((l) => l !== id) } : {}),
      };
      tx.update(plans)
        .set({ rounds, request, locks: p.locks.filter((k) => k.learner !== id) })
        .where(eq(plans.id, p.id))
        .run();
    }
    for (const row of tx.select().from(idempotency).all())
      if (JSON.stringify(row.body).includes(id)) tx.delete(idempotency).where(eq(idempotency.key, row.key)).run();
    tx.delete(learners).where(eq(learners.id, id)).run();
    return rows;
  });
  db.$client.pragma('wal_checkpoint(TRUNCATE)');
  db.$client.exec('VACUUM');
  return { erased: id, evidence: counted, backups: readdirSync(dataDirectory()).filter((f) => f.startsWith('before-')) };
}
