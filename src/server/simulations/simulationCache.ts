import { createHash } from 'node:crypto';
import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { desc, eq, sql } from 'drizzle-orm';
import { graphFor, noAdditions, type OwnAdditions } from '../../contract/graphWith';
import { meanDoses } from '../../core/simulate/meanDoses';
import { DEFAULT_PRECISION, ENGINE } from '../../core/simulate/simulation';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { SimulateTask } from '../../workers/node/messages';
import type { Db } from '../db/db';
import { simulations, type StoredSummary } from '../db/schema';

/** Whole results kept, those used last; their summaries stay longer. */
export const resultsKept = 1200;
const summariesKept = 20_000;
/** Old results are looked for once in so many new ones. */
const pruneEvery = 50;

const hashes = new WeakMap<OwnAdditions, string>();
function hashOfSkills(own: OwnAdditions): string {
  let hash = hashes.get(own);
  if (hash === undefined) {
    hash = sha(graphFor(own).skills.map((s) => [s.id, s.predicate])).slice(0, 12);
    hashes.set(own, hash);
  }
  return hash;
}

/** A shelf of two thousand games asks for the same few hundred over and over. */
const known = new Map<string, string>();
const knownKept = 20_000;

function sha(parts: unknown): string {
  const text = JSON.stringify(parts);
  let hash = known.get(text);
  if (hash === undefined) {
    hash = createHash('sha256').update(text).digest('hex');
    if (known.size >= knownKept) known.clear();
    known.set(text, hash);
  }
  return hash;
}

/** One object, one spelling: its keys in order. */
export const inOrder = (o: object): object => Object.fromEntries(Object.entries(o).sort(([x], [y]) => (x < y ? -1 : 1)));

/** Everything that decides how the games go, whatever is counted in them. */
export const taskHashOf = (task: SimulateTask): string =>
  sha([
    ENGINE,
    task.mechanism,
    inOrder(task.parameters),
    task.seats,
    task.precision ?? DEFAULT_PRECISION,
    task.games ?? null,
    task.seed,
    ...(task.time ? [inOrder(task.time)] : []),
  ]);

/** Everything that decides a result: the games, and the skills that are counted in them. */
export const hashOf = (task: SimulateTask): string => sha([taskHashOf(task), hashOfSkills(task.own ?? noAdditions)]);

export function storedResult(db: Db, task: SimulateTask): SimulationResult | null {
  const hash = hashOf(task);
  const row = db.select().from(simulations).where(eq(simulations.hash, hash)).get();
  if (!row || row.result.length === 0) return null;
  const today = new Date().toISOString().slice(0, 10);
  if (row.usedAt !== today) db.update(simulations).set({ usedAt: today }).where(eq(simulations.hash, hash)).run();
  return JSON.parse(inflateRawSync(row.result).toString('utf8')) as SimulationResult;
}

/** The summary of exactly this task; with `older`, also one from before the skills changed. */
export function storedSummary(db: Db, task: SimulateTask, older = false): StoredSummary | null {
  const row = db
    .select({ summary: simulations.summary })
    .from(simulations)
    .where(eq(simulations.hash, hashOf(task)))
    .get();
  if (row || !older) return row?.summary ?? null;
  return (
    db
      .select({ summary: simulations.summary })
      .from(simulations)
      .where(eq(simulations.task, taskHashOf(task)))
      .get()?.summary ?? null
  );
}

export const summaryOf = (result: SimulationResult): StoredSummary => ({
  minutes: Number(result.minutes['0.5']),
  waiting: result.measures['waitingShare']!,
  doses: [...meanDoses(result)].map(([skill, dose]) => [skill, dose.mean] as const),
});

let stored = 0;

export function storeResult(db: Db, task: SimulateTask, result: SimulationResult): StoredSummary {
  const summary = summaryOf(result);
  const row = {
    hash: hashOf(task),
    task: taskHashOf(task),
    summary,
    result: deflateRawSync(JSON.stringify(result), { level: 4 }),
    usedAt: new Date().toISOString().slice(0, 10),
  };
  db.insert(simulations)
    .values(row)
    .onConflictDoUpdate({ target: simulations.hash, set: { result: row.result, usedAt: row.usedAt } })
    .run();
  if (++stored % pruneEvery === 0) pruneSimulations(db);
  return summary;
}

/** Lets go of whole results that were not used for longest, and of summaries far beyond any shelf. */
export function pruneSimulations(db: Db, keep = resultsKept): void {
  const old = db
    .select({ hash: simulations.hash })
    .from(simulations)
    .orderBy(desc(simulations.usedAt), desc(sql`rowid`))
    .limit(1_000_000_000)
    .offset(keep)
    .all();
  db.transaction((tx) => {
    for (const [i, { hash }] of old.entries()) {
      if (keep + i >= summariesKept) tx.delete(simulations).where(eq(simulations.hash, hash)).run();
      else
        tx.update(simulations)
          .set({ result: Buffer.alloc(0) })
          .where(eq(simulations.hash, hash))
          .run();
    }
  });
}
