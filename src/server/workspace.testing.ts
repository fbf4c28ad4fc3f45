import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Db } from './db/db';
import { closeDb, openDb } from './db/open';
import { dispatch } from './http/dispatch';
import { ProblemError } from './http/problemError';
import type { Problem } from '../core/shared/codes';

/** An answer of the API, as a test reads it. */
export interface Answered {
  readonly status: number;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
}

/** An empty workspace in a directory of its own, for tests. */
export class Workspace {
  readonly directory = mkdtempSync(join(tmpdir(), 'zeitgeber-'));
  db: Db;

  constructor() {
    process.env['ZEITGEBER_DATA'] = this.directory;
    this.db = openDb();
  }

  /** As after the program was stopped and started. */
  openAgain(): Db {
    closeDb();
    return (this.db = openDb());
  }

  remove(): void {
    closeDb();
    rmSync(this.directory, { recursive: true, force: true });
    // Test files share one process: what one says of its program does not hold for the next.
    for (const name of ['ZEITGEBER_TEST', 'ZEITGEBER_DEMO', 'ZEITGEBER_TODAY']) delete process.env[name];
  }
}

/** Asks the API as a page would. */
export async function ask(method: string, path: string, body?: unknown, headers: Readonly<Record<string, string>> = {}): Promise<Answered> {
  const address = `http://127.0.0.1/api/v1${path}`;
  const request = new Request(address, {
    method,
    headers,
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  const response = await dispatch(request, new URL(address).pathname.replace('/api/v1', ''));
  if (response.headers.get('content-type') === 'application/pdf')
    return { status: response.status, body: new Uint8Array(await response.arrayBuffer()) };
  const text = await response.text();
  return { status: response.status, body: response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : text };
}

/** The problem that a refused call names. */
export function problemOf(run: () => unknown): Problem {
  try {
    run();
  } catch (error) {
    if (error instanceof ProblemError) return error.problem;
    throw error;
  }
  throw new Error('nothing was refused');
}
