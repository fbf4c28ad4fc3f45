import { createHash } from 'node:crypto';
import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { mapOf, readMap, type SkillEstimate } from '../../core/mastery/estimateMastery';
import { type MapState, seeEvidence } from '../../core/mastery/mapState';
import { ESTIMATOR, packState, unpackState } from '../../core/mastery/packState';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { evidence, learnerStates } from '../db/schema';
import { keptWhile, notesStamp } from '../db/stamps';
import type { LearnerRow } from '../learners/learnerStore';
import { zoneHere } from '../shared/clock';
import { asEvidence, type EvidenceRow } from './evidenceRow';

/** What was taken in of a learner's notes: (state, note → state), so that no page replays years. */
interface Kept {
  readonly stamp: string;
  /** Notes that stand, and the last of them by the order of writing. */
  readonly notes: number;
  readonly lastSequence: number;
  /** The latest in time: an earlier one that comes later means starting anew. */
  readonly latest: string;
  readonly state: MapState;
  /** What was read off it last. */
  read?: { readonly today: string; readonly facts: string; readonly estimates: SkillEstimate[] };
}

/** By connection and learner. */
const keptOf = new WeakMap<object, Map<string, Kept>>();
/** A state is written down when it has grown by so many notes. */
const writeEvery = 20;

const graphStamps = new WeakMap<SkillGraph, string>();
function stampOf(graph: SkillGraph, l: LearnerRow): string {
  let skills = graphStamps.get(graph);
  if (skills === undefined) {
    skills = createHash('sha256').update(JSON.stringify(graph.skills)).digest('hex').slice(0, 16);
    graphStamps.set(graph, skills);
  }
  return JSON.stringify([ESTIMATOR, skills, zoneHere(), l.born, l.framework, l.permanentSupports]);
}

const orderOf = (e: { readonly at: string; readonly id: string }): string => `${e.at} ${e.id}`;

/** Estimates on a day, read off the state once as long as nothing changes. */
export function estimatesOf(db: Db, learner: LearnerRow, today: string, now = countOf(db, learner.id)): SkillEstimate[] {
  const graph = graphOf(db);
  const state = stateOf(db, learner, today, now);
  const kept = keptOf.get(db.$client)?.get(learner.id);
  if (kept?.state !== state) return readMap(graph, learner, state, today);
  // What a reading depends on beside the notes; the graph and the rest stand in the stamp.
  const facts = JSON.stringify([learner.supportsInUse, learner.goals, learner.withoutNorms]);
  if (kept.read?.today !== today || kept.read.facts !== facts)
    kept.read = { today, facts, estimates: readMap(graph, learner, state, today) };
  return kept.read.estimates;
}

/** The state itself on a day, for what reads how steps hang together; nobody may change it. */
export const mapOn = (db: Db, learner: LearnerRow, today: string): MapState => stateOf(db, learner, today, countOf(db, learner.id));

/** The learner's state on a day, from what was kept and what came since; from the first note on where that does not do. */
function stateOf(db: Db, learner: LearnerRow, today: string, now: Counted): MapState {
  const graph = graphOf(db);
  const stamp = stampOf(graph, learner);
  let byLearner = keptOf.get(db.$client);
  if (!byLearner) keptOf.set(db.$client, (byLearner = new Map()));
  const kept = byLearner.get(learner.id) ?? written(db, graph, learner.id, stamp);
  const grown = kept?.stamp === stamp ? grow(db, graph, learner, kept, now) : null;
  if (grown && grown.latest.slice(0, 10) <= today) {
    byLearner.set(learner.id, grown);
    return grown.state;
  }
  const standing = standingNotes(db, learner.id, 0);
  const notes = standing.map((r) => asEvidence(r)).filter((e) => e.at.slice(0, 10) <= today);
  const state = mapOf(graph, learner, notes, today, false);
  // A day in the past is asked for seldom, and what is kept must hold all notes.
  if (notes.length === standing.length) {
    const latest = notes.reduce((x, e) => (orderOf(e) > x ? orderOf(e) : x), '');
    const fresh: Kept = { stamp, notes: now.notes, lastSequence: now.last, latest, state };
    byLearner.set(learner.id, fresh);
    write(db, learner.id, fresh);
  }
  return state;
}

/** Notes that stand, and the last sequence, without reading them. */
interface Counted {
  readonly notes: number;
  readonly last: number;
}
const counted = { notes: sql<number>`sum(${evidence.retractedAt} is null)`, last: sql<number>`max(${evidence.sequence})` };

function countOf(db: Db, learnerId: string): Counted {
  const row = db.select(counted).from(evidence).where(eq(evidence.learnerId, learnerId)).get();
  return { notes: row?.notes ?? 0, last: row?.last ?? 0 };
}

/** From so many children on, counting everybody's notes at once is quicker than one by one. */
const many = 30;

const countOfAll = keptWhile(notesStamp, (db): ReadonlyMap<string, Counted> => {
  const rows = db
    .select({ learner: evidence.learnerId, ...counted })
    .from(evidence)
    .groupBy(evidence.learnerId)
    .all();
  return new Map(rows.map((r) => [r.learner, r]));
});

/** Estimates of many children: at some size, counting their notes one by one costs more than the maps. */
export function allEstimates(db: Db, learners: readonly LearnerRow[], today: string): Map<string, SkillEstimate[]> {
  if (learners.length < many) return new Map(learners.map((l) => [l.id, estimatesOf(db, l, today)]));
  const byLearner = countOfAll(db);
  return new Map(learners.map((l) => [l.id, estimatesOf(db, l, today, byLearner.get(l.id) ?? { notes: 0, last: 0 })]));
}

const standingNotes = (db: Db, learnerId: string, after: number): EvidenceRow[] =>
  db
    .select()
    .from(evidence)
    .where(and(eq(evidence.learnerId, learnerId), gt(evidence.sequence, after)))
    .orderBy(asc(evidence.sequence))
    .all()
    .filter((r) => r.retractedAt === null);

/** What was kept with the notes since; null when one was taken back or lies before what was taken in already. */
function grow(db: Db, graph: SkillGraph, learner: LearnerRow, kept: Kept, now: Counted): Kept | null {
  if (now.notes === kept.notes && now.last === kept.lastSequence) return kept;
  const since = standingNotes(db, learner.id, kept.lastSequence)
    .map((r) => asEvidence(r))
    .sort((x, y) => (orderOf(x) < orderOf(y) ? -1 : 1));
  if (kept.notes + since.length !== now.notes || since.length === 0 || orderOf(since[0]!) <= kept.latest) return null;
  for (const e of since) seeEvidence(graph, learner, kept.state, e);
  const next: Kept = { stamp: kept.stamp, state: kept.state, notes: now.notes, lastSequence: now.last, latest: orderOf(since.at(-1)!) };
  if (Math.floor(next.notes / writeEvery) > Math.floor(kept.notes / writeEvery)) write(db, learner.id, next);
  return next;
}

function write(db: Db, learnerId: string, kept: Kept): void {
  const row = {
    stamp: kept.stamp,
    notes: kept.notes,
    lastSequence: kept.lastSequence,
    state: deflateRawSync(Buffer.concat([Buffer.from(`${kept.latest}\n`), packState(kept.state)]), { level: 2 }),
  };
  db.insert(learnerStates)
    .values({ learnerId, ...row })
    .onConflictDoUpdate({ target: learnerStates.learnerId, set: row })
    .run();
}

function written(db: Db, graph: SkillGraph, learnerId: string, stamp: string): Kept | undefined {
  const row = db.select().from(learnerStates).where(eq(learnerStates.learnerId, learnerId)).get();
  if (!row || row.stamp !== stamp) return undefined;
  const bytes = inflateRawSync(row.state);
  const end = bytes.indexOf('\n');
  const latest = bytes.toString('utf8', 0, end);
  return { stamp, notes: row.notes, lastSequence: row.lastSequence, latest, state: unpackState(graph, bytes.subarray(end + 1)) };
}

/** Lets go of what is kept in memory of a child who was erased. */
export const forgetState = (db: Db, learnerId: string): void => void keptOf.get(db.$client)?.delete(learnerId);
