import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { noAdditions } from '../../contract/graphWith';
import { shippedGraph } from '../../contract/shippedData';
import { shippedOffers } from '../../contract/shippedOffers.testing';
import { type PlanningInput, planTerm } from '../../core/planning/planTerm';
import type { PlannedMeeting } from '../../core/planning/plannedMeeting';
import type { SolveModel } from '../../core/planning/linearModel';
import { knownFrom } from '../../core/recommend/knownFrom.testing';
import type { PlanTask } from '../../workers/node/messages';
import { cancelJob, finishJob } from './jobList';
import { closePool, startJob } from './pool';
import { startAfter } from './startAfter';

const graph = shippedGraph();
const offers = shippedOffers()
  .filter((_, i) => i % 6 === 0)
  .map((o) => ({ ...o, helper: 'nearby' as const }));
const learners = Array.from({ length: 6 }, (_, i): PlanningInput['learners'][number] => {
  const age = 6 + i / 2;
  const { theta } = knownFrom(graph.skills.map((s) => 1 / (1 + Math.exp(-1.5 * (age - s.wantedAt.us)))));
  return {
    id: `l${i}`,
    nickname: `l${i}`,
    age,
    framework: 'us',
    supported: false,
    skills: Array.from(theta, (t) => ({ theta: t, variance: 0.6, memory: null, lastMet: null })),
  };
});
const task = (secondsPerMeeting: number, meetings: number): PlanTask => ({
  kind: 'plan',
  own: noAdditions,
  input: {
    offers,
    learners,
    meetings: Array.from({ length: meetings }, (_, i) => ({
      date: `2026-11-${String(3 + i * 7).padStart(2, '0')}`,
      present: learners.map((l) => l.id),
      rounds: 2,
      minutes: 15,
      tables: 3,
      helpers: 2,
    })),
    stock: [],
    plentiful: [],
    preparationMinutes: 60,
    played: [],
    locks: [],
    resting: [],
    seed: 1,
    secondsPerMeeting,
  },
});
const untilProgress = async (job: { progress: number; status: string }, above: number): Promise<void> => {
  while (job.progress <= above && (job.status === 'running' || job.status === 'waiting')) await new Promise((r) => setTimeout(r, 30));
};
const seated = (m: PlannedMeeting): string[] => m.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.learner)));

let solve: SolveModel;
beforeAll(async () => void (solve = await loadSolver()));
afterAll(closePool);

describe('a plan made by two workers', () => {
  it('is the same as one thread makes', async () => {
    const { input } = task(0.1, 2);
    const done = await startJob<PlannedMeeting[]>(task(0.1, 2)).finished;
    expect(done.problem).toBeUndefined();
    expect(done.result).toEqual(planTerm(graph, input, solve));
  });
  it('ends early when asked, with the best so far', async () => {
    const job = startJob<PlannedMeeting[]>(task(60, 1));
    await untilProgress(job, 0);
    expect(finishJob(job.id)).toBe(true);
    const done = await job.finished;
    expect(done.status).toBe('done');
    expect(done.result).toHaveLength(1);
    expect(done.result![0]!.status).toBe('stopped-early');
    expect(seated(done.result![0]!)).toHaveLength(12);
    // What is over cannot be ended once more.
    expect(finishJob(job.id)).toBe(false);
  });
  it('keeps the meetings that were finished when asked to end in the middle, through a job of several steps too', async () => {
    const job = startAfter(startJob(task(0.05, 1)), () => startJob<PlannedMeeting[]>(task(2, 8)));
    await untilProgress(job, 0.5 + 1.3 / 16);
    expect(finishJob(job.id)).toBe(true);
    const done = await job.finished;
    expect(done.status).toBe('done');
    expect(done.result!.length).toBeGreaterThan(1);
    expect(done.result!.length).toBeLessThan(8);
    expect(done.result!.slice(0, -1).every((m) => m.status !== 'stopped-early')).toBe(true);
  });
  it('is thrown away when stopped', async () => {
    const job = startJob<PlannedMeeting[]>(task(60, 1));
    await untilProgress(job, 0);
    cancelJob(job.id);
    expect(await job.finished).toMatchObject({ status: 'cancelled' });
    expect(job.result).toBeUndefined();
  });
  it('hands on what was finished when the work is lost, and says so', async () => {
    const kept: PlannedMeeting[][] = [];
    const broken = task(0.05, 3);
    // Somebody comes to the third meeting who makes the worker stumble.
    const input = {
      ...broken.input,
      meetings: broken.input.meetings.map((m, i) => (i === 2 ? { ...m, date: 'never', present: ['l0'] } : m)),
    };
    (input.meetings[2] as { rounds: unknown }).rounds = -1;
    const job = startJob<PlannedMeeting[]>({ ...broken, input }, undefined, undefined, (final: PlannedMeeting[], problem) => {
      kept.push(final);
      return { ...problem, message: `${problem.message} ${final.length} are kept.` };
    });
    const done = await job.finished;
    expect(done.status).toBe('failed');
    expect(kept).toHaveLength(1);
    expect(kept[0]!.length).toBe(2);
    expect(done.problem!.message).toMatch(/2 are kept\.$/);
  });
});
