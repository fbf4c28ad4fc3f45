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

const statuses: Partial<Record<Code, number>> = {
  malformed: 400,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  forbidden: 403,
  'refused-origin': 403,
  'worker-lost': 503,
  internal: 500,
  'no-room': 507,
};

export function statusOf(code: Code): number {
  return statuses[code] ?? 422;
}

export const notFound = (what: string, id: string): ProblemError =>
  new ProblemError({ code: 'not-found', message: `There is no ${what} "${id}".`, detail: { id } });

export const refuse = (code: Code, message: string, field?: string, detail?: unknown): ProblemError =>
  new ProblemError({ code, message, ...(field === undefined ? {} : { field }), ...(detail === undefined ? {} : { detail }) });

/** Reads every field, so that all that is wrong is told at once: the first as the problem, the others in its detail. */
export function everyField<T extends Record<string, () => unknown>>(fields: T): { [K in keyof T]: ReturnType<T[K]> } {
  const problems: Problem[] = [];
  const read = Object.entries(fields).map(([name, reader]) => {
    try {
      return [name, reader()];
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      problems.push(error.problem);
      return [name, undefined];
    }
  });
  const first = problems[0];
  if (first) throw new ProblemError(problems.length > 1 ? { ...first, detail: { problems } } : first);
  return Object.fromEntries(read) as { [K in keyof T]: ReturnType<T[K]> };
}
