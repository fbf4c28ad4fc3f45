import { and, eq, sql } from 'drizzle-orm';
import { graphInUse } from '../../contract/graphInUse';
import { estimateMastery, goalSkills, type SkillEstimate } from '../../core/mastery/estimateMastery';
import { ageOn, type Evidence, type NotedItem } from '../../core/mastery/evidence';
import { momentOf } from '../../core/shared/momentOf';
import { learnerNeeds, type LearnerNeeds } from '../../core/recommend/learnerNeeds';
import type { Db, Tx } from '../db/db';
import { evidence, kinds, variants } from '../db/schema';
import { notFound, refuse } from '../http/problemError';
import { learnerById, type LearnerRow } from '../learners/learnerStore';

export type EvidenceRow = typeof evidence.$inferSelect;
export interface EvidenceInput {
  learner: string;
  at?: string;
  kind: EvidenceRow['kind'];
  skill: string;
  result?: 'stuck' | 'support' | 'alone';
  correct?: number;
  total?: number;
  how?: 'counted-all' | 'counted-on' | 'worked-out' | 'knew';
  support?: string;
  variant?: string;
  session?: string;
  items?: NotedItem[];
  by?: { role: 'organiser' | 'helper' | 'parent'; ownChild?: boolean };
  source?: 'csv' | 'xapi';
  seconds?: number;
}

/** Adds observations, all or none. */
export function addEvidence(db: Db, inputs: readonly EvidenceInput[], today: string, now: string): { ids: string[] } {
  return db.transaction((tx) => ({ ids: inputs.map((input, i) => addOne(tx, input, today, now, inputs.length > 1 ? `items.${i}.` : '')) }));
}

function addOne(tx: Tx, e: EvidenceInput, today: string, now: string, prefix: string): string {
  learnerById(tx, e.learner);
  if (!graphInUse().indexOf.has(e.skill)) throw refuse('unknown-skill', `There is no skill "${e.skill}".`, `${prefix}skill`);
  const at = momentOf(e.at ?? now);
  if (at === null) throw refuse('malformed', `"${e.at}" is not a moment like 2026-11-10T10:35:00Z.`, `${prefix}at`);
  if (at.slice(0, 10) > today) throw refuse('in-the-future', `${e.at} lies after today, ${today}.`, `${prefix}at`);
  const sheet = e.total !== undefined;
  if (!sheet && e.result === undefined)
    throw refuse('malformed', 'Say stuck, support or alone, or how many of how many.', `${prefix}result`);
  if (sheet && e.result !== undefined) throw refuse('malformed', 'Give a result or a count, not both.', `${prefix}result`);
  if (sheet && (e.correct === undefined || e.correct > e.total!))
    throw refuse('out-of-range', `${e.correct ?? 'nothing'} right of ${e.total} cannot be.`, `${prefix}correct`);
  if (e.support !== undefined && !isSupport(tx, e.support))
    throw refuse('unknown-value', `"${e.support}" is not a support or material known here.`, `${prefix}support`);
  if (e.variant !== undefined && !tx.select().from(variants).where(eq(variants.id, e.variant)).get())
    throw refuse('unknown-value', `There is no variant "${e.variant}".`, `${prefix}variant`);
  const id = crypto.randomUUID();
  const last = tx
    .select({ n: sql<number>`coalesce(max(${evidence.sequence}), 0)` })
    .from(evidence)
    .get()!.n;
  tx.insert(evidence)
    .values({
      id,
      sequence: last + 1,
      learnerId: e.learner,
      at,
      kind: e.kind,
      skill: e.skill,
      result: e.result ?? null,
      correct: e.correct ?? null,
      total: e.total ?? null,
      how: e.how ?? null,
      support: e.support ?? null,
      variantId: e.variant ?? null,
      planId: e.session ?? null,
      items: e.items ?? [],
      source: e.source ?? null,
      seconds: e.seconds ?? null,
      byRole: e.by?.role ?? 'organiser',
      byOwnChild: e.by?.ownChild ?? false,
      recordedAt: new Date().toISOString(),
    })
    .run();
  return id;
}

/** Supports that are not things in the cupboard. */
export const helpWithoutThings = [
  'fingers',
  'hint',
  'list-of-facts',
  'writing-steps',
  'reading-aloud',
  'extra-time',
  'adult-beside',
] as const;

function isSupport(tx: Tx, id: string): boolean {
  return (helpWithoutThings as readonly string[]).includes(id) || tx.select().from(kinds).where(eq(kinds.id, id)).get() !== undefined;
}

/** Takes an observation back without erasing it. */
export function retractEvidence(db: Db, id: string, because: string, now: string): { id: string } {
  const row = db.select().from(evidence).where(eq(evidence.id, id)).get();
  if (!row) throw notFound('observation', id);
  if (row.retractedAt) throw refuse('conflict', 'This observation was taken back already.', 'id');
  db.update(evidence).set({ retractedAt: now, retractedBecause: because }).where(eq(evidence.id, id)).run();
  return { id };
}

export function evidenceOf(db: Db, learnerId: string): EvidenceRow[] {
  return db
    .select()
    .from(evidence)
    .where(and(eq(evidence.learnerId, learnerId)))
    .all()
    .sort((x, y) => x.sequence - y.sequence);
}

export const asEvidence = (row: EvidenceRow): Evidence => ({
  id: row.id,
  at: row.at,
  kind: row.kind,
  skill: row.skill,
  result: row.result,
  correct: row.correct,
  total: row.total,
  how: row.how,
  support: row.support,
  items: row.items,
  by: { role: row.byRole, ownChild: row.byOwnChild },
});

/** A learner's map on a day, from everything noted and not taken back (leaving out some, if asked). */
export function masteryOf(db: Db, learner: LearnerRow, today: string, without?: (row: EvidenceRow) => boolean): SkillEstimate[] {
  const rows = evidenceOf(db, learner.id).filter((r) => r.retractedAt === null && !without?.(r));
  return estimateMastery(graphInUse(), learner, rows.map(asEvidence), today);
}

export function needsOf(learner: LearnerRow, estimates: readonly SkillEstimate[], today: string): LearnerNeeds {
  return learnerNeeds(
    graphInUse(),
    {
      id: learner.id,
      nickname: learner.nickname,
      age: ageOn(learner.born, today),
      framework: learner.framework,
      goals: goalSkills(graphInUse(), learner),
      withoutNorms: learner.withoutNorms,
      accommodations: learner.accommodations,
      likings: learner.likings,
      supported: learner.supportsInUse.length > 0 || learner.permanentSupports.length > 0,
    },
    Float64Array.from(estimates, (e) => e.mastery),
    Uint8Array.from(estimates, (e) => (e.dueForReview ? 1 : 0)),
  );
}
