import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { useOwnAdditions } from '../contract/graphInUse';
import type { Db } from './db/db';
import { closeDb, openAt } from './db/open';
import { ProblemError } from './http/problemError';
import type { Problem } from '../core/shared/codes';

/** An empty workspace in a directory of its own, for tests. */
export class Workspace {
  readonly directory = mkdtempSync(join(tmpdir(), 'zeitgeber-'));
  db: Db;

  constructor() {
    process.env['ZEITGEBER_DATA'] = this.directory;
    this.db = openAt(this.directory);
  }

  /** As after the program was stopped and started. */
  openAgain(): Db {
    this.db.$client.close();
    closeDb();
    return (this.db = openAt(this.directory));
  }

  remove(): void {
    this.db.$client.close();
    closeDb();
    useOwnAdditions({ skills: [], edges: [] });
    rmSync(this.directory, { recursive: true, force: true });
  }
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
