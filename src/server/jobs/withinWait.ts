import type { Job } from './jobList';

/** The finished job, or null when it takes longer than so many milliseconds. */
export async function withinWait<T>(job: Job<T>, ms: number): Promise<Job<T> | null> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<null>((r) => (timer = setTimeout(() => r(null), ms)));
  const first = await Promise.race([job.finished, late]);
  clearTimeout(timer);
  return first;
}
