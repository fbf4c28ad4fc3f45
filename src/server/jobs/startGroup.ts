import { cancelJob, type Job, openJob, problemOf, stopped } from './jobList';

/** Parts that are started at a time, so that others find room in the queue. */
const partsAtOnce = 4;

/**
 * Several jobs as one: its progress is the share of parts that are over, stopping it stops those that are not.
 * `then` is given every part, also those that failed.
 */
export function startGroup<P, T>(parts: readonly (() => Job<P>)[], then: (done: readonly Job<P>[]) => T): Job<T> {
  const begun: Job<P>[] = [];
  const ended: Job<P>[] = [];
  const { job, settle } = openJob<T>('running', () => {
    settle('cancelled', stopped);
    for (const part of begun) cancelJob(part.id);
  });
  const next = (): void => {
    if (job.status !== 'running') return;
    if (ended.length === parts.length) {
      try {
        job.result = then(ended);
        job.progress = 1;
        settle('done');
      } catch (error) {
        settle('failed', problemOf(error));
      }
      return;
    }
    while (begun.length < parts.length && begun.length - ended.length < partsAtOnce) {
      const part = parts[begun.length]!();
      begun.push(part);
      void part.finished.then((over) => {
        ended.push(over);
        job.progress = ended.length / parts.length;
        next();
      });
    }
  };
  next();
  return job;
}
