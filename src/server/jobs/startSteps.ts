import { cancelJob, type Job, openJob, type OpenJob, problemOf, stopped } from './jobList';

/** Waits for a part of the work; its end is so large a share of the whole. @throws what stopped it, with its problem */
export type RunStep = <R>(job: Job<R>, until: number) => Promise<R>;

/** Work that waits for several jobs, told and stopped as one. */
export function startSteps<T>(work: (run: RunStep) => Promise<T>): Job<T> {
  let current: Job | null = null;
  let [from, to] = [0, 0];
  const open: OpenJob<T> = openJob<T>('running', () => {
    open.settle('cancelled', stopped);
    if (current) cancelJob(current.id);
  });
  const { job, settle } = open;
  Object.defineProperty(job, 'progress', {
    enumerable: true,
    get: () => (job.status === 'done' ? 1 : from + (to - from) * (current?.progress ?? 0)),
  });
  const run: RunStep = async (step, until) => {
    [from, to] = [to, until];
    current = step;
    // What was stopped begins nothing more.
    if (job.status === 'cancelled') cancelJob(step.id);
    const over = await step.finished;
    if (over.status !== 'done') throw Object.assign(new Error(over.problem?.message), { problem: over.problem ?? stopped });
    return over.result!;
  };
  void work(run).then(
    (result) => {
      job.result = result;
      settle('done');
    },
    (error: unknown) => settle('failed', problemOf(error)),
  );
  return job;
}
