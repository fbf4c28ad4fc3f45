import { describe, expect, it } from 'vitest';
import { cancelJob, jobById, openJob } from './jobList';
import { startSteps } from './startSteps';

describe('work in steps', () => {
  it('ends with what the work gives, and tells how far it is as the share of its steps', async () => {
    const [first, second] = [openJob<number>('running', () => undefined), openJob<number>('running', () => undefined)];
    const job = startSteps(async (run) => (await run(first.job, 0.6)) + (await run(second.job, 1)));
    first.job.progress = 0.5;
    expect(job.progress).toBeCloseTo(0.3);
    first.job.result = 2;
    first.settle('done');
    await first.job.finished;
    await Promise.resolve();
    second.job.progress = 0.5;
    expect(job.progress).toBeCloseTo(0.8);
    second.job.result = 3;
    second.settle('done');
    expect((await job.finished).result).toBe(5);
    expect(job.progress).toBe(1);
  });

  it('fails with the problem of the step that failed, unless the work goes on without it', async () => {
    const problem = { code: 'worker-lost' as const, message: 'Gone.' };
    const failing = openJob('running', () => undefined);
    const failed = startSteps((run) => run(failing.job, 1));
    const forgiven = startSteps((run) => run(failing.job, 1).catch(() => 'without'));
    failing.settle('failed', problem);
    expect((await failed.finished).problem).toEqual(problem);
    expect((await forgiven.finished).result).toBe('without');
  });

  it('stops the step it is at, and begins no other', async () => {
    let [stops, begun] = [0, 0];
    const slow = openJob('running', () => (stops++, slow.settle('cancelled', { code: 'cancelled', message: 'Stopped.' })));
    const job = startSteps(async (run) => {
      await run(slow.job, 0.5);
      begun++;
    });
    cancelJob(job.id);
    expect((await job.finished).status).toBe('cancelled');
    await slow.job.finished;
    expect([stops, begun]).toEqual([1, 0]);
    expect(jobById(job.id)!.status).toBe('cancelled');
  });
});
