import { cancelJob, finishJob, type Job, openJob, problemOf, stopped } from './jobList';

/** One job after another, told as one; without a first it is the next alone. */
export function startAfter<T>(first: Job | null, next: () => Job<T>): Job<T> {
  if (!first) return next();
  let current: Job = first;
  const { job, settle } = openJob<T>(
    'running',
    () => {
      settle('cancelled', stopped);
      cancelJob(current.id);
    },
    () => finishJob(current.id),
  );
  Object.defineProperty(job, 'progress', {
    enumerable: true,
    get: () => (current === first ? first.progress / 2 : 0.5 + current.progress / 2),
  });
  void first.finished.then(async () => {
    if (job.status !== 'running') return;
    try {
      const second = next();
      current = second;
      const over = await second.finished;
      if (over.status === 'done') job.result = over.result!;
      // What is finished neither waits nor runs.
      settle(over.status as 'done' | 'failed' | 'cancelled', over.problem);
    } catch (error) {
      settle('failed', problemOf(error));
    }
  });
  return job;
}
