import type { Answer, Kept } from '../../contract/wire/route';
import { simulationWire } from '../../contract/wire/bench';
import { ownOf } from '../db/graphOf';
import { checkTable } from '../../contract/parameters';
import { DEFAULT_TIME, timeProblem } from '../../core/simulate/timeModel';
import type { SimulateTask } from '../../workers/node/messages';
import { ProblemError, notFound, refuse } from '../http/problemError';
import { cancelJob, finishJob, jobById, type Job } from '../jobs/jobList';
import { FileResult } from '../jobs/fileResult';
import { Reply, serve } from '../http/route';
import { answerOf } from './answerOf';
import { startSimulation } from './profileStore';
import { storedResult } from './simulationCache';

export const simulationRoutes = serve(simulationWire, {
  'POST /simulations': async ({ db, body, query }) => {
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
    return answerOf(startSimulation(db, task), query.wait, (r) => r);
  },
  'GET /jobs/{id}': ({ params }) => wireJob(jobById(params.id) ?? null, params.id),
  'GET /jobs/{id}/file': ({ params }) => {
    const job = jobById(params.id);
    if (!job || (job.status === 'done' && !(job.result instanceof FileResult))) throw notFound('file of this job', params.id);
    if (job.problem) throw new ProblemError(job.problem);
    if (!(job.result instanceof FileResult)) throw refuse('conflict', 'This work is not done yet. Ask again when it is.', 'id');
    return new Reply(200, job.result.bytes, { 'content-disposition': `inline; filename="${job.result.file}"` });
  },
  'POST /jobs/{id}/finish': ({ params }) => {
    const job = jobById(params.id) ?? null;
    if (job && (job.status === 'running' || job.status === 'waiting') && !finishJob(params.id))
      throw refuse('conflict', 'This work has nothing to give before its end. Wait for it, or stop it.', 'id');
    return wireJob(job, params.id);
  },
  'DELETE /jobs/{id}': ({ params }) => wireJob(cancelJob(params.id) ?? null, params.id),
});

function wireJob(job: Job | null, id: string): Kept<Answer<(typeof simulationWire)['GET /jobs/{id}']>> {
  if (!job) throw notFound('job', id);
  return {
    id: job.id,
    status: job.status,
    progress: job.progress,
    ...(job.status === 'done' ? { result: job.result } : {}),
    ...(job.problem ? { problem: job.problem } : {}),
  };
}
