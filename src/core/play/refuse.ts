import type { Problem } from '../shared/codes';

/** Parameters that cannot work together, with the field that is easiest to change. */
export const impossible = (field: string, message: string): Problem => ({ code: 'impossible-parameters', field, message });

/** The first problem found, or null. */
export const firstOf = (...problems: (Problem | null | false)[]): Problem | null => problems.find((p): p is Problem => Boolean(p)) ?? null;

/** Highest must not lie below lowest. */
export const inOrder = (low: number, high: number, field: string, what: string): Problem | null =>
  high < low ? impossible(field, `The highest ${what} (${high}) is below the lowest (${low}).`) : null;

interface HasParameters<P> {
  readonly parameters: P;
}

/** What lies on the table belongs to everyone, so these must agree between the seats. */
export function sharedBy<P extends object>(seats: readonly HasParameters<P>[], keys: readonly (keyof P & string)[]): Problem | null {
  const first = seats[0]!.parameters;
  const differs = keys.find((key) => seats.some((s) => JSON.stringify(s.parameters[key]) !== JSON.stringify(first[key])));
  return differs ? impossible(differs, `"${differs}" must be the same for everyone at the table.`) : null;
}

/** Everything is shared except these, which each player may have an own value of. */
export function ownOnly<P extends object>(seats: readonly HasParameters<P>[], own: readonly (keyof P & string)[]): Problem | null {
  return sharedBy(
    seats,
    (Object.keys(seats[0]!.parameters) as (keyof P & string)[]).filter((key) => !own.includes(key)),
  );
}
