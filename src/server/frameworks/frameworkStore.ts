import { and, eq } from 'drizzle-orm';
import type { Answer, Kept } from '../../contract/wire/route';
import type { ExpectationWire, FrameworkWire, frameworksWire } from '../../contract/wire/skills';
import { type CasePackage, writeCase } from '../../core/frameworks/writeCase';
import { graphOf, renewGraph } from '../db/graphOf';
import { paraphrases, shippedFrameworks } from '../../contract/shippedFrameworks';
import { type MatchIndex, matchIndex, proposeMatches } from '../../core/frameworks/proposeMatches';
import { readCase, skillUri } from '../../core/frameworks/readCase';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { crosswalk, expectations, frameworks, learners } from '../db/schema';
import { shortened } from '../../core/content/names';
import { notFound, ProblemError, refuse } from '../http/problemError';
import { uuidOf } from '../shared/uuidOf';
import { recordChange } from '../undo/undo';

/** All frameworks: the shipped ones, then those brought in, with how many expectations are tied to skills. */
export function frameworkList(db: Db): Kept<FrameworkWire>[] {
  const graph = graphOf(db);
  const reached = new Set(graph.skills.flatMap((s) => s.codes));
  const shipped = shippedFrameworks.map((f) => ({
    id: f.id,
    title: f.title,
    creator: f.creator,
    licence: null,
    notes: f.notes,
    shipped: true,
    expectations: f.expectations.length,
    tied: f.expectations.filter((e) => reached.has(e.code)).length,
  }));
  const own = db
    .select()
    .from(frameworks)
    .all()
    .map((f) => {
      const all = db.select().from(expectations).where(eq(expectations.frameworkId, f.id)).all().length;
      const tied = new Set(
        db
          .select()
          .from(crosswalk)
          .where(eq(crosswalk.frameworkId, f.id))
          .all()
          .map((r) => r.identifier),
      ).size;
      return { id: f.id, title: f.title, creator: f.creator, licence: f.licence, notes: '', shipped: false, expectations: all, tied };
    });
  return [...shipped, ...own];
}

let index: { graph: SkillGraph; value: MatchIndex } | null = null;
function indexFor(graph: SkillGraph): MatchIndex {
  if (index?.graph !== graph) index = { graph, value: matchIndex(graph, paraphrases) };
  return index.value;
}

/** Expectations of one framework with the skills they are tied to, and proposals where they are tied to none. */
export function frameworkItems(db: Db, id: string): Kept<ExpectationWire>[] {
  const graph = graphOf(db);
  const shipped = shippedFrameworks.find((f) => f.id === id);
  if (shipped)
    return shipped.expectations.map((e) => ({
      identifier: e.code,
      code: e.code,
      statement: e.paraphrase,
      band: e.grade,
      skills: graph.skills.filter((s) => s.codes.includes(e.code)).map((s) => ({ skill: s.id, relation: 'same' as const })),
      proposals: [],
    }));
  const f = rowOf(db, id);
  const reading = readCase(f.source);
  const external = reading.ok ? reading.value.external : new Map<string, readonly string[]>();
  const accepted = db.select().from(crosswalk).where(eq(crosswalk.frameworkId, id)).all();
  return db
    .select()
    .from(expectations)
    .where(eq(expectations.frameworkId, id))
    .all()
    .sort((x, y) => x.position - y.position)
    .map((e) => {
      const skills = accepted.filter((a) => a.identifier === e.identifier).map((a) => ({ skill: a.skill, relation: a.relation }));
      return {
        identifier: e.identifier,
        code: e.code,
        statement: e.statement,
        band: e.band,
        skills,
        proposals: skills.length > 0 ? [] : proposeMatches(graph, indexFor(graph), e.code, e.statement, external.get(e.identifier) ?? []),
      };
    });
}

/** Shows what a package holds; with `commit` brings it in, replacing the same document, or changes nothing. */
export function importCase(
  db: Db,
  text: string,
  commit: boolean,
  now: string,
): Kept<Answer<(typeof frameworksWire)['POST /imports/framework']>> {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    throw refuse('malformed', `This is no JSON: ${error instanceof Error ? error.message : ''}`, 'text');
  }
  const read = readCase(raw);
  if (!read.ok) throw new ProblemError({ ...read.problem, message: `${shortened(read.problem.message)} Nothing was brought in.` }, 422);
  const f = read.value;
  const own = shippedFrameworks.find((s) => uuidOf(`${s.uri}/CFDocuments/${s.id}`) === f.id);
  if (own) throw refuse('duplicate', `“${own.title}” came with the app and is here already, tied to its skills.`, 'text');
  const graph = graphOf(db);
  const ties = f.ties.filter((t) => graph.indexOf.has(t.skill));
  if (commit)
    db.transaction((tx) => {
      // The crosswalk of the document it replaces stays where the expectation is still there.
      const kept = tx.select().from(crosswalk).where(eq(crosswalk.frameworkId, f.id)).all();
      tx.delete(frameworks).where(eq(frameworks.id, f.id)).run();
      tx.insert(frameworks)
        .values({ id: f.id, title: f.title, creator: f.creator, licence: f.licence, source: { ...f.source }, createdAt: now })
        .run();
      f.expectations.forEach((e, position) =>
        tx
          .insert(expectations)
          .values({ frameworkId: f.id, ...e, position })
          .run(),
      );
      const there = new Set(f.expectations.map((e) => e.identifier));
      for (const k of kept) if (there.has(k.identifier)) tx.insert(crosswalk).values(k).run();
      for (const t of ties)
        tx.insert(crosswalk)
          .values({ frameworkId: f.id, ...t, acceptedAt: now })
          .onConflictDoNothing()
          .run();
    });
  if (commit) renewGraph(db);
  return {
    committed: commit,
    id: f.id,
    title: f.title,
    creator: f.creator,
    expectations: f.expectations.length,
    remarks: [
      ...f.remarks,
      ...(ties.length > 0 ? [`${ties.length} ties to skills come with it.`] : []),
      ...(ties.length < f.ties.length ? [`${f.ties.length - ties.length} ties lead to skills that are not here and are left out.`] : []),
    ],
    sample: f.expectations.slice(0, 8).map((e) => ({ code: e.code, statement: e.statement, band: e.band })),
  };
}

/** Takes a framework away that nobody goes by, with its ties; one step brings all of it back. */
export function removeFramework(db: Db, id: string): { ok: true; change: string } {
  const row = rowOf(db, id);
  const followers = db.select().from(learners).where(eq(learners.framework, id)).all();
  if (followers.length > 0)
    throw refuse(
      'conflict',
      `${followers.map((l) => l.nickname).join(', ')} ${followers.length === 1 ? 'goes' : 'go'} by this framework. Choose another for them first.`,
      'id',
    );
  const change = db.transaction((tx) => {
    const items = tx.select().from(expectations).where(eq(expectations.frameworkId, id)).all();
    const ties = tx.select().from(crosswalk).where(eq(crosswalk.frameworkId, id)).all();
    tx.delete(frameworks).where(eq(frameworks.id, id)).run();
    return recordChange(tx, `Took away the framework ${row.title}`, [
      { table: 'frameworks', put: row },
      ...items.map((put) => ({ table: 'expectations' as const, put })),
      ...ties.map((put) => ({ table: 'crosswalk' as const, put })),
    ]);
  });
  renewGraph(db);
  return { ok: true, change };
}

/** Ties an expectation to a skill, or lets go of it. */
export function tie(
  db: Db,
  id: string,
  ties: readonly { identifier: string; skill: string; relation: 'same' | 'related' | null }[],
  now: string,
): { ok: true } {
  rowOf(db, id);
  db.transaction((tx) => {
    for (const [i, t] of ties.entries()) {
      if (!graphOf(db).indexOf.has(t.skill)) throw refuse('unknown-skill', `There is no skill "${t.skill}".`, `ties.${i}.skill`);
      if (
        !tx
          .select()
          .from(expectations)
          .where(and(eq(expectations.frameworkId, id), eq(expectations.identifier, t.identifier)))
          .get()
      )
        throw refuse('unknown-value', `There is no expectation "${t.identifier}" in this framework.`, `ties.${i}.identifier`);
      tx.delete(crosswalk)
        .where(and(eq(crosswalk.frameworkId, id), eq(crosswalk.identifier, t.identifier), eq(crosswalk.skill, t.skill)))
        .run();
      if (t.relation)
        tx.insert(crosswalk)
          .values({ frameworkId: id, identifier: t.identifier, skill: t.skill, relation: t.relation, acceptedAt: now })
          .run();
    }
  });
  renewGraph(db);
  return { ok: true };
}

/** The package as CASE 1.0 JSON: a shipped one written anew, one brought in as it came, with the accepted ties added. */
export function exportCase(db: Db, id: string): CasePackage {
  const graph = graphOf(db);
  const shipped = shippedFrameworks.find((f) => f.id === id);
  if (shipped) {
    const own = new Set(shipped.expectations.map((e) => e.code));
    const first = (codes: readonly string[]): string | undefined => codes.find((c) => own.has(c));
    const pairs = new Set<string>();
    for (const s of graph.skills) {
      for (const p of s.prerequisites) {
        const a = first(graph.skills[graph.indexOf.get(p.id)!]!.codes);
        const b = first(s.codes);
        const [ia, ib] = [a, b].map((c) => shipped.expectations.findIndex((e) => e.code === c));
        // Only forward in the list, so that the file holds no circle.
        if (a && b && ia! < ib!) pairs.add(`${a}|${b}`);
      }
    }
    return writeCase(
      shipped,
      [...pairs].map((x) => x.split('|') as [string, string]),
      uuidOf,
      '2026-01-01T00:00:00+00:00',
    );
  }
  const f = rowOf(db, id);
  const ties = db.select().from(crosswalk).where(eq(crosswalk.frameworkId, id)).all();
  const source = f.source as unknown as CasePackage;
  if (ties.length === 0) return source;
  const all = new Map(
    db
      .select()
      .from(expectations)
      .where(eq(expectations.frameworkId, id))
      .all()
      .map((e) => [e.identifier, e]),
  );
  const added = ties.map((t) => {
    const [origin, destination] = [`urn:zeitgeber:items:${t.identifier}`, `${skillUri}${t.skill}`];
    const uri = `urn:zeitgeber:ties:${t.identifier}:${t.skill}`;
    return {
      identifier: uuidOf(uri),
      uri,
      associationType: t.relation === 'same' ? 'exactMatchOf' : 'isRelatedTo',
      originNodeURI: { title: all.get(t.identifier)!.code, identifier: t.identifier, uri: origin },
      destinationNodeURI: { title: t.skill, identifier: uuidOf(destination), uri: destination },
      lastChangeDateTime: t.acceptedAt,
    };
  });
  return { ...source, CFAssociations: [...(source.CFAssociations ?? []), ...added] };
}

function rowOf(db: Db, id: string): typeof frameworks.$inferSelect {
  if (shippedFrameworks.some((f) => f.id === id))
    throw refuse('forbidden', 'A shipped framework is tied to skills by its codes and cannot be changed.', 'id');
  const row = db.select().from(frameworks).where(eq(frameworks.id, id)).get();
  if (!row) throw notFound('framework', id);
  return row;
}
