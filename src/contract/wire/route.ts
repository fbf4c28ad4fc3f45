import type { Static, TSchema } from '@sinclair/typebox';

export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
export type Address = `${Method} /${string}`;

/** What travels at one address: everything the server checks, the description tells and the pages are typed by. */
export interface WireRoute {
  readonly summary: string;
  readonly query?: Readonly<Record<string, TSchema>>;
  readonly body?: TSchema;
  readonly status?: number;
  readonly response: TSchema;
  /** Long work: it may answer 202 with a job instead, whose result is this. */
  readonly job?: TSchema;
  /** Other media type than JSON. */
  readonly media?: string;
  /** Does not end at once, or must not stand in a transaction; what it writes at the end it may hand over as a `Commit`. */
  readonly waits?: boolean;
}

export type WireRoutes = Readonly<Record<Address, WireRoute>>;

/** Keeps every address and schema as exactly as it was written. */
export const define = <const T extends WireRoutes>(routes: T): T => routes;

/** Names in braces: `/learners/{id}`. */
export type ParamNames<A extends string> = A extends `${string}{${infer N}}${infer Rest}` ? N | ParamNames<Rest> : never;
export type Params<A extends string> = Readonly<Record<ParamNames<A>, string>>;
export type Query<R extends WireRoute> =
  R['query'] extends Readonly<Record<string, TSchema>>
    ? { readonly [K in keyof R['query']]?: Static<R['query'][K]> }
    : Readonly<Record<never, never>>;
export type Body<R extends WireRoute> = R['body'] extends TSchema ? Static<R['body']> : null;
export type Answer<R extends WireRoute> = Static<R['response']>;
export type JobResult<R extends WireRoute> = R['job'] extends TSchema ? Static<R['job']> : never;

/** The same shape where nothing may be written to: use cases hand out what they hold. */
export type Kept<T> = T extends (infer E)[]
  ? T extends [unknown, ...unknown[]]
    ? { readonly [K in keyof T]: Kept<T[K]> }
    : readonly Kept<E>[]
  : T extends object
    ? { readonly [K in keyof T]: Kept<T[K]> }
    : T;
