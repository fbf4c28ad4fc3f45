import type { Body } from '../../contract/wire/route';
import type { skillsWire } from '../../contract/wire/skills';
import { and, eq } from 'drizzle-orm';
import { graphWith } from '../../contract/graphWith';
import { graphOf, renewGraph } from '../db/graphOf';
import { shippedGraph } from '../../contract/shippedData';
import type { PrerequisiteSort, Skill } from '../../core/skills/skill';
import { predicateProblem } from '../../core/skills/predicateProblem';
import type { Db, Tx } from '../db/db';
import { ownIn } from '../db/ownIn';
import { evidence, ownEdges, ownSkills } from '../db/schema';
import { notFound, ProblemError, refuse } from '../http/problemError';
import { freeId } from '../shared/freeId';
import { sameVersion, wrote } from '../shared/versions';
import { recordChange, stepBack } from '../undo/undo';

export type SkillInput = Body<(typeof skillsWire)['POST /skills']>;

const mostWords = 14;

/** Adds a skill of the owner's; the graph is checked as a whole, and nothing changes when it does not hold. */
export function addSkill(db: Db, input: SkillInput, now: string): { id: string; change: string } {
  return changing(db, (tx) => {
    const id = freeId(input.title, (x) => graphOf(db).indexOf.has(x));
    tx.insert(ownSkills)
      .values({ id, skill: skillOf(id, input), createdAt: now })
      .run();
    return { id, change: recordChange(tx, `Added the skill ${input.title.trim()}`, [{ table: 'ownSkills', delete: { id } }]) };
  });
}

export function changeSkill(db: Db, id: string, input: SkillInput, version: number): { id: string; version: number; change: string } {
  return changing(db, (tx) => {
    const row = ownById(tx, id);
    sameVersion(row, version);
    const after = { skill: skillOf(id, input), version: version + 1 };
    const done = tx
      .update(ownSkills)
      .set(after)
      .where(and(eq(ownSkills.id, id), eq(ownSkills.version, version)))
      .run();
    wrote(done, version, () => ownById(tx, id));
    return {
      id,
      version: version + 1,
      change: recordChange(tx, `Changed the skill ${row.skill.title}`, [stepBack('ownSkills', { id }, row, after)]),
    };
  });
}

/** Takes an own skill away, unless something was noted about it or builds on it. */
export function removeSkill(db: Db, id: string): { ok: true; change: string } {
  return changing(db, (tx) => {
    const row = ownById(tx, id);
    const noted = tx.select().from(evidence).where(eq(evidence.skill, id)).all().length;
    if (noted > 0)
      throw refuse('conflict', `Something was noted about this skill ${noted === 1 ? 'once' : `${noted} times`}, so it stays.`, 'id');
    const edges = tx.select().from(ownEdges).where(eq(ownEdges.skill, id)).all();
    tx.delete(ownSkills).where(eq(ownSkills.id, id)).run();
    tx.delete(ownEdges).where(eq(ownEdges.skill, id)).run();
    return {
      ok: true as const,
      change: recordChange(tx, `Took away the skill ${row.skill.title}`, [
        { table: 'ownSkills', put: row },
        ...edges.map((put) => ({ table: 'ownEdges' as const, put })),
      ]),
    };
  });
}

export function addEdge(db: Db, skill: string, needs: string, sort: PrerequisiteSort, now: string): { ok: true; change: string } {
  return changing(db, (tx) => {
    if (graphOf(db).skills[graphOf(db).indexOf.get(skill) ?? -1]?.prerequisites.some((p) => p.id === needs))
      throw refuse('duplicate', `"${skill}" needs "${needs}" already.`, 'needs');
    tx.insert(ownEdges).values({ skill, needs, sort, createdAt: now }).run();
    return { ok: true as const, change: recordChange(tx, 'Added a prerequisite', [{ table: 'ownEdges', delete: { skill, needs } }]) };
  });
}

export function removeEdge(db: Db, skill: string, needs: string): { ok: true; change: string } {
  return changing(db, (tx) => {
    const which = and(eq(ownEdges.skill, skill), eq(ownEdges.needs, needs));
    const row = tx.select().from(ownEdges).where(which).get();
    if (!row) throw refuse('not-found', 'Only a prerequisite that was added here can be taken away.', 'needs');
    tx.delete(ownEdges).where(which).run();
    return { ok: true as const, change: recordChange(tx, 'Took away a prerequisite', [{ table: 'ownEdges', put: row }]) };
  });
}

/** Own skills with their versions, and own prerequisites. */
export const ownList = (db: Db) => ({
  skills: db
    .select()
    .from(ownSkills)
    .all()
    .map((r) => ({ ...r.skill, version: r.version })),
  edges: ownIn(db).edges,
});

function ownById(tx: Tx, id: string): typeof ownSkills.$inferSelect {
  const row = tx.select().from(ownSkills).where(eq(ownSkills.id, id)).get();
  if (!row)
    throw shippedGraph().indexOf.has(id)
      ? refuse('forbidden', 'A shipped skill cannot be changed; add one of your own beside it.', 'id')
      : notFound('own skill', id);
  return row;
}

/** Makes a change, checks the whole graph, and only then lets it stand. */
function changing<T>(db: Db, change: (tx: Tx) => T): T {
  const result = db.transaction((tx) => {
    const value = change(tx);
    const next = ownIn(tx);
    const unknown = next.edges.find((e) => ![...shippedGraph().skills, ...next.skills].some((s) => s.id === e.skill));
    if (unknown) throw refuse('unknown-skill', `There is no skill "${unknown.skill}".`, 'skill');
    const built = graphWith(next);
    if (!built.ok) throw new ProblemError(built.problem);
    return value;
  });
  renewGraph(db);
  return result;
}

function skillOf(id: string, s: SkillInput): Skill {
  const title = s.title.trim();
  if (title === '') throw refuse('malformed', 'The skill needs a title.', 'title');
  if (!shippedGraph().strands.some((x) => x.id === s.strand)) throw refuse('unknown-value', `There is no line "${s.strand}".`, 'strand');
  if (s.predicate === null && !s.whyNoItems?.trim()) throw refuse('malformed', 'Say which items count, or why none can.', 'whyNoItems');
  const wrong = s.predicate === null ? null : predicateProblem(s.predicate);
  if (wrong) throw new ProblemError(wrong);
  for (const key of ['us', 'england'] as const)
    if (!(s.wantedAt[key] >= 3 && s.wantedAt[key] <= 14))
      throw refuse('out-of-range', 'The age at which it is usually wanted lies between 3 and 14.', `wantedAt.${key}`);
  return {
    id,
    title,
    short: s.short?.trim() || title.slice(0, mostWords),
    looksLike: s.looksLike.trim(),
    strand: s.strand,
    nature: s.nature,
    wantedAt: s.wantedAt,
    prerequisites: s.prerequisites ?? [],
    codes: s.codes ?? [],
    predicate: s.predicate,
    ...(s.whyNoItems ? { whyNoItems: s.whyNoItems } : {}),
    slips: s.slips ?? [],
  };
}
