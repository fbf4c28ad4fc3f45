import { asc, eq, sql } from 'drizzle-orm';
import { graphOf } from '../db/graphOf';
import { estimateMastery, goalSkills, type SkillEstimate } from '../../core/mastery/estimateMastery';
import { ageOn, type NotedItem } from '../../core/mastery/evidence';
import { knownOf, standingOn } from '../../core/mastery/standing';
import { leaningOn, type PacedWeek } from '../../core/recommend/leaning';
import { renewed } from '../../core/recommend/metInPlay';
import { localDay, momentOf } from '../../core/shared/moments';
import { learnerNeeds, type LearnerNeeds } from '../../core/recommend/learnerNeeds';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db, Tx } from '../db/db';
import { evidence, kinds, learners, variants } from '../db/schema';
import { notFound, refuse } from '../http/problemError';
import type { LearnerRow } from '../learners/learnerStore';
import { momentNow, zoneHere } from '../shared/clock';
import { asEvidence, type EvidenceRow } from './evidenceRow';
import { insertAll } from '../db/insertAll';
import { estimatesOf } from './learnerState';

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

/** What notes may name, looked up once for all of them. */
interface Known {
  readonly learners: ReadonlySet<string>;
  readonly variants: ReadonlySet<string>;
  readonly supports: ReadonlySet<string>;
  readonly skills: ReadonlyMap<string, number>;
}

function knownIn(tx: Tx): Known {
  return {
    learners: new Set(
      tx
        .select({ id: learners.id })
        .from(learners)
        .all()
        .map((l) => l.id),
    ),
    variants: new Set(
      tx
        .select({ id: variants.id })
        .from(variants)
        .all()
        .map((v) => v.id),
    ),
    supports: new Set([
      ...helpWithoutThings,
      ...tx
        .select({ id: kinds.id })
        .from(kinds)
        .all()
        .map((k) => k.id),
    ]),
    skills: graphOf(tx).indexOf,
  };
}

/** Adds observations, all or none. @throws unknown learners, skills, versions and supports; what lies in the future; counts that cannot be. */
export function addEvidence(db: Db, inputs: readonly EvidenceInput[], today: string, now: string): { ids: string[] } {
  return db.transaction((tx) => {
    const known = knownIn(tx);
    const last = tx
      .select({ n: sql<number>`coalesce(max(${evidence.sequence}), 0)` })
      .from(evidence)
      .get()!.n;
    const recordedAt = momentNow();
    const rows = inputs.map((input, i) => ({
      ...rowOf(known, input, today, now, inputs.length > 1 ? `items.${i}.` : ''),
      sequence: last + 1 + i,
      recordedAt,
    }));
    insertAll(tx, evidence, rows);
    return { ids: rows.map((r) => r.id) };
  });
}

function rowOf(known: Known, e: EvidenceInput, today: string, now: string, prefix: string) {
  if (!known.learners.has(e.learner)) throw notFound('learner', e.learner);
  if (!known.skills.has(e.skill)) throw refuse('unknown-skill', `There is no skill "${e.skill}".`, `${prefix}skill`);
  const at = momentOf(e.at ?? now, zoneHere());
  if (at === null) throw refuse('malformed', `"${e.at}" is not a moment like 2026-11-10T10:35:00Z.`, `${prefix}at`);
  if (localDay(at, zoneHere()) > today) throw refuse('in-the-future', `${e.at} lies after today, ${today}.`, `${prefix}at`);
  const sheet = e.total !== undefined;
  if (!sheet && e.result === undefined)
    throw refuse('malformed', 'Say stuck, support or alone, or how many of how many.', `${prefix}result`);
  if (sheet && e.result !== undefined) throw refuse('malformed', 'Give a result or a count, not both.', `${prefix}result`);
  if (sheet && (e.correct === undefined || e.correct > e.total!))
    throw refuse('out-of-range', `${e.correct ?? 'nothing'} right of ${e.total} cannot be.`, `${prefix}correct`);
  if (e.support !== undefined && !known.supports.has(e.support))
    throw refuse('unknown-value', `"${e.support}" is not a support or material known here.`, `${prefix}support`);
  if (e.variant !== undefined && !known.variants.has(e.variant))
    throw refuse('unknown-value', `There is no version "${e.variant}".`, `${prefix}variant`);
  return {
    id: crypto.randomUUID() as string,
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
    byRole: e.by?.role ?? ('organiser' as const),
    byOwnChild: e.by?.ownChild ?? false,
  };
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

/** Takes an observation back without erasing it. */
export function retractEvidence(db: Db, id: string, because: string, now: string): { id: string } {
  const row = db.select().from(evidence).where(eq(evidence.id, id)).get();
  if (!row) throw notFound('observation', id);
  if (row.retractedAt) throw refuse('conflict', 'This observation was taken back already.', 'id');
  db.update(evidence).set({ retractedAt: now, retractedBecause: because }).where(eq(evidence.id, id)).run();
  return { id };
}

export function evidenceOf(db: Db, learnerId: string): EvidenceRow[] {
  return db.select().from(evidence).where(eq(evidence.learnerId, learnerId)).orderBy(asc(evidence.sequence)).all();
}

/** A learner's map on a day, from everything noted and not taken back; the steps that lead to an estimate come with `explainedMastery`. */
export function masteryOf(db: Db, learner: LearnerRow, today: string): SkillEstimate[] {
  return estimatesOf(db, learner, today);
}

/** The same with each estimate's steps, from the first note on, leaving out some if asked. */
export function explainedMastery(db: Db, learner: LearnerRow, today: string, without?: (row: EvidenceRow) => boolean): SkillEstimate[] {
  const rows = evidenceOf(db, learner.id).filter((r) => r.retractedAt === null && !without?.(r));
  return estimateMastery(graphOf(db), learner, rows.map(asEvidence), today);
}

export function needsOf(
  graph: SkillGraph,
  learner: LearnerRow,
  estimates: readonly SkillEstimate[],
  today: string,
  /** Day each skill was last met in play, by index. */
  met?: ReadonlyMap<number, string>,
  pacing: readonly PacedWeek[] = [],
): LearnerNeeds {
  return learnerNeeds(
    graph,
    {
      id: learner.id,
      nickname: learner.nickname,
      age: ageOn(learner.born, today),
      framework: learner.framework,
      goals: goalSkills(graph, learner),
      withoutNorms: learner.withoutNorms,
      accommodations: learner.accommodations,
      likings: learner.likings,
      keeps: learner.permanentSupports,
      leaning: leaningOn(pacing, today, learner.framework),
      supported: learner.supportsInUse.length > 0 || learner.permanentSupports.length > 0,
    },
    met
      ? standingOn(
          graph,
          renewed(
            estimates.map((e) => e.standing),
            met,
          ),
          today,
        )
      : knownOf(estimates),
  );
}
