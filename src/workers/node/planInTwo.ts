import { Worker } from 'node:worker_threads';
import { loadSolver } from '../../adapters/highs/solveModel';
import { carefully, type SolveModel } from '../../core/planning/linearModel';
import { isSearched, joinFound, looseBound, type PlanOutcome, prepare, quickBound, withoutSearch } from '../../core/planning/planSession';
import { type SessionTask, termSteps } from '../../core/planning/planTerm';
import type { PlannedMeeting } from '../../core/planning/plannedMeeting';
import { searchFrom } from '../../core/planning/searchFrom';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { FromWorker, PlanTask, SearchResult, SearchTask } from './messages';

/** At most so many progress messages a second, and fewer plans that are not final. */
const progressEveryMs = 80;
const incumbentEveryMs = 400;

const isStopped = (stop: SharedArrayBuffer | undefined): boolean => stop !== undefined && Atomics.load(new Int32Array(stop), 0) !== 0;

/**
 * Plans the meetings of a task, each from two starts at once: the first here, the second with the bound in a worker
 * beside. The same comes out as from one thread.
 */
export async function planInTwo(graph: SkillGraph, task: PlanTask, send: (message: FromWorker) => void): Promise<PlannedMeeting[]> {
  const solve = carefully(await loadSolver());
  try {
    const steps = termSteps(graph, task.input, (index, part) => send({ type: 'part', index, part, final: true }));
    let step = steps.next();
    while (!step.done) step = steps.next(await planOne(step.value, task, solve, beside, send));
    return step.value;
  } finally {
    beside.rest();
  }
}

async function planOne(
  session: SessionTask,
  task: PlanTask,
  solve: SolveModel,
  beside: Beside,
  send: (message: FromWorker) => void,
): Promise<PlanOutcome> {
  const { seed, moves, meeting } = session;
  const ready = prepare(session.instance, solve, session);
  if (!isSearched(ready)) return withoutSearch(ready);
  const { instance, first } = ready;
  const second: SearchTask = { kind: 'search', instance, first, seed, start: 1, moves, ...(task.stop ? { stop: task.stop } : {}) };
  const other = beside.ask(second);
  let told = 0;
  let shown = performance.now();
  const found = searchFrom(instance, solve, first, {
    seed,
    start: 0,
    moves,
    onProgress: (share, objective, incumbent) => {
      const now = performance.now();
      if (now - told > progressEveryMs) {
        told = now;
        send({ type: 'progress', share: (meeting + share) / task.input.meetings.length });
      }
      if (now - shown > incumbentEveryMs) {
        shown = now;
        const soFar: PlanOutcome = {
          status: 'stopped-early',
          schedule: incumbent(),
          objective,
          bound: looseBound(instance),
          diagnosis: ready.diagnosis,
        };
        send({ type: 'part', index: meeting, part: session.read(soFar), final: false });
      }
      return !isStopped(task.stop);
    },
  });
  // A worker that was lost is no reason to plan worse: what it was to do is done here.
  const joined = (await other) ?? search(second, solve);
  return joinFound(ready, [found, joined.found], joined.bound);
}

/** What the worker beside does. */
export async function searchBeside(task: SearchTask): Promise<SearchResult> {
  return search(task, carefully(await loadSolver()));
}

function search(task: SearchTask, solve: SolveModel): SearchResult {
  const { instance, first, seed, start, moves, stop } = task;
  const found = searchFrom(instance, solve, first, { seed, start, moves, onProgress: () => !isStopped(stop) });
  return { found, bound: found.stopped ? looseBound(instance) : quickBound(instance, solve) };
}

/** The worker beside: begun when it is first asked, and asked one thing at a time. */
class Beside {
  private worker: Worker | null = null;
  private busy = false;

  /** Null where the worker could not be had or was lost. */
  ask(task: SearchTask): Promise<SearchResult | null> {
    return new Promise((resolve) => {
      try {
        const worker = (this.worker ??= new Worker(new URL(import.meta.url), { resourceLimits: { maxYoungGenerationSizeMb: 16 } }));
        this.busy = true;
        const answer = (result: SearchResult | null): void => {
          this.busy = false;
          resolve(result);
        };
        const lost = (): void => {
          this.worker = null;
          answer(null);
        };
        worker.removeAllListeners();
        worker.ref();
        worker.on('error', lost);
        worker.on('exit', lost);
        worker.on('message', (message: FromWorker) => {
          if (message.type === 'done') answer(message.result as SearchResult);
          if (message.type === 'failed') answer(null);
        });
        worker.postMessage(task);
      } catch {
        resolve(null);
      }
    });
  }

  /** It waits for the next plan, and is no reason to stay; one that is still at something nobody waits for goes. */
  rest(): void {
    const { worker } = this;
    if (!worker) return;
    worker.removeAllListeners();
    const gone = (): void => {
      if (this.worker === worker) this.worker = null;
    };
    worker.on('error', gone);
    worker.on('exit', gone);
    worker.unref();
    if (!this.busy) return;
    this.busy = false;
    this.worker = null;
    void worker.terminate();
  }
}

/** Kept from plan to plan; it ends with the worker it belongs to. */
const beside = new Beside();
