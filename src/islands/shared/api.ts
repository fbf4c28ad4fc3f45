import type { WriteKey } from './useWriteKey';

/** The one way islands speak to the program: the same /api/v1 that scripts use. */

export interface ApiProblem {
  code: string;
  message: string;
  field?: string;
  row?: number;
  detail?: unknown;
}

export class ApiError extends Error {
  constructor(
    readonly problem: ApiProblem,
    readonly status: number,
  ) {
    super(problem.message);
  }
}

/** What is wrong with one field of a form, by the answer of the program; null when nothing is. */
export function problemAt(error: unknown, field: string): string | null {
  if (!(error instanceof ApiError)) return null;
  const { problem } = error;
  const others = (problem.detail as { problems?: ApiProblem[] } | undefined)?.problems ?? [];
  return [problem, ...others].find((p) => p.field === field)?.message ?? null;
}

/** A day that stands for the clock, carried in the page's address. */
export function askedToday(): string | null {
  return typeof location === 'undefined' ? null : new URLSearchParams(location.search).get('today');
}

/** An address inside the program, keeping the day that was asked for. */
export function link(path: string): string {
  const today = askedToday();
  return today ? `${path}${path.includes('?') ? '&' : '?'}today=${today}` : path;
}

export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
  write?: string | WriteKey,
): Promise<T> {
  const key = typeof write === 'object' ? write.for(body) : write;
  const today = askedToday();
  const address = `/api/v1${path}${today ? `${path.includes('?') ? '&' : '?'}today=${today}` : ''}`;
  let response: Response;
  try {
    response = await fetch(address, {
      method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...(key ? { 'idempotency-key': key } : {}) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError({ code: 'offline', message: 'The program does not answer. Is it still running?' }, 0);
  }
  const text = await response.text();
  const data = text ? (JSON.parse(text) as unknown) : null;
  if (!response.ok) throw new ApiError((data as { error: ApiProblem }).error, response.status);
  // A job that was only begun (202) may be asked for again.
  if (typeof write === 'object' && response.status !== 202) write.done();
  return data as T;
}

export const get = <T>(path: string): Promise<T> => api<T>('GET', path);

export interface Page<T> {
  items: T[];
  total: number;
}

export async function base64Of(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

interface JobState<T> {
  status: string;
  progress: number;
  result?: T;
  problem?: ApiProblem;
}

/** Follows long work until it ends. */
export async function follow<T>(job: string, onProgress: (share: number) => void, signal?: AbortSignal): Promise<T> {
  for (;;) {
    if (signal?.aborted) {
      await api('DELETE', `/jobs/${job}`);
      throw new ApiError({ code: 'cancelled', message: 'Stopped.' }, 0);
    }
    const state = await get<JobState<T>>(`/jobs/${job}`);
    onProgress(state.progress);
    if (state.status === 'done') return state.result!;
    if (state.status === 'failed' || state.status === 'cancelled')
      throw new ApiError(state.problem ?? { code: state.status, message: 'Stopped.' }, 0);
    await new Promise((r) => setTimeout(r, 120));
  }
}
