/** Codes of expected failures. Wording lives in `src/text`. */
export const codes = [
  'malformed',
  'not-found',
  'conflict',
  'too-large',
  'out-of-range',
  'unknown-value',
  'duplicate',
  'cycle',
  'dangling',
  'impossible-parameters',
  'unknown-mechanism',
  'unknown-skill',
  'unknown-kind',
  'not-csv',
  'wrong-encoding',
  'missing-column',
  'bad-quantity',
  'in-the-future',
  'nobody-present',
  'no-tables',
  'infeasible',
  'implausible-pace',
  'worker-lost',
  'internal',
  'no-room',
  'damaged',
  'in-use',
  'newer-data',
  'unreadable',
  'not-playable',
  'cancelled',
  'refused-origin',
  'forbidden',
] as const;
export type Code = (typeof codes)[number];

export interface Problem {
  readonly code: Code;
  readonly message: string;
  readonly field?: string;
  readonly row?: number;
  readonly detail?: unknown;
}

export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const fail = (problem: Problem): { readonly ok: false; readonly problem: Problem } => ({ ok: false, problem });
