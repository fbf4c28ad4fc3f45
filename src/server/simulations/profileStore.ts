import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { graphInUse, ownAdditions } from '../../contract/graphInUse';
import { shippedLibrary, shippedProfile } from '../../contract/shippedLibrary';
import { mechanismById } from '../../core/mechanisms/registry';
import type { ProfileSummary } from '../../core/simulate/profileSummary';
import { DEFAULT_PRECISION, ENGINE } from '../../core/simulate/simulation';
import { usualSeats as usualPlayers } from '../../core/simulate/usualSeats';
import { meanDoses } from '../../core/simulate/meanDoses';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { SimulateTask } from '../../workers/node/messages';
import type { Db } from '../db/db';
import { simulations } from '../db/schema';
import { ProblemError } from '../http/problemError';
import { type Job, startJob } from '../jobs/pool';
import type { VariantRow } from '../shelf/shelfStore';

/** Seed of every stored profile: two people see the same numbers. */
export const profileSeed = 7;

let hashed: { graph: SkillGraph; hash: string } | null = null;
function hashOfGraph(): string {
  const graph = graphInUse();
  if (hashed?.graph !== graph)
    hashed = {
      graph,
      hash: createHash('sha256')
        .update(JSON.stringify(graph.skills.map((s) => [s.id, s.predicate])))
        .digest('hex')
        .slice(0, 12),
    };
  return hashed.hash;
}

/** Everything that decides a result: engine, skills, variant, seats, precision, seed. */
export function hashOf(task: SimulateTask): string {
  return createHash('sha256')
    .update(
      JSON.stringify([
        ENGINE,
        hashOfGraph(),
        task.mechanism,
        sorted(task.parameters),
        task.seats,
        task.precision ?? DEFAULT_PRECISION,
        task.games ?? null,
        task.seed,
        ...(task.time ? [sorted(task.time)] : []),
      ]),
    )
    .digest('hex');
}

const sorted = (o: object): object => Object.fromEntries(Object.entries(o).sort(([x], [y]) => (x < y ? -1 : 1)));

export const profileTask = (variant: Pick<VariantRow, 'mechanism' | 'parameters'>, seats: number): SimulateTask => ({
  kind: 'simulate',
  mechanism: variant.mechanism!,
  parameters: variant.parameters,
  seats,
  seed: profileSeed,
});

export function storedResult(db: Db, task: SimulateTask): SimulationResult | null {
  const row = db
    .select()
    .from(simulations)
    .where(eq(simulations.hash, hashOf(task)))
    .get();
  return row ? (row.result as SimulationResult) : null;
}

export function storeResult(db: Db, task: SimulateTask, result: SimulationResult): void {
  db.insert(simulations)
    .values({ hash: hashOf(task), result, createdAt: new Date().toISOString() })
    .onConflictDoNothing()
    .run();
}

/** Same task asked twice at once runs once. */
const inFlight = new Map<string, Job<SimulationResult>>();

export function startSimulation(db: Db, task: SimulateTask): Job<SimulationResult> {
  const hash = hashOf(task);
  const known = inFlight.get(hash);
  if (known) return known;
  const job = startJob<SimulationResult>(task);
  inFlight.set(hash, job);
  void job.finished.then((done) => {
    inFlight.delete(hash);
    if (done.status === 'done') storeResult(db, task, done.result!);
  });
  return job;
}

/** The stored result, or a fresh one when it has been worked out. */
export async function resultOf(db: Db, task: SimulateTask): Promise<SimulationResult> {
  const stored = storedResult(db, task);
  if (stored) return stored;
  const job = await startSimulation(db, task).finished;
  if (job.status !== 'done') throw new ProblemError(job.problem!);
  return job.result!;
}

/** What offers read of a result; kept in memory, since whole results are large. */
export interface DoseSummary {
  readonly doses: Float64Array;
  readonly minutes: number;
}
const summaries = new Map<string, DoseSummary>();
const summariesKept = 5000;

let shippedByTask: Map<string, ProfileSummary> | null = null;
const nameOfTask = (mechanism: string, parameters: object, seats: unknown): string =>
  JSON.stringify([mechanism, sorted({ ...mechanismById(mechanism)?.defaults, ...parameters }), seats]);

/** The committed profile of a version out of the library, as long as its rules are today's. */
function shippedSummary(task: SimulateTask): ProfileSummary | undefined {
  shippedByTask ??= new Map(
    shippedLibrary.flatMap((g) =>
      g.variants.flatMap((v) => {
        const profile = shippedProfile(g.id, v.id);
        return profile?.engine === ENGINE ? [[nameOfTask(g.mechanism, v.parameters, profile.seats), profile] as const] : [];
      }),
    ),
  );
  return shippedByTask.get(nameOfTask(task.mechanism, task.parameters, task.seats));
}

/** Mean chances per learner in ten minutes, by skill index, and the median length. */
export async function doseSummary(db: Db, task: SimulateTask): Promise<DoseSummary> {
  const hash = hashOf(task);
  const known = summaries.get(hash);
  if (known) return known;
  const { skills, indexOf } = graphInUse();
  const doses = new Float64Array(skills.length);
  // The committed profiles know only shipped skills.
  const shipped = storedResult(db, task) || ownAdditions().skills.length > 0 ? undefined : shippedSummary(task);
  let minutes: number;
  if (shipped) {
    for (const [skill, mean] of shipped.doses) doses[indexOf.get(skill)!] = mean;
    minutes = shipped.minutes[1];
  } else {
    const r = await resultOf(db, task);
    for (const [skill, dose] of meanDoses(r)) doses[indexOf.get(skill)!] = dose.mean;
    minutes = Number(r.minutes['0.5']);
  }
  const summary = { doses, minutes };
  if (summaries.size >= summariesKept) summaries.clear();
  summaries.set(hash, summary);
  return summary;
}

/** Seats at which a variant is read when the table is not known yet. */
export function usualSeats(variant: Pick<VariantRow, 'playersMin' | 'playersMax'>): number {
  return usualPlayers({ min: variant.playersMin, max: variant.playersMax });
}
