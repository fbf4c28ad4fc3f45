import { countries } from '../../contract/countries';
import { libraryIn } from '../../contract/libraryIn';
import { shippedLibrary, shippedProfile } from '../../contract/shippedLibrary';
import { mechanismById } from '../../core/mechanisms/registry';
import type { ProfileSummary } from '../../core/simulate/profileSummary';
import { ENGINE } from '../../core/simulate/simulation';
import { usualSeats as usualPlayers } from '../../core/simulate/usualSeats';
import type { Problem } from '../../core/shared/codes';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { SimulateTask } from '../../workers/node/messages';
import type { Db } from '../db/db';
import { ownOf } from '../db/graphOf';
import type { StoredSummary } from '../db/schema';
import { ProblemError } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import type { VariantRow } from '../shelf/shelfRows';
import { hashOf, inOrder, storedResult, storedSummary, storeResult } from './simulationCache';

/** Seed of every stored profile: two people see the same numbers. */
export const profileSeed = 7;

export const profileTask = (db: Db, variant: Pick<VariantRow, 'mechanism' | 'parameters'>, seats: number): SimulateTask => ({
  kind: 'simulate',
  own: ownOf(db),
  mechanism: variant.mechanism!,
  parameters: variant.parameters,
  seats,
  seed: profileSeed,
});

/** Same task asked twice at once runs once; each asker has a job of its own. */
export function startSimulation(db: Db, task: SimulateTask): Job<SimulationResult> {
  const hash = hashOf(task);
  return startJob(
    task,
    (result: SimulationResult) => {
      if (db.$client.open) storeResult(db, task, result);
      return result;
    },
    hash,
  );
}

/** The stored result, or a fresh one when it has been worked out. */
export async function resultOf(db: Db, task: SimulateTask): Promise<SimulationResult> {
  const stored = storedResult(db, task);
  if (stored) return stored;
  const job = await startSimulation(db, task).finished;
  if (job.status !== 'done') throw new ProblemError(job.problem!);
  return job.result!;
}

/** What offers read of a result. */
export interface KnownDoses {
  readonly summary: StoredSummary;
  /** Counted with the skills of today; else from before the owner changed them. */
  readonly fresh: boolean;
}

/** Kept in memory, since a shelf of two thousand games is read on most pages. */
const known = new Map<string, KnownDoses>();
const knownKept = 20_000;

let shippedByTask: Map<string, ProfileSummary> | null = null;
const nameOfTask = (mechanism: string, parameters: object, seats: unknown): string =>
  JSON.stringify([mechanism, inOrder({ ...mechanismById(mechanism)?.defaults, ...parameters }), seats]);

/** The committed profile of a version out of the library, as long as its rules are today's. */
function shippedSummary(task: SimulateTask): StoredSummary | null {
  shippedByTask ??= new Map(
    [undefined, ...countries].flatMap((country) =>
      (country ? libraryIn(country) : shippedLibrary).flatMap((g) =>
        g.variants.flatMap((v) => {
          const profile = shippedProfile(g.id, v.id, country?.id);
          return profile?.engine === ENGINE ? [[nameOfTask(g.mechanism, v.parameters, profile.seats), profile] as const] : [];
        }),
      ),
    ),
  );
  const found = shippedByTask.get(nameOfTask(task.mechanism, task.parameters, task.seats));
  return found
    ? { minutes: found.minutes[1], waiting: found.waiting, doses: found.doses.map(([skill, mean]) => [skill, mean] as const) }
    : null;
}

/** Median minutes and mean chances in ten minutes of a task, as far as they are known; nothing is played for it. */
export function knownDoses(db: Db, task: SimulateTask): KnownDoses | null {
  const hash = hashOf(task);
  const before = known.get(hash);
  if (before?.fresh) return before;
  const stored = storedSummary(db, task);
  const shipped = stored ? null : shippedSummary(task);
  const older = stored || shipped ? null : storedSummary(db, task, true);
  const summary = stored ?? shipped ?? older;
  if (!summary) return null;
  // The committed profiles count shipped skills only.
  const found = { summary, fresh: stored !== null || (shipped !== null && (task.own?.skills.length ?? 0) === 0) };
  if (known.size >= knownKept) known.clear();
  known.set(hash, found);
  return found;
}

/** The same, played first when it is not known. */
export async function dosesOf(db: Db, task: SimulateTask): Promise<StoredSummary> {
  const found = knownDoses(db, task);
  if (found?.fresh) return found.summary;
  await resultOf(db, task);
  return knownDoses(db, task)!.summary;
}

/** Seats at which a variant is read when the table is not known yet, as far as its family can seat them. */
export function usualSeats(variant: Pick<VariantRow, 'playersMin' | 'playersMax' | 'mechanism'>): number {
  const usual = usualPlayers({ min: variant.playersMin, max: variant.playersMax });
  const seats = variant.mechanism === null ? undefined : mechanismById(variant.mechanism)?.seats;
  return seats ? Math.min(seats.max, Math.max(seats.min, usual)) : usual;
}

/** What can never be played as it stands, by task; it is not tried again. */
const faults = new Map<string, Problem>();
export const faultOf = (task: SimulateTask): Problem | null => faults.get(hashOf(task)) ?? null;
export const noteFault = (task: SimulateTask, problem: Problem): void => void faults.set(hashOf(task), problem);
/** How many were found so far. */
export const faultsNoted = (): number => faults.size;
