import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Problem } from '../../core/shared/codes';
import { ownAdditions } from '../../contract/graphInUse';
import type { FromWorker, Task, ToWorker } from '../../workers/node/messages';

export interface Job<T = unknown> {
  readonly id: string;
  status: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
  progress: number;
  result?: T;
  problem?: Problem;
  readonly finished: Promise<Job<T>>;
}

interface Entry {
  readonly job: Job;
  readonly task: Task;
  readonly settle: () => void;
  /** Turns the worker's answer into the job's result (storing it, say). */
  readonly then: ((result: unknown) => unknown) | undefined;
  worker: Worker | null;
}

/** Workers at a time: both cores, never the event loop. */
const poolSize = 2;
const jobsKept = 200;

const entries = new Map<string, Entry>();
const waiting: Entry[] = [];
const idle: Worker[] = [];
let running = 0;

const workerFile = (): string => {
  const file = resolve(process.env['ZEITGEBER_WORKERS'] ?? 'dist/workers', 'task.worker.mjs');
  if (!existsSync(file)) throw new Error('The workers are not built. Run "npm run build" first.');
  return file;
};

/** Puts a task in the queue; the answer comes through `job.finished`, which never rejects. */
export function startJob<T>(task: Task, then?: (result: never) => T): Job<T> {
  let settle: () => void = () => undefined;
  const done = new Promise<void>((r) => (settle = r));
  const job: Job<T> = { id: crypto.randomUUID(), status: 'waiting', progress: 0, finished: done.then((): Job<T> => job) };
  const entry: Entry = { job, task, settle, then: then as ((result: unknown) => unknown) | undefined, worker: null };
  entries.set(job.id, entry);
  waiting.push(entry);
  forgetOld();
  pump();
  return job;
}

export function jobById(id: string): Job | undefined {
  return entries.get(id)?.job;
}

/** Stops a job; its worker is ended at once and another takes its place when needed. */
export function cancelJob(id: string): Job | undefined {
  const entry = entries.get(id);
  if (!entry) return undefined;
  if (entry.job.status === 'waiting') waiting.splice(waiting.indexOf(entry), 1);
  else if (entry.job.status !== 'running') return entry.job;
  end(entry, 'cancelled', { code: 'cancelled', message: 'Stopped on request.' });
  return entry.job;
}

/** Ends all workers; for a clean end of tests. */
export async function closePool(): Promise<void> {
  for (const entry of entries.values())
    if (entry.job.status === 'running') end(entry, 'cancelled', { code: 'cancelled', message: 'The program is closing.' });
  await Promise.all(idle.splice(0).map((w) => w.terminate()));
}

function pump(): void {
  while (running < poolSize && waiting.length > 0) {
    const entry = waiting.shift()!;
    running++;
    entry.job.status = 'running';
    const worker = idle.pop() ?? new Worker(workerFile());
    entry.worker = worker;
    worker.removeAllListeners();
    worker.on('message', (message: FromWorker) => receive(entry, message));
    worker.on('error', (error) =>
      end(entry, 'failed', { code: 'worker-lost', message: `The calculation stopped unexpectedly: ${error.message}` }),
    );
    worker.on('exit', () =>
      end(entry, 'failed', { code: 'worker-lost', message: 'The calculation was ended before it was finished. Try again.' }),
    );
    worker.ref();
    worker.postMessage({ own: ownAdditions(), task: entry.task } satisfies ToWorker);
  }
}

function receive(entry: Entry, message: FromWorker): void {
  if (entry.job.status !== 'running') return;
  if (message.type === 'progress') {
    entry.job.progress = message.share;
    return;
  }
  const worker = entry.worker!;
  worker.removeAllListeners();
  worker.on('error', () => idle.splice(idle.indexOf(worker), 1));
  worker.unref();
  idle.push(worker);
  entry.worker = null;
  running--;
  if (message.type === 'done') {
    try {
      entry.job.result = entry.then ? entry.then(message.result) : message.result;
      entry.job.progress = 1;
      entry.job.status = 'done';
    } catch (error) {
      entry.job.problem = { code: 'worker-lost', message: error instanceof Error ? error.message : String(error) };
      entry.job.status = 'failed';
    }
  } else {
    entry.job.problem = message.problem;
    entry.job.status = 'failed';
  }
  entry.settle();
  pump();
}

function end(entry: Entry, status: 'failed' | 'cancelled', problem: Problem): void {
  if (entry.job.status !== 'running' && entry.job.status !== 'waiting') return;
  const wasRunning = entry.job.status === 'running';
  entry.job.status = status;
  entry.job.problem = problem;
  if (wasRunning) {
    running--;
    entry.worker?.removeAllListeners();
    void entry.worker?.terminate();
    entry.worker = null;
  }
  entry.settle();
  pump();
}

function forgetOld(): void {
  for (const [id, entry] of entries) {
    if (entries.size <= jobsKept) return;
    if (entry.job.status !== 'running' && entry.job.status !== 'waiting') entries.delete(id);
  }
}
