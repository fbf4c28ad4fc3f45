import type { Code, Problem } from '../../core/shared/codes';

/** An expected refusal, thrown inside a use case and answered with its status. */
export class ProblemError extends Error {
  constructor(
    readonly problem: Problem,
    readonly status: number = statusOf(problem.code),
  ) {
    super(problem.message);
  }
}

const statuses: Partial<Record<Code, number>> = { malformed: 400, 'not-found': 404, conflict: 409, 'too-large': 413, forbidden: 403, 'refused-origin': 403, 'worker-lost': 503 };

export function statusOf(code: Code): number {
  return statuses[code] ?? 422;
}

export const notFound = (what: string, id: string): ProblemError => new ProblemError({ code: 'not-found', message: `There is no ${what} "${id}".`, detail: { id } });

export const refuse = (code: Code, message: string, field?: string, detail?: unknown): ProblemError =>
  new ProblemError({ code, message, ...(field === undefined ? {} : { field }), ...(detail === undefined ? {} : { detail }) });
