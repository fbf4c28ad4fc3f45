import { timePattern } from '../../core/shared/days';
import type { Db } from '../db/db';

export type Schema = Readonly<Record<string, unknown>>;

export interface RequestContext {
  readonly db: Db;
  readonly params: Readonly<Record<string, string>>;
  readonly query: Readonly<Record<string, string>>;
  /** Checked against the route's body schema. */
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
  /** The day on which this request takes place. */
  readonly today: string;
  /** A moment on that day, for stamps. */
  readonly now: string;
  /** The zone of the people at the tables, for days of moments. */
  readonly zone: string;
  /** The Idempotency-Key, from which a long work may make the id of what it stores. */
  readonly key: string | null;
}

/** The last step of a use case that had to wait: runs at once, in one transaction with the kept answer. */
export class Commit {
  constructor(readonly work: () => unknown) {}
}

/** An answer other than plain JSON with the route's own status. */
export class Reply {
  constructor(
    readonly status: number,
    readonly body: unknown,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {}
}

export interface Route {
  readonly method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  /** `/learners/{id}/mastery` */
  readonly path: string;
  readonly summary: string;
  readonly query?: Readonly<Record<string, Schema>>;
  readonly body?: Schema;
  readonly status?: number;
  readonly response: Schema;
  /** Other media type than JSON. */
  readonly media?: string;
  /** Does not end at once, or must not stand in a transaction; what it writes at the end it may hand over as a `Commit`. */
  readonly waits?: boolean;
  readonly handle: (context: RequestContext) => unknown;
}

export const obj = (properties: Readonly<Record<string, Schema>>, required?: readonly string[], more: Schema = {}): Schema => ({
  type: 'object',
  properties,
  required: required ?? Object.keys(properties),
  ...more,
});
/** A request body: unknown fields are refused by name. */
export const closed = (properties: Readonly<Record<string, Schema>>, required: readonly string[] = []): Schema =>
  obj(properties, required, { additionalProperties: false });
/** Bounds that no honest request comes near: a list, a text of one line, of a page, of a file, a number. */
const mostItems = 20_000;
const longestText = 4000;
const farthest = 1e9;
export const arr = (items: Schema, maxItems = mostItems): Schema => ({ type: 'array', items, maxItems });
export const str: Schema = { type: 'string', maxLength: longestText };
/** A name or title: one line. */
export const name: Schema = { type: 'string', maxLength: 200 };
/** A whole file. */
export const fileText: Schema = { type: 'string' };
export const num: Schema = { type: 'number', minimum: -farthest, maximum: farthest };
export const int: Schema = { type: 'integer', minimum: -farthest, maximum: farthest };
/** A time of day. */
export const time: Schema = { type: 'string', pattern: timePattern };
export const bool: Schema = { type: 'boolean' };
export const any: Schema = {};
export const oneOf = (...values: readonly (string | number | null)[]): Schema => ({ enum: values });
export const nullable = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
/** A day that there is: no thirtieth of February. */
export const day: Schema = { type: 'string', format: 'date' };
export const list = (items: Schema): Schema => obj({ items: arr(items), total: int });
export const ok: Schema = obj({ ok: { const: true } });
/** Done, and the change that `/undo` takes back. */
export const undoable: Schema = obj({ ok: { const: true }, change: str });

export const pageQuery = {
  limit: { type: 'integer', minimum: 1, maximum: 5000, default: 100 },
  offset: { type: 'integer', minimum: 0, default: 0 },
} as const;

/** One page of a list, as every list answers. */
export function page<T>(all: readonly T[], query: Readonly<Record<string, string>>): { items: T[]; total: number } {
  const limit = Number(query['limit'] ?? 100);
  const offset = Number(query['offset'] ?? 0);
  return { items: all.slice(offset, offset + limit), total: all.length };
}
