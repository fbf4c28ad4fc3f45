import { graphOf } from '../db/graphOf';
import { shippedFrameworks } from '../../contract/shippedFrameworks';
import { and, eq, isNull } from 'drizzle-orm';
import type { learnersWire } from '../../contract/wire/learners';
import type { Answer, Body, Kept } from '../../contract/wire/route';
import { readBirthMonth } from '../../core/content/birthMonth';
import { checkBorn } from '../../core/content/readRoster';
import { cleanName, nameKey, sameName } from '../../core/content/names';
import type { Db, Tx } from '../db/db';
import { evidence, frameworks, games, groups, learners, memberships, plans } from '../db/schema';
import { everyField, notFound, refuse } from '../http/problemError';
import { freeId, idGiver } from '../shared/freeId';
import { insertAll } from '../db/insertAll';
import { sameVersion, wrote } from '../shared/versions';

export type LearnerRow = typeof learners.$inferSelect;
export type LearnerInput = Partial<Body<(typeof learnersWire)['POST /learners']>>;

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
  return db.transaction((tx) => ({ id: insertLearners(tx, [input], today, now)[0]! }));
}

/** Adds learners, each checked against those that are here and those before it; what is here is read once. */
export function insertLearners(tx: Tx, inputs: readonly LearnerInput[], today: string, now: string): string[] {
  const here = tx.select({ id: learners.id, nickname: learners.nickname }).from(learners).all();
  const taken = new Map(here.map((l) => [keyOf(l.nickname), l.nickname]));
  const giveId = idGiver(here.map((l) => l.id));
  const groupOf = new Map<string, string>();
  const rows: (typeof learners.$inferInsert)[] = [];
  const joined: (typeof memberships.$inferInsert)[] = [];
  for (const input of inputs) {
    const { nickname, born, framework, goals, likings } = everyField({
      nickname: () => nicknameOf(input.nickname, taken),
      born: () => bornOf(input.born, today),
      framework: () => frameworkOf(tx, input.framework ?? 'us'),
      goals: () => goalsOf(tx, input.goals ?? []),
      likings: () => likingsOf(tx, input.likings ?? []),
    });
    const id = giveId(nickname);
    taken.set(keyOf(nickname), nickname);
    rows.push({
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
    });
    const title = cleanName(input.group ?? '');
    if (title === '') continue;
    const groupId = groupOf.get(title) ?? groupNamed(tx, title).id;
    groupOf.set(title, groupId);
    joined.push({ id: crypto.randomUUID(), learnerId: id, groupId, from: today });
  }
  insertAll(tx, learners, rows);
  insertAll(tx, memberships, joined);
  return rows.map((row) => row.id);
}

const mostLetters = 40;

function nicknameOf(asked: string | undefined, taken: ReadonlyMap<string, string>): string {
  const nickname = cleanName(asked ?? '');
  if (nickname === '') throw refuse('malformed', 'The learner needs a nickname or initials.', 'nickname');
  if ([...nickname].length > mostLetters) throw refuse('out-of-range', `A nickname has at most ${mostLetters} letters.`, 'nickname');
  const twin = taken.get(keyOf(nickname));
  if (twin !== undefined) throw refuse('duplicate', `The nickname "${twin}" is taken. Choose another.`, 'nickname');
  return nickname;
}

/** Nicknames of everybody else, by what they are compared by. */
const othersThan = (tx: Tx, id: string): Map<string, string> =>
  new Map(
    tx
      .select({ id: learners.id, nickname: learners.nickname })
      .from(learners)
      .all()
      .flatMap((l) => (l.id === id ? [] : [[keyOf(l.nickname), l.nickname] as const])),
  );

/** A nickname of signs alone is compared as it stands. */
const keyOf = (nickname: string): string => nameKey(nickname) || nickname;

function frameworkOf(tx: Tx, asked: string): string {
  if (!shippedFrameworks.some((f) => f.id === asked) && !tx.select().from(frameworks).where(eq(frameworks.id, asked)).get())
    throw refuse('unknown-value', `There is no framework "${asked}". Bring it in first.`, 'framework');
  return asked;
}

function goalsOf(tx: Tx, asked: string[], kept: readonly string[] = []): string[] {
  // What was taken away since does not lock the form: it goes when the list is written next.
  const gone = new Set(kept.filter((id) => !graphOf(tx).indexOf.has(id)));
  const unknown = asked.findIndex((id) => !graphOf(tx).indexOf.has(id) && !gone.has(id));
  if (unknown >= 0) throw refuse('unknown-skill', `There is no skill "${asked[unknown]}".`, `goals.${unknown}`);
  return [...new Set(asked)].filter((id) => !gone.has(id));
}

function likingsOf(tx: Tx, asked: string[], kept: readonly string[] = []): string[] {
  if (asked.length === 0) return [];
  const there = new Set(
    tx
      .select({ id: games.id })
      .from(games)
      .all()
      .map((g) => g.id),
  );
  const gone = new Set(kept.filter((id) => !there.has(id)));
  const unknown = asked.findIndex((id) => !there.has(id) && !gone.has(id));
  if (unknown >= 0) throw refuse('unknown-value', `There is no game "${asked[unknown]}".`, `likings.${unknown}`);
  return [...new Set(asked)].filter((id) => !gone.has(id));
}

function bornOf(asked: string | undefined, today: string): string {
  const born = asked ? readBirthMonth(asked) : null;
  if (!born) throw refuse('malformed', 'A birth month is needed, like 2019-09.', 'born');
  const wrong = checkBorn(born, today);
  if (wrong) throw refuse('out-of-range', wrong, 'born');
  return born;
}

/** Ends the membership that is open and starts another, or none; the past stays on record. */
function join(tx: Tx, learnerId: string, asked: string | null, today: string): void {
  const title = cleanName(asked ?? '');
  const open = tx
    .select()
    .from(memberships)
    .where(and(eq(memberships.learnerId, learnerId), isNull(memberships.to)))
    .all();
  const group = title === '' ? null : groupNamed(tx, title);
  if (group && open.some((m) => m.groupId === group.id)) return;
  for (const m of open) tx.update(memberships).set({ to: today }).where(eq(memberships.id, m.id)).run();
  if (group) tx.insert(memberships).values({ id: crypto.randomUUID(), learnerId, groupId: group.id, from: today }).run();
}

function groupNamed(tx: Tx, title: string): typeof groups.$inferSelect {
  const known = tx
    .select()
    .from(groups)
    .all()
    .find((g) => sameName(g.title, title));
  if (known) return known;
  const group = { id: freeId(title, (x) => tx.select().from(groups).where(eq(groups.id, x)).get() !== undefined), title };
  tx.insert(groups).values(group).run();
  return group;
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
      nickname: () => (input.nickname === undefined ? {} : { nickname: nicknameOf(input.nickname, othersThan(tx, id)) }),
      born: () => (input.born === undefined ? {} : { born: bornOf(input.born, today) }),
      framework: () => (input.framework === undefined ? {} : { framework: frameworkOf(tx, input.framework) }),
      goals: () => (input.goals === undefined ? {} : { goals: goalsOf(tx, input.goals, before.goals) }),
      likings: () => (input.likings === undefined ? {} : { likings: likingsOf(tx, input.likings, before.likings) }),
    });
    const done = tx
      .update(learners)
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
      .where(and(eq(learners.id, id), eq(learners.version, version)))
      .run();
    wrote(done, version, () => learnerById(tx, id));
    if (input.group !== undefined) join(tx, id, input.group, today);
    return { id, version: before.version + 1 };
  });
}

/** Everything about this child, as it stands in the database. */
export function exportLearner(db: Db, id: string): Kept<Answer<(typeof learnersWire)['GET /learners/{id}/export']>> {
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
