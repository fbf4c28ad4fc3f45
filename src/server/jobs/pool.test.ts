import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { afterAll, describe, expect, it } from 'vitest';
import { noAdditions } from '../../contract/graphWith';
import type { PlanningInput } from '../../core/planning/planTerm';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { SimulateTask } from '../../workers/node/messages';
import { cancelJob, jobById } from './jobList';
import { closePool, startJob, workersBusy, workersKept } from './pool';
import { startAfter } from './startAfter';
import { startGroup } from './startGroup';

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

  it('lets go of what it was given once that is done, though the job is kept', async () => {
    setFlagsFromString('--expose-gc');
    const collect = runInNewContext('gc') as () => void;
    const begin = (): { id: string; finished: Promise<unknown>; given: WeakRef<object> } => {
      const given = task(20);
      const { id, finished } = startJob(given);
      return { id, finished, given: new WeakRef(given) };
    };
    const { id, finished, given } = begin();
    await finished;
    await new Promise((r) => setTimeout(r, 50));
    collect();
    expect(given.deref()).toBeUndefined();
    expect(jobById(id)!.status).toBe('done');
  });

  it('keeps a worker for the next task, and renews one that made ten plans, whose memory only grows', async () => {
    await closePool();
    expect((await startJob(task(20)).finished).status).toBe('done');
    expect(workersKept()).toBe(1);
    const input: PlanningInput = {
      offers: [],
      learners: [],
      meetings: [{ date: '2026-11-10', present: [], rounds: 1, minutes: 15, tables: 1, helpers: 0 }],
      stock: [],
      plentiful: [],
      played: [],
      locks: [],
      resting: [],
      seed: 1,
      secondsPerMeeting: 0.1,
      preparationMinutes: 60,
    };
    for (let i = 1; i <= 10; i++) {
      const plan = await startJob({ kind: 'plan', own: noAdditions, input }).finished;
      expect(plan.problem ?? plan.status).toBe('done');
      expect(workersKept()).toBe(i < 10 ? 1 : 0);
    }
  });

  it('runs a task once for all who ask with the same key, and stopping one stops only that one', async () => {
    const ask = () => startJob<SimulationResult>(task(400_000), undefined, 'the same');
    const [first, second] = [ask(), ask()];
    expect(first.id).not.toBe(second.id);
    cancelJob(first.id);
    expect(await first.finished).toMatchObject({ status: 'cancelled' });
    const done = await second.finished;
    expect(done).toMatchObject({ status: 'done', result: { games: 400_000 } });
    const third = ask();
    cancelJob(third.id);
    expect((await third.finished).status).toBe('cancelled');
    expect(workersBusy()).toBe(0);
  });

  it('keeps no place for workers that could not be started', async () => {
    const before = process.env['ZEITGEBER_WORKERS'];
    await closePool();
    process.env['ZEITGEBER_WORKERS'] = '/nowhere';
    for (let i = 0; i < 4; i++)
      expect(await startJob(task(10)).finished).toMatchObject({ status: 'failed', problem: { code: 'internal' } });
    expect(workersBusy()).toBe(0);
    if (before === undefined) delete process.env['ZEITGEBER_WORKERS'];
    else process.env['ZEITGEBER_WORKERS'] = before;
    expect((await startJob(task(10)).finished).status).toBe('done');
  });

  it('lets a plan in beside long simulations', async () => {
    const long = [startJob(task(3_000_000)), startJob(task(3_000_000)), startJob(task(3_000_000))];
    const input = {
      offers: [],
      learners: [],
      meetings: [],
      stock: [],
      plentiful: [],
      preparationMinutes: 0,
      played: [],
      locks: [],
      resting: [],
      seed: 1,
      secondsPerMeeting: 0.1,
    };
    const plan = await startJob({ kind: 'plan', own: { skills: [], edges: [] }, input }).finished;
    expect(plan.status).toBe('done');
    expect(long.map((j) => j.status)).toEqual(['running', 'running', 'waiting']);
    for (const j of long) cancelJob(j.id);
    await Promise.all(long.map((j) => j.finished));
    expect(workersBusy()).toBe(0);
  });

  it('makes one job of several, which goes on when a part fails and stops all when stopped', async () => {
    const group = startGroup(
      [() => startJob(task(50)), () => startJob({ ...task(50), mechanism: 'nowhere' }), () => startJob(task(60))],
      (parts) => parts.map((p) => p.status).sort(),
    );
    expect(await group.finished).toMatchObject({ status: 'done', progress: 1, result: ['done', 'done', 'failed'] });
    const begun: string[] = [];
    const endless = startGroup(
      Array.from({ length: 6 }, () => () => {
        const job = startJob(task(3_000_000));
        begun.push(job.id);
        return job;
      }),
      () => 'over',
    );
    cancelJob(endless.id);
    expect((await endless.finished).status).toBe('cancelled');
    await Promise.all(begun.map((id) => jobById(id)!.finished));
    expect(workersBusy()).toBe(0);
  });

  it('runs one job after another as one, with the problem of whichever failed', async () => {
    const both = startAfter(startJob(task(50)), () => startJob<SimulationResult>(task(70)));
    expect(await both.finished).toMatchObject({ status: 'done', result: { games: 70 }, progress: 1 });
    const bad = startAfter(startJob({ kind: 'crash' }), () => {
      throw new Error('not begun');
    });
    expect(await bad.finished).toMatchObject({ status: 'failed', problem: { code: 'internal', message: 'not begun' } });
  });
});
