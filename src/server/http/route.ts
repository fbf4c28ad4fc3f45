import type { Address, Answer, Body, JobResult, Kept, Method, Params, Query, WireRoute, WireRoutes } from '../../contract/wire/route';
import type { Db } from '../db/db';

/** What every use case is given, whatever its address. */
export interface Occasion {
  readonly db: Db;
  /** The day on which this request takes place. */
  readonly today: string;
  /** A moment on that day, for stamps. */
  readonly now: string;
  /** The zone of the people at the tables, for days of moments. */
  readonly zone: string;
  /** The Idempotency-Key, from which a long work may make the id of what it stores. */
  readonly key: string | null;
}

/** A request that was checked against the schemas of its address. */
export interface RequestContext<A extends string, R extends WireRoute> extends Occasion {
  readonly params: Params<A>;
  readonly query: Query<R>;
  readonly body: Body<R>;
}

/** The last step of a use case that had to wait: runs at once, in one transaction with the kept answer. */
export class Commit<T = unknown> {
  constructor(readonly work: () => T) {}
}

/** An answer with a status or headers of its own, or that is no JSON. */
export class Reply<T = unknown> {
  constructor(
    readonly status: number,
    readonly body: T,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {}
}

/** The answer where long work goes on as a job with this result. */
export class Begun<J = unknown> extends Reply<{ job: string }> {
  declare readonly result?: J;
}

type Given<R extends WireRoute> =
  | Kept<Answer<R>>
  | Reply<Kept<Answer<R>> | (R['media'] extends string ? Uint8Array : never)>
  | Commit<Kept<Answer<R>>>
  | Begun<Kept<JobResult<R>>>;

type Handlers<T extends WireRoutes> = {
  readonly [A in keyof T & Address]: (context: RequestContext<A, T[A]>) => Given<T[A]> | Promise<Given<T[A]>>;
};

/** One row of the table that answers requests. */
export interface Route extends WireRoute {
  readonly method: Method;
  /** `/learners/{id}/mastery` */
  readonly path: string;
  readonly handle: (context: RequestContext<string, WireRoute>) => unknown;
}

/** A use case for every address of a contract: each is given what its schemas promise, and must answer what they say. */
export const serve = <T extends WireRoutes>(wire: T, handlers: Handlers<T>): readonly Route[] =>
  Object.entries(wire).map(([address, route]) => {
    const [method, path] = address.split(' ') as [Method, string];
    return { ...route, method, path, handle: handlers[address as keyof T & Address] as unknown as Route['handle'] };
  });

/** One page of a list, as every list answers. */
export function page<T>(all: readonly T[], query: { readonly limit?: number; readonly offset?: number }): { items: T[]; total: number } {
  const { limit = 100, offset = 0 } = query;
  return { items: all.slice(offset, offset + limit), total: all.length };
}
