import type { Code, Problem } from '../../core/shared/codes';

/** Why the program cannot work with its data at all; said in one line at start, and by every request. */
export class StartupError extends Error {
  readonly problem: Problem;

  constructor(code: Code, message: string) {
    super(message);
    this.problem = { code, message };
  }
}
