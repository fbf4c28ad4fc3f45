import { expect, it } from 'vitest';
import type { Job } from '../jobs/jobList';
import { Begun } from '../http/route';
import { answerOf } from './answerOf';

const job = (finished: Promise<Job<number>>, more: Partial<Job<number>> = {}): Job<number> =>
  ({ id: 'j', status: 'running', progress: 0, finished, ...more }) as Job<number>;
const done = job(new Promise(() => undefined), { status: 'done', result: 7 });

it('does not wait where nobody wants to, even for what is there already', async () => {
  const answer = await answerOf(job(Promise.resolve(done)), 0, (n) => ({ n }));
  expect(answer).toBeInstanceOf(Begun);
  expect(answer).toMatchObject({ status: 202, body: { job: 'j' } });
});
it('gives what was made in time, and the job where it takes longer', async () => {
  expect(await answerOf(job(Promise.resolve(done)), 1, (n) => ({ n }))).toEqual({ n: 7 });
  expect(await answerOf(job(Promise.resolve(done)), undefined, (n) => n + 1)).toBe(8);
  expect(await answerOf(job(new Promise(() => undefined)), 0.01, (n) => n)).toMatchObject({ status: 202 });
});
it('refuses with what stood in the way', async () => {
  const failed = job(
    Promise.resolve(job(new Promise(() => undefined), { status: 'failed', problem: { code: 'worker-lost', message: 'Gone.' } })),
  );
  await expect(answerOf(failed, 1, (n) => n)).rejects.toMatchObject({ problem: { code: 'worker-lost' } });
});
