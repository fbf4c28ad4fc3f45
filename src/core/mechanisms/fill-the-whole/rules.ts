import { fractionCode, greatestCommonDivisor } from '../../items/fraction';
import type { FillParameters } from './parameters';

/** Faces of the fraction die of each sort, over one common bottom number: small pieces come more often. */
const dice: Readonly<Record<FillParameters['pieces'], { readonly of: number; readonly faces: readonly number[] }>> = {
  'halves-quarters': { of: 4, faces: [2, 2, 1, 1, 1, 1] },
  'halves-quarters-eighths': { of: 8, faces: [4, 2, 2, 1, 1, 1] },
  'thirds-sixths': { of: 6, faces: [2, 2, 2, 1, 1, 1] },
  'halves-thirds-sixths': { of: 6, faces: [3, 2, 2, 1, 1, 1] },
  'fifths-tenths': { of: 10, faces: [2, 2, 2, 1, 1, 1] },
  'quarters-sixths-twelfths': { of: 12, faces: [3, 3, 2, 2, 1, 1] },
};
export const dieOf = (p: FillParameters): { readonly of: number; readonly faces: readonly number[] } => dice[p.pieces];

/** `n` parts of `of`, as it is said: two eighths are a quarter. */
export function asFraction(n: number, of: number): number {
  const shared = greatestCommonDivisor(n, of) || 1;
  return fractionCode(n / shared, of / shared);
}

/**
 * Expected turns to fill so many parts alone, when the piece that leaves least to be expected is laid:
 * E(r) = 1 + Σ P(draw) · min over fitting pieces of E(r − piece), and E(r) again where none fits.
 */
export function expectedTurns(p: FillParameters): Float64Array {
  const { of, faces } = dieOf(p);
  const all = of * p.wholes;
  const e = new Float64Array(all + 1);
  const draws = tuples(faces, p.choose);
  for (let r = 1; r <= all; r++) {
    let sum = 0;
    let stuck = 0;
    for (const draw of draws) {
      const fits = draw.filter((f) => f <= r || p.finish === 'may-be-larger').map((f) => e[Math.max(0, r - f)]!);
      if (fits.length === 0) stuck++;
      else sum += Math.min(...fits);
    }
    e[r] = (draws.length + sum) / (draws.length - stuck);
  }
  return e;
}

function tuples(faces: readonly number[], n: number): number[][] {
  if (n === 0) return [[]];
  return tuples(faces, n - 1).flatMap((t) => faces.map((f) => [...t, f]));
}
