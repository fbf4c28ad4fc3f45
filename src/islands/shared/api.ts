import type { Static } from '@sinclair/typebox';
import type { Api, ApiAddress } from '../../contract/wire/api';
import type { Answer, Body, JobResult, Kept, ParamNames, Params, Query } from '../../contract/wire/route';
import type { problem } from '../../contract/wire/schema';
import { pageAwake } from './pageAwake';
import type { WriteKey } from './useWriteKey';

/** The one way islands speak to the program: the same /api/v1 that scripts use. */

export type ApiProblem = Static<typeof problem>;

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

type RouteOf<A extends ApiAddress> = Api[A];
/** What a route answers, or the job with which a long work begins instead. */
export type Answered<A extends ApiAddress> = Answer<RouteOf<A>> | (RouteOf<A> extends { readonly job: unknown } ? Begun : never);
/** A job that goes on; `follow` waits for its end. */
export interface Begun {
  job: string;
}
export const isBegun = (answer: unknown): answer is Begun => typeof (answer as Begun).job === 'string';

type Needs<K extends string, T, Wanted extends boolean> = Wanted extends true ? { readonly [P in K]: T } : { readonly [P in K]?: never };
/** What a call must bring: names in the address, body, and as it likes query and write key. */
export type Given<A extends ApiAddress> = Needs<'params', Params<A>, [ParamNames<A>] extends [never] ? false : true> &
  Needs<'body', Kept<Body<RouteOf<A>>>, RouteOf<A> extends { readonly body: unknown } ? true : false> & {
    readonly query?: Query<RouteOf<A>>;
    readonly key?: string | WriteKey;
  };
type Wanted<A extends ApiAddress> = Record<never, never> extends Given<A> ? [given?: Given<A>] : [given: Given<A>];

/** Where a route is reached, with its names and query filled in; also for links that download. */
export function addressOf<A extends ApiAddress>(
  address: A,
  given: { readonly params?: object; readonly query?: Query<RouteOf<A>> } = {},
  more: Readonly<Record<string, string>> = {},
): string {
  const params = given.params as Readonly<Record<string, string>> | undefined;
  const path = address.slice(address.indexOf(' ') + 1).replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(params![name]!));
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries({ ...given.query, ...more })) if (value !== undefined) search.set(name, String(value));
  return `/api/v1${path}${search.size > 0 ? `?${search}` : ''}`;
}

/**
 * Asks one route; body, query and answer are as the program's own schemas have them.
 * @throws ApiError with what the program says, or `offline`.
 */
export async function call<A extends ApiAddress>(address: A, ...[asked]: Wanted<A>): Promise<Answered<A>> {
  const { body, key: write } = (asked ?? {}) as { body?: unknown; key?: string | WriteKey };
  const key = typeof write === 'object' ? write.for(body) : write;
  const today = askedToday();
  let response: Response;
  try {
    response = await fetch(addressOf(address, asked, today ? { today } : {}), {
      method: address.slice(0, address.indexOf(' ')),
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...(key ? { 'idempotency-key': key } : {}) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError({ code: 'offline', message: 'The program does not answer. Is it still running?' }, 0);
  }
  const text = await response.text();
  await pageAwake();
  const data = text ? (JSON.parse(text) as unknown) : null;
  if (!response.ok) throw new ApiError((data as { error: ApiProblem }).error, response.status);
  // A job that was only begun (202) may be asked for again.
  if (typeof write === 'object' && response.status !== 202) write.done();
  return data as Answered<A>;
}

/**
 * Asks a route that answers with a file; where it takes long, its job is followed to the end.
 * @throws ApiError as `call` does, or `cancelled` when it was stopped
 */
export async function fileOf<A extends ApiAddress>(
  address: A,
  given: Given<A>,
  signal?: AbortSignal,
  onProgress: (share: number) => void = () => undefined,
): Promise<Blob> {
  const today = askedToday();
  let response: Response;
  try {
    response = await fetch(addressOf(address, given, today ? { today } : {}), {
      method: address.slice(0, address.indexOf(' ')),
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(given.body),
      ...(signal ? { signal } : {}),
    });
  } catch {
    if (signal?.aborted) throw new ApiError({ code: 'cancelled', message: 'Stopped.' }, 0);
    throw new ApiError({ code: 'offline', message: 'The program does not answer. Is it still running?' }, 0);
  }
  if (!response.ok) throw new ApiError(((await response.json()) as { error: ApiProblem }).error, response.status);
  if (response.status !== 202) return response.blob();
  const begun = (await response.json()) as Begun;
  await follow(address, begun, onProgress, signal);
  const file = await fetch(addressOf('GET /jobs/{id}/file', { params: { id: begun.job } }));
  if (!file.ok) throw new ApiError(((await file.json()) as { error: ApiProblem }).error, file.status);
  return file.blob();
}

/** Hands a file to the browser under a name. */
export function saveFile(file: Blob, name: string): void {
  const address = URL.createObjectURL(file);
  const a = document.createElement('a');
  a.href = address;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}

export async function base64Of(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

/** Asks a route whose long work gives the same as its answer, and waits for the end, as long as it takes. */
export async function finished<A extends ApiAddress>(
  address: A,
  given: Given<A>,
  onProgress: (share: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<Answer<RouteOf<A>>> {
  const first = await call(address, ...([given] as unknown as Wanted<A>));
  return isBegun(first) ? ((await follow(address, first, onProgress, signal)) as Answer<RouteOf<A>>) : (first as Answer<RouteOf<A>>);
}

/** Follows long work of a route until it ends, and gives what the job made. */
export async function follow<A extends ApiAddress>(
  _of: A,
  { job }: Begun,
  onProgress: (share: number) => void,
  signal?: AbortSignal,
): Promise<JobResult<RouteOf<A>>> {
  const id = { params: { id: job } };
  for (;;) {
    if (signal?.aborted) {
      await call('DELETE /jobs/{id}', id);
      throw new ApiError({ code: 'cancelled', message: 'Stopped.' }, 0);
    }
    const state = await call('GET /jobs/{id}', id);
    onProgress(state.progress);
    if (state.status === 'done') return state.result as JobResult<RouteOf<A>>;
    if (state.status === 'failed' || state.status === 'cancelled')
      throw new ApiError(state.problem ?? { code: state.status, message: 'Stopped.' }, 0);
    await new Promise((r) => setTimeout(r, 120));
  }
}
