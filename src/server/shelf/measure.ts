import { isNull } from 'drizzle-orm';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { games, variants } from '../db/schema';
import { shelfStamp } from '../db/stamps';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Job } from '../jobs/jobList';
import { startGroup } from '../jobs/startGroup';
import { withinWait } from '../jobs/withinWait';
import { faultOf, knownDoses, noteFault, profileTask, startSimulation, usualSeats } from '../simulations/profileStore';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { VariantRow } from './shelfRows';

/** Versions in use of games in use. */
export function variantsInUse(db: Db): VariantRow[] {
  const put = new Set(
    db
      .select({ id: games.id, retiredAt: games.retiredAt })
      .from(games)
      .all()
      .filter((g) => g.retiredAt !== null)
      .map((g) => g.id),
  );
  return db
    .select()
    .from(variants)
    .where(isNull(variants.retiredAt))
    .all()
    .filter((v) => !put.has(v.gameId));
}

/** Measuring that is under way, for everybody to follow. */
export interface Measuring {
  readonly job: string;
  /** Versions that are not played yet. */
  readonly left: number;
}

export interface Measured {
  readonly measured: number;
  readonly failed: number;
}

const running = new WeakMap<object, Job<Measured>>();

/** Versions whose practice is not known with the skills of today and can be found out. */
const unknownOf = (db: Db): VariantRow[] =>
  variantsInUse(db).filter((v) => {
    if (!v.mechanism) return false;
    const task = profileTask(db, v, usualSeats(v));
    return knownDoses(db, task)?.fresh !== true && faultOf(task) === null;
  });

/** When the whole shelf was known last; looking it through is for when it changed. */
const allKnown = new WeakMap<object, { readonly stamp: number; readonly graph: SkillGraph }>();

/** Versions that are not measured yet; looked through only when the shelf changed since all were. */
function missingNow(db: Db): VariantRow[] {
  const [stamp, graph, known] = [shelfStamp(db), graphOf(db), allKnown.get(db.$client)];
  if (known?.stamp === stamp && known.graph === graph) return [];
  const missing = unknownOf(db);
  if (missing.length === 0 && !db.$client.inTransaction) allKnown.set(db.$client, { stamp, graph });
  return missing;
}

/** Whether every version of the shelf is measured. */
export const measuredAll = (db: Db): boolean => missingNow(db).length === 0;

/** Plays every version that is not measured yet, as one job with progress; null when there is none. */
export function measureMissing(db: Db): Job<Measured> | null {
  const before = running.get(db.$client);
  if (before?.status === 'running') return before;
  const missing = missingNow(db);
  if (missing.length === 0) return null;
  const tasks = missing.map((v) => profileTask(db, v, usualSeats(v)));
  const job = startGroup(
    tasks.map((task) => () => playing(db, task)),
    (parts) => ({
      measured: parts.filter((p) => p.status === 'done').length,
      failed: parts.filter((p) => p.status !== 'done').length,
    }),
  );
  running.set(db.$client, job);
  return job;
}

function playing(db: Db, task: Parameters<typeof startSimulation>[1]): Job<SimulationResult> {
  const job = startSimulation(db, task);
  void job.finished.then((done) => {
    const code = done.problem?.code;
    // What was stopped or lost may be tried again; what is impossible stays so.
    if (done.status === 'failed' && code !== 'worker-lost' && code !== 'internal') noteFault(task, done.problem!);
  });
  return job;
}

/** Waits a moment for what is not measured yet; a new version is there at once, a whole shelf goes on as a job. */
export async function settleMeasures(db: Db, ms: number): Promise<Measuring | null> {
  const job = measureMissing(db);
  if (!job) return null;
  if (ms > 0 && (await withinWait(job, ms))) return null;
  return { job: job.id, left: unknownOf(db).length };
}
