import { ownOf } from '../db/graphOf';
import { checkTable } from '../../contract/parameters';
import { DEFAULT_TIME, timeProblem } from '../../core/simulate/timeModel';
import type { SimulateTask } from '../../workers/node/messages';
import { ProblemError, notFound } from '../http/problemError';
import { Reply, type Route } from '../http/route';
import { jobResponse, simulationBody, simulationResponse } from '../http/schemas';
import { cancelJob, jobById, type Job } from '../jobs/pool';
import { withinWait } from '../jobs/withinWait';
import { startSimulation } from './profileStore';
import { storedResult } from './simulationCache';

/** How long a request waits for an answer before it is given a job to ask for. */
const waitMs = 6000;

/** The finished result, 202 with a job while it still runs, or the problem. */
export async function answerOf<T>(job: Job<T>, wait: string | undefined, done: (result: T) => unknown): Promise<unknown> {
  const finished = wait === '0' ? null : await withinWait(job, wait === undefined ? waitMs : Number(wait) * 1000);
  if (!finished) return new Reply(202, { job: job.id });
  if (finished.status !== 'done') throw new ProblemError(finished.problem!);
  return done(finished.result!);
}

export const waitQuery = { wait: { type: 'number', minimum: 0, maximum: 60 } } as const;

export const simulationRoutes: readonly Route[] = [
  {
    method: 'POST',
    path: '/simulations',
    summary: 'Play a variant many times; 202 with a job when it takes long',
    query: waitQuery,
    body: simulationBody,
    response: simulationResponse,
    waits: true,
    handle: async ({ db, body, query }) => {
      const task: SimulateTask = {
        kind: 'simulate',
        own: ownOf(db),
        mechanism: body.mechanism,
        parameters: body.parameters ?? {},
        seats: body.seats ?? 2,
        seed: body.seed ?? 1,
        ...(body.games ? { games: body.games } : {}),
        ...(body.precision ? { precision: body.precision } : {}),
        ...(body.time ? { time: body.time } : {}),
      };
      const pace = timeProblem({ ...DEFAULT_TIME, ...task.time });
      if (pace) throw new ProblemError(pace);
      const checked = checkTable(task.mechanism, task.parameters, task.seats);
      if (!checked.ok) throw new ProblemError(checked.problem);
      const stored = storedResult(db, task);
      if (stored) return stored;
      return answerOf(startSimulation(db, task), query['wait'], (r) => r);
    },
  },
  {
    method: 'GET',
    path: '/jobs/{id}',
    summary: 'How far long work is, and its result',
    response: jobResponse,
    handle: ({ params }) => wireJob(jobById(params['id']!) ?? null, params['id']!),
  },
  {
    method: 'DELETE',
    path: '/jobs/{id}',
    summary: 'Stop long work',
    response: jobResponse,
    handle: ({ params }) => wireJob(cancelJob(params['id']!) ?? null, params['id']!),
  },
];

function wireJob(job: Job | null, id: string): object {
  if (!job) throw notFound('job', id);
  return {
    id: job.id,
    status: job.status,
    progress: job.progress,
    ...(job.status === 'done' ? { result: job.result } : {}),
    ...(job.problem ? { problem: job.problem } : {}),
  };
}
