import { FIELD } from '../mastery/parameters';
import { meanFor } from '../mastery/field';
import type { KnownOf } from '../mastery/standing';

/** What is known where somebody holds each skill with so much likelihood, each seen about equally well. */
export function knownFrom(held: ArrayLike<number>, due?: ArrayLike<number>): KnownOf {
  const theta = Float64Array.from(held, (p) => Math.min(FIELD.meanRange[1], meanFor(p, 0.6)));
  return { held, theta, due: due ?? new Uint8Array(held.length) };
}
