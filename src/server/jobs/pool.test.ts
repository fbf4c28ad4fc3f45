import { afterAll, describe, expect, it } from 'vitest';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { SimulateTask } from '../../workers/node/messages';
import { cancelJob, closePool, jobById, startJob } from './pool';

afterAll(closePool);

const task = (games: number): SimulateTask => ({ kind: 'simulate', mechanism: 'sum-columns', parameters: {}, seats: 2, seed: 3, games });

describe('the worker pool', () => {
  it('answers with the same result as the engine, and twice the same', async () => {
    const [first, second] = await Promise.all([
      startJob<SimulationResult>(task(500)).finished,
      startJob<SimulationResult>(task(500)).finished,
    ]);
    expect(first).toMatchObject({ status: 'done', progress: 1, result: { games: 500 } });
    expect(second.result).toEqual(first.result);
  });

  it('survives a worker that is killed, and says so', async () => {
    const crashed = await startJob({ kind: 'crash' }).finished;
    expect(crashed).toMatchObject({ status: 'failed', problem: { code: 'worker-lost' } });
    expect((await startJob(task(100)).finished).status).toBe('done');
  });

  it('stops long work when asked and frees the worker', async () => {
    const long = startJob(task(2_000_000));
    await new Promise((r) => setTimeout(r, 300));
    expect(jobById(long.id)!.progress).toBeLessThan(1);
    cancelJob(long.id);
    expect(await long.finished).toMatchObject({ status: 'cancelled', problem: { code: 'cancelled' } });
    expect((await startJob(task(100)).finished).status).toBe('done');
  });

  it('reports impossible parameters as a problem, not as a crash', async () => {
    expect(
      await startJob({ ...task(10), mechanism: 'pair-memory', parameters: { sum: 30, lowestCard: 1, highestCard: 10 } }).finished,
    ).toMatchObject({ status: 'failed', problem: { code: 'impossible-parameters' } });
  });

  it('turns an answer into what was asked for', async () => {
    const job = await startJob<{ n: number }>(task(50), (r: SimulationResult) => ({ n: r.games })).finished;
    expect(job.result).toEqual({ n: 50 });
  });
});
