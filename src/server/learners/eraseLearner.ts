import { existsSync, readdirSync } from 'node:fs';
import { eq } from 'drizzle-orm';
import type { Db } from '../db/db';
import { databaseName, dataDirectory } from '../db/open';
import {
  changes,
  evidence,
  idempotency,
  learners,
  madeSets,
  planBs,
  plans,
  type StoredRequest,
  type StoredRound,
  type UndoStep,
} from '../db/schema';
import { refuse } from '../http/problemError';
import { forgetState } from '../evidence/learnerState';
import { forgetFinishedJobs } from '../jobs/jobList';
import { wishesWithout } from '../planning/wishesStore';
import { learnerById } from './learnerStore';

export interface Erased {
  readonly erased: string;
  readonly evidence: number;
  /** Files beside the database that still hold the child, since they are copies of what was. */
  readonly backups: string[];
  /** The database file was made anew, so that no freed page holds a trace; false when the disk had no room for it. */
  readonly cleaned: boolean;
}

/**
 * Truly erases a child: the row, all evidence and memberships, every seat, rest and mention in plans, every kept answer that
 * could name the child, its name at the foot of sheets that were made, and what is being calculated with it. Other children keep theirs.
 */
export function eraseLearner(db: Db, id: string, confirm: string): Erased {
  const counted = db.transaction((tx) => {
    const learner = learnerById(tx, id);
    if (confirm !== learner.nickname) throw refuse('malformed', `To erase, repeat the nickname: confirm=${learner.nickname}`, 'confirm');
    const rows = tx.select({ id: evidence.id }).from(evidence).where(eq(evidence.learnerId, id)).all().length;
    const others = tx
      .select({ nickname: learners.nickname })
      .from(learners)
      .all()
      .map((l) => l.nickname)
      .filter((name) => name !== learner.nickname);
    for (const p of tx.select().from(plans).all())
      tx.update(plans)
        .set({
          rounds: p.rounds.map((r) => roundWithout(r, id, learner.nickname, others)),
          request: requestWithout(p.request, id),
          locks: p.locks.filter((k) => k.learner !== id),
          version: p.version + 1,
        })
        .where(eq(plans.id, p.id))
        .run();
    // A kept answer may hold a nickname, a birth month or a whole roster: its key stays, so that nothing is done twice, what it said goes.
    for (const row of tx.select().from(idempotency).all())
      if (row.body !== null && namesChild(JSON.stringify(row.body), id, learner.nickname, others))
        tx.update(idempotency)
          .set({ body: { erased: true } })
          .where(eq(idempotency.key, row.key))
          .run();
    tx.delete(planBs).run();
    const unnamed = (label: string): string => (namesChild(label, id, learner.nickname, others) ? '' : label);
    for (const { id: set, label } of tx.select().from(madeSets).all())
      if (unnamed(label) !== label) tx.update(madeSets).set({ label: '' }).where(eq(madeSets.id, set)).run();
    for (const c of tx.select().from(changes).all()) {
      const undo = c.undo.map((step) => setWithout(step, unnamed));
      if (JSON.stringify(undo) !== JSON.stringify(c.undo)) tx.update(changes).set({ undo }).where(eq(changes.id, c.id)).run();
    }
    wishesWithout(tx, id);
    tx.delete(learners).where(eq(learners.id, id)).run();
    return rows;
  });
  forgetFinishedJobs();
  forgetState(db, id);
  return { erased: id, evidence: counted, backups: backupsIn(dataDirectory()), cleaned: rewriteFile(db) };
}

/** A set of sheets that can be brought back comes back without the name at its foot. */
function setWithout(step: UndoStep, unnamed: (label: string) => string): UndoStep {
  if (step.table !== 'madeSets' || !('put' in step) || typeof step.put['label'] !== 'string') return step;
  return { ...step, put: { ...step.put, label: unnamed(step.put['label']) } };
}

function roundWithout(r: StoredRound, id: string, nickname: string, others: readonly string[]): StoredRound {
  return {
    tables: r.tables
      .map((t) => ({
        ...t,
        ...(t.lookFor === id ? { lookFor: null } : {}),
        seats: t.seats
          .filter((s) => s.learner !== id)
          .map(({ with: partner, ...s }) => ({
            ...s,
            ...(partner === undefined || partner === id ? {} : { with: partner }),
            why: withoutName(s.why, nickname, others),
          })),
      }))
      .filter((t) => t.seats.length > 0),
    resting: r.resting.filter((l) => l !== id),
    ...(r.meanwhile ? { meanwhile: r.meanwhile.filter((m) => m.learner !== id) } : {}),
  };
}

const requestWithout = (r: StoredRequest, id: string): StoredRequest => ({
  ...r,
  present: r.present.filter((l) => l !== id),
  ...(r.resting ? { resting: r.resting.filter((x) => x.learner !== id) } : {}),
  ...(r.missing
    ? { missing: { ...r.missing, steps: r.missing.steps.filter((s) => s.lock?.learner !== id && s.beside?.learner !== id) } }
    : {}),
});

/** The sentence without the name as a word of its own; names that hold it (Al in Alder) stay. */
export const withoutName = (sentence: string, nickname: string, others: readonly string[]): string =>
  sentence.replace(asWord([nickname], others), (found) => (found === nickname ? 'another child' : found));

/** Whether a text holds the child's id or nickname as a word of its own. */
function namesChild(text: string, id: string, nickname: string, others: readonly string[]): boolean {
  return [...text.matchAll(asWord([id, nickname], others))].some(([found]) => found === id || found === nickname);
}

/** Finds words and, before them, longer names that hold one, which are other children's. */
function asWord(words: readonly string[], others: readonly string[]): RegExp {
  const longer = others.filter((name) => words.some((w) => name.includes(w))).sort((x, y) => y.length - x.length);
  const escaped = [...longer, ...words].map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  return new RegExp(`(?<![\\p{L}\\p{N}-])(?:${escaped.join('|')})(?![\\p{L}\\p{N}-])`, 'gu');
}

/** Copies of the data beside it: before migrations and by hand. */
function backupsIn(directory: string): string[] {
  if (!existsSync(directory)) return [];
  return readdirSync(directory).filter((f) => f.endsWith('.sqlite') && f !== databaseName && f !== 'lock.sqlite');
}

/** Freed pages are overwritten already; this also gives their room back. The erasing stands whether or not there is room for it. */
function rewriteFile(db: Db): boolean {
  try {
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    db.$client.exec('VACUUM');
    db.$client.pragma('wal_checkpoint(TRUNCATE)');
    return true;
  } catch {
    return false;
  }
}
