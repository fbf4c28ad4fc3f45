import { ProblemError } from '../http/problemError';
import { Begun } from '../http/route';
import type { Job } from '../jobs/jobList';
import { withinWait } from '../jobs/withinWait';

/** How many seconds a request waits for an answer before it is given a job to ask for. */
const usualWait = 6;

/** The finished result, 202 with a job while it still runs, or the problem. */
export async function answerOf<J, T>(job: Job<J>, wait: number | undefined, done: (result: J) => T | Promise<T>): Promise<T | Begun<J>> {
  const finished = wait === 0 ? null : await withinWait(job, (wait ?? usualWait) * 1000);
  if (!finished) return new Begun<J>(202, { job: job.id });
  if (finished.status !== 'done') throw new ProblemError(finished.problem!);
  return done(finished.result!);
}
