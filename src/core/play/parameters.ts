/** One parameter: how it is asked for, and the value it has unless said otherwise. */
export interface Param<T> {
  readonly schema: Readonly<Record<string, unknown>>;
  readonly value: T;
}

export const whole = (title: string, minimum: number, maximum: number, value: number): Param<number> => ({
  schema: { type: 'integer', minimum, maximum, title },
  value,
});
export const share = (title: string, value: number): Param<number> => ({
  schema: { type: 'number', minimum: 0, maximum: 1, title },
  value,
});
export const yesNo = (title: string, value: boolean): Param<boolean> => ({ schema: { type: 'boolean', title }, value });
export const oneOf = <const T extends string | number>(title: string, options: readonly T[], value: NoInfer<T>): Param<T> => ({
  schema: { enum: options, title },
  value,
});
export const someOf = <const T extends string | number>(
  title: string,
  options: readonly T[],
  value: readonly NoInfer<T>[],
): Param<readonly T[]> => ({
  schema: { type: 'array', minItems: 1, uniqueItems: true, items: { enum: options }, title },
  value,
});
/** Single cards that are not in the deck any more, each named once for every copy that is gone. */
export const missingCards = (title = 'Cards that are missing'): Param<readonly number[]> => ({
  schema: { type: 'array', maxItems: 40, items: { type: 'integer', minimum: 0, maximum: 100 }, title },
  value: [],
});
/** Pairs of whole numbers, such as a jump from one space to another. */
export const pairs = (
  title: string,
  maximum: number,
  value: readonly (readonly [number, number])[],
  most = 20,
): Param<readonly (readonly [number, number])[]> => ({
  schema: {
    type: 'array',
    maxItems: most,
    items: { type: 'array', minItems: 2, maxItems: 2, items: { type: 'integer', minimum: 0, maximum } },
    title,
  },
  value,
});

export type Values<S> = { readonly [K in keyof S]: S[K] extends Param<infer T> ? T : never };

export interface ParameterSet<P> {
  readonly SCHEMA: {
    readonly type: 'object';
    readonly additionalProperties: false;
    readonly properties: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  };
  readonly DEFAULTS: P;
}

/** The schema and the defaults of a mechanism, written once. */
export function parameters<const S extends Readonly<Record<string, Param<unknown>>>>(set: S): ParameterSet<Values<S>> {
  return {
    SCHEMA: {
      type: 'object',
      additionalProperties: false,
      properties: Object.fromEntries(Object.entries(set).map(([name, p]) => [name, p.schema])),
    },
    DEFAULTS: Object.fromEntries(Object.entries(set).map(([name, p]) => [name, p.value])) as Values<S>,
  };
}
