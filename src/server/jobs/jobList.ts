import type { Problem } from '../../core/shared/codes';

export interface Job<T = unknown> {
  readonly id: string;
  status: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
  progress: number;
  result?: T;
  problem?: Problem;
  /** Never rejects. */
  readonly finished: Promise<Job<T>>;
}

type Ending = 'done' | 'failed' | 'cancelled';

/** A job and the way to end it; ending it a second time changes nothing. */
export interface OpenJob<T = unknown> {
  readonly job: Job<T>;
  readonly settle: (status: Ending, problem?: Problem) => void;
}

/** Finished jobs whose results are kept for those who have not asked yet. */
const jobsKept = 40;
const jobs = new Map<string, { readonly job: Job; readonly cancel: () => void; readonly finish: () => boolean }>();

export const stopped: Problem = { code: 'cancelled', message: 'Stopped on request.' };

const isOver = (job: Job): boolean => job.status !== 'running' && job.status !== 'waiting';

/**
 * Begins a job that others may ask for by its id; `cancel` is what stopping it means, `finish` what asking for the best
 * so far does, false where there is none to be had before the end.
 */
export function openJob<T>(status: 'waiting' | 'running', cancel: (job: Job<T>) => void, finish: () => boolean = () => false): OpenJob<T> {
  let done: () => void = () => undefined;
  const over = new Promise<void>((r) => (done = r));
  const job: Job<T> = { id: crypto.randomUUID(), status, progress: 0, finished: over.then((): Job<T> => job) };
  jobs.set(job.id, { job, cancel: () => cancel(job), finish });
  for (const [id, old] of jobs) {
    if (jobs.size <= jobsKept) break;
    if (isOver(old.job)) jobs.delete(id);
  }
  const settle = (ending: Ending, problem?: Problem): void => {
    if (isOver(job)) return;
    job.status = ending;
    if (problem) job.problem = problem;
    done();
  };
  return { job, settle };
}

export function jobById(id: string): Job | undefined {
  return jobs.get(id)?.job;
}

/** Stops a job; the work itself is ended only when nobody else waits for it. */
export function cancelJob(id: string): Job | undefined {
  const known = jobs.get(id);
  if (!known) return undefined;
  if (!isOver(known.job)) known.cancel();
  return known.job;
}

/** Asks a job for the best so far: it ends soon, and as done. False where it has nothing to give before its end. */
export function finishJob(id: string): boolean {
  const known = jobs.get(id);
  return known !== undefined && !isOver(known.job) && known.finish();
}

export function cancelAllJobs(): void {
  for (const id of [...jobs.keys()]) cancelJob(id);
}

/** Lets go of finished jobs and what they answered. */
export function forgetFinishedJobs(): void {
  for (const [id, { job }] of [...jobs]) if (isOver(job)) jobs.delete(id);
}

/** The problem an error carries, where it was foreseen. */
export function problemOf(error: unknown): Problem {
  const carried = (error as { problem?: Problem }).problem;
  return carried?.code ? carried : { code: 'internal', message: error instanceof Error ? error.message : String(error) };
}
