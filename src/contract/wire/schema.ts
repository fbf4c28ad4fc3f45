import { type Static, type TObject, type TOptional, type TSchema, Type } from '@sinclair/typebox';
import { timePattern } from '../../core/shared/days';

/** Parts of wire schemas: JSON Schema 2020-12 that carries its type, so that nothing is said twice. */

type Shape = Readonly<Record<string, TSchema>>;
type Some<P extends Shape, R extends keyof P> = TObject<{ [K in keyof P]: K extends R ? P[K] : TOptional<P[K]> }>;

export const opt = <S extends TSchema>(schema: S) => Type.Optional(schema);
/** An answer: other fields may stand beside these. Fields are there unless they are `opt`. */
export const obj = <P extends Shape>(properties: P): TObject<P> => Type.Object(properties);
/** A request body: only `required` must be there, and unknown fields are refused by name. */
export function closed<P extends Shape, const R extends readonly (keyof P & string)[] = []>(
  properties: P,
  required?: R,
): Some<P, R[number]> {
  const needed: readonly string[] = required ?? [];
  const fields = Object.entries(properties).map(([key, schema]) => [key, needed.includes(key) ? schema : opt(schema)]);
  return Type.Object(Object.fromEntries(fields) as never, { additionalProperties: false }) as unknown as Some<P, R[number]>;
}
/** Bounds that no honest request comes near: a list, a text of one line, of a page, of a file, a number. */
const mostItems = 20_000;
const longestText = 4000;
const farthest = 1e9;
export const arr = <S extends TSchema>(items: S, maxItems = mostItems, minItems?: number) =>
  Type.Array(items, { maxItems, ...(minItems === undefined ? {} : { minItems }) });
export const pair = <S extends TSchema>(of: S) =>
  Type.Unsafe<[Static<S>, Static<S>]>({ type: 'array', items: of, minItems: 2, maxItems: 2 });
export const str = Type.String({ maxLength: longestText });
/** A name or title: one line. */
export const name = Type.String({ maxLength: 200 });
/** A whole file. */
export const fileText = Type.String();
export const num = Type.Number({ minimum: -farthest, maximum: farthest });
export const int = Type.Integer({ minimum: -farthest, maximum: farthest });
export const within = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
export const whole = (minimum: number, maximum: number) => Type.Integer({ minimum, maximum });
export const seed = whole(0, Number.MAX_SAFE_INTEGER);
/** A time of day. */
export const time = Type.String({ pattern: timePattern });
export const bool = Type.Boolean();
/** What only the reader knows: a parameter of a family, a foreign package. */
export const anything = Type.Unknown();
export const oneOf = <const V extends readonly (string | number | null)[]>(...values: V) => Type.Unsafe<V[number]>({ enum: [...values] });
export const truth = oneOf('true', 'false');
export const nullable = <S extends TSchema>(schema: S) => Type.Union([schema, Type.Null()]);
/** Values by names that are not known beforehand. */
export const record = <S extends TSchema>(of: S) => Type.Unsafe<Record<string, Static<S>>>({ type: 'object', additionalProperties: of });
/** A day that there is: no thirtieth of February. */
export const day = Type.String({ format: 'date' });
export const list = <S extends TSchema>(items: S) => obj({ items: arr(items, 1e9), total: int });
export const ok = obj({ ok: Type.Literal(true) });
/** Done, and the change that `/undo` takes back. */
export const undoable = obj({ ok: Type.Literal(true), change: str });
/** What was added or changed; `version` where it was there before, `change` is what `/undo` takes back. */
export const changed = obj({ id: str, version: opt(int), change: str });
export const estimate = obj({ mean: num, standardError: num });

export const pageQuery = {
  limit: Type.Integer({ minimum: 1, maximum: 5000, default: 100 }),
  offset: Type.Integer({ minimum: 0, maximum: Number.MAX_SAFE_INTEGER, default: 0 }),
} as const;
/** How many seconds an answer is waited for before there is a job instead. */
export const waitQuery = { wait: within(0, 60) } as const;

export const problem = obj({ code: str, message: str, field: opt(str), row: opt(int), detail: opt(anything) });
