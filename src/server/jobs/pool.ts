import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Problem } from '../../core/shared/codes';
import type { FromWorker, Task } from '../../workers/node/messages';
import { projectPath } from '../shared/projectPath';
import { giveBack } from './giveBack';
import { cancelAllJobs, type Job, type OpenJob, openJob, problemOf, stopped } from './jobList';

/** Work that runs once, for everybody who asked for it. */
interface Entry {
  readonly kind: Task['kind'];
  readonly key: string | undefined;
  /** Let go of when the work is over: a job is kept for its result, and a plan's task is many megabytes. */
  work: {
    readonly task: Task;
    /** Turns the worker's answer into the jobs' result (storing it, say). */
    readonly then: ((result: unknown) => unknown) | undefined;
    /** What is worth keeping of work that was lost before its end. */
    readonly salvage: ((final: readonly unknown[], problem: Problem) => Problem) | undefined;
  } | null;
  /** What the worker gave before its end, by index. */
  readonly parts: Map<number, { readonly part: unknown; readonly final: boolean }>;
  /** Set, it asks the worker to end with the best so far. */
  readonly stop: SharedArrayBuffer | undefined;
  /** What each asker waits for; several may wait for the same work. */
  readonly handles: OpenJob[];
  status: 'waiting' | 'running' | 'over';
  progress: number;
  worker: Worker | null;
}

/** Workers at a time: both cores, never the event loop. */
const poolSize = 2;
/** A plan or a sheet never waits for simulations: somebody looks at the screen, and one more worker may run for it. */
const extraPlaces = 1;
const isWaitedFor = (kind: Task['kind']): boolean => kind === 'plan' || kind === 'print';
const shared = new Map<string, Entry>();
const waiting: Entry[] = [];
const idle: Worker[] = [];
let running = 0;

/** Workers that run now; none is left behind when one cannot be started or vanishes. */
export const workersBusy = (): number => running;
/** Workers that wait for the next task. */
export const workersKept = (): number => idle.length;

const workersMissing: Problem = { code: 'internal', message: 'The workers are not built. Run "npm run build" first.' };
const vanished: Problem = { code: 'worker-lost', message: 'The calculation was ended before it was finished. Try again.' };

/**
 * Puts a task in the queue; the answer comes through `job.finished`, which never rejects.
 * Tasks with the same `key` run once; each asker has a job of its own, and stopping one stops only that asker.
 */
export function startJob<T>(
  given: Task,
  then?: (result: never) => T,
  key?: string,
  salvage?: (final: never, problem: Problem) => Problem,
): Job<T> {
  const known = key === undefined ? undefined : shared.get(key);
  const stop = given.kind === 'plan' ? new SharedArrayBuffer(4) : undefined;
  const task: Task = given.kind === 'plan' ? { ...given, stop: stop! } : given;
  const entry: Entry = known ?? {
    kind: task.kind,
    key,
    work: { task, then: then as ((result: unknown) => unknown) | undefined, salvage: salvage as never },
    parts: new Map(),
    stop,
    handles: [],
    status: 'waiting',
    progress: 0,
    worker: null,
  };
  const job = attend<T>(entry);
  if (known) return job;
  if (key !== undefined) shared.set(key, entry);
  // What is waited for goes before simulations, each in the order in which it came.
  const firstOther = isWaitedFor(task.kind) ? waiting.findIndex((e) => !isWaitedFor(e.kind)) : -1;
  if (firstOther >= 0) waiting.splice(firstOther, 0, entry);
  else waiting.push(entry);
  pump();
  return job;
}

function attend<T>(entry: Entry): Job<T> {
  const { job, settle } = openJob<T>(
    entry.status === 'running' ? 'running' : 'waiting',
    (own) => leave(entry, own),
    () => finishEarly(entry),
  );
  job.progress = entry.progress;
  entry.handles.push({ job, settle });
  return job;
}

/** A worker that was asked to end has so long to do it; then what it gave so far is taken. */
const patienceMs = 6000;

/** Asks for the best so far; false where there is none to be had before the end. */
function finishEarly(entry: Entry): boolean {
  if (!entry.stop || entry.status === 'over') return false;
  if (entry.status === 'waiting') {
    end(entry, 'cancelled', stopped);
    return true;
  }
  Atomics.store(new Int32Array(entry.stop), 0, 1);
  setTimeout(() => {
    if (entry.status !== 'running') return;
    const parts = [...entry.parts].sort(([x], [y]) => x - y).map(([, p]) => p.part);
    if (parts.length === 0) return end(entry, 'failed', vanished);
    void entry.worker?.removeAllListeners();
    conclude(entry, { type: 'done', result: parts });
  }, patienceMs).unref();
  return true;
}

function leave(entry: Entry, job: Job): void {
  const own = entry.handles.find((h) => h.job === job)!;
  if (entry.handles.length === 1) return end(entry, 'cancelled', stopped);
  entry.handles.splice(entry.handles.indexOf(own), 1);
  own.settle('cancelled', stopped);
}

/** Ends all workers; for a clean end of tests. */
export async function closePool(): Promise<void> {
  cancelAllJobs();
  await Promise.all(idle.splice(0).map((worker) => worker.terminate()));
}

function pump(): void {
  for (;;) {
    const next = waiting[0];
    if (!next || running >= (isWaitedFor(next.kind) ? poolSize + extraPlaces : poolSize)) return;
    waiting.shift();
    run(next);
  }
}

function run(entry: Entry): void {
  let worker: Worker;
  try {
    worker = idle.pop() ?? newWorker();
  } catch (error) {
    // Not counted as running yet, so nothing is left behind.
    const problem = error instanceof WorkersMissing ? workersMissing : { code: 'worker-lost' as const, message: startFailed(error) };
    end(entry, 'failed', problem);
    return;
  }
  running++;
  entry.status = 'running';
  for (const h of entry.handles) h.job.status = 'running';
  entry.worker = worker;
  worker.removeAllListeners();
  worker.on('message', (message: FromWorker) => receive(entry, message));
  worker.on('error', (error) =>
    end(entry, 'failed', { code: 'worker-lost', message: `The calculation stopped unexpectedly: ${error.message}` }),
  );
  worker.on('exit', () => end(entry, 'failed', vanished));
  worker.ref();
  try {
    worker.postMessage(entry.work!.task);
  } catch (error) {
    end(entry, 'failed', { code: 'internal', message: startFailed(error) });
  }
}

class WorkersMissing extends Error {}

const startFailed = (error: unknown): string =>
  `The calculation could not be started: ${error instanceof Error ? error.message : String(error)}`;

function newWorker(): Worker {
  const file = join(projectPath('ZEITGEBER_WORKERS', 'dist/workers'), 'task.worker.mjs');
  if (!existsSync(file)) throw new WorkersMissing();
  return new Worker(file, { resourceLimits: { maxYoungGenerationSizeMb: 16 } });
}

function receive(entry: Entry, message: FromWorker): void {
  if (entry.status !== 'running') return;
  if (message.type === 'progress') {
    entry.progress = message.share;
    for (const h of entry.handles) h.job.progress = message.share;
    return;
  }
  if (message.type === 'part') {
    entry.parts.set(message.index, message);
    return;
  }
  conclude(entry, message);
}

function conclude(entry: Entry, message: Extract<FromWorker, { type: 'done' | 'failed' }>): void {
  const worker = entry.worker!;
  entry.worker = null;
  running--;
  release(worker, entry.kind);
  let outcome: { status: 'done'; result: unknown } | { status: 'failed'; problem: Problem };
  if (message.type === 'failed') outcome = { status: 'failed', problem: salvaged(entry, message.problem) };
  else {
    try {
      const then = entry.work?.then;
      outcome = { status: 'done', result: then ? then(message.result) : message.result };
    } catch (error) {
      outcome = { status: 'failed', problem: problemOf(error) };
    }
  }
  over(entry);
  for (const h of entry.handles) {
    if (outcome.status === 'done') {
      h.job.result = outcome.result;
      h.job.progress = 1;
    }
    h.settle(outcome.status, outcome.status === 'failed' ? outcome.problem : undefined);
  }
  pump();
}

/** Plans that a worker makes before it is renewed: the solver's memory only grows, and what ended threads leave behind is given back late. */
const plansEach = 10;
/** How many plans a task is. */
const plansIn: Partial<Record<Task['kind'], number>> = { plan: 1, 'plan-b': plansEach };
/** One that waits for the next plan longer than this ends. */
const planIdleMs = 3000;
const plansMade = new WeakMap<Worker, number>();

/** A worker is kept for the next task, until it has made so many plans. */
function release(worker: Worker, kind: Task['kind']): void {
  worker.removeAllListeners();
  const made = (plansMade.get(worker) ?? 0) + (plansIn[kind] ?? 0);
  plansMade.set(worker, made);
  if (made >= plansEach || idle.length >= poolSize) {
    void worker.terminate();
    return;
  }
  const gone = (): void => {
    const at = idle.indexOf(worker);
    if (at >= 0) idle.splice(at, 1);
  };
  // Whoever plans, plans again soon or not for long: what a solver holds is not held for nothing.
  if (made > 0)
    setTimeout(() => {
      if (!idle.includes(worker) || plansMade.get(worker) !== made) return;
      gone();
      void worker.terminate().then(() => {
        if (running === 0) giveBack();
      });
    }, planIdleMs).unref();
  worker.on('error', gone);
  worker.on('exit', gone);
  worker.unref();
  idle.push(worker);
}

function end(entry: Entry, status: 'failed' | 'cancelled', problem: Problem): void {
  if (entry.status === 'over') return;
  if (entry.status === 'waiting' && waiting.includes(entry)) waiting.splice(waiting.indexOf(entry), 1);
  if (entry.status === 'running') running--;
  entry.worker?.removeAllListeners();
  void entry.worker?.terminate();
  entry.worker = null;
  const told = status === 'failed' ? salvaged(entry, problem) : problem;
  over(entry);
  for (const h of entry.handles) h.settle(status, told);
  pump();
}

/** Keeps what was finished of lost work, and says so with the problem. */
function salvaged(entry: Entry, problem: Problem): Problem {
  const final = [...entry.parts].filter(([, p]) => p.final).sort(([x], [y]) => x - y);
  if (final.length === 0 || !entry.work?.salvage) return problem;
  try {
    return entry.work.salvage(
      final.map(([, p]) => p.part),
      problem,
    );
  } catch {
    return problem;
  }
}

function over(entry: Entry): void {
  entry.status = 'over';
  entry.work = null;
  entry.parts.clear();
  if (entry.key !== undefined && shared.get(entry.key) === entry) shared.delete(entry.key);
}
