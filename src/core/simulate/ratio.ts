/** Below this share of the value an error is what rounding leaves over. */
const roundingShare = 1e-12;

/**
 * A ratio Σy / Σx with its standard error by batch means: batches are nearly independent,
 * items inside a game are not. With residuals r_b = y_b − R·x_b,
 * SE = √( B/(B−1) · Σ r_b² ) / Σx. Source: the classical ratio estimator
 * (W. G. Cochran, Sampling Techniques, 1977, from memory). What is the same in every batch
 * has no error: what rounding leaves of it is nought.
 *
 * // => ratioOf([1, 3], [2, 2]).value === 1
 */
export function ratioOf(y: ArrayLike<number>, x: ArrayLike<number>): { value: number; standardError: number } {
  const batches = y.length;
  let sumY = 0;
  let sumX = 0;
  for (let b = 0; b < batches; b++) {
    sumY += y[b]!;
    sumX += x[b]!;
  }
  if (sumX === 0) return { value: 0, standardError: 0 };
  const value = sumY / sumX;
  if (batches < 2) return { value, standardError: Number.POSITIVE_INFINITY };
  let squares = 0;
  for (let b = 0; b < batches; b++) squares += (y[b]! - value * x[b]!) ** 2;
  const standardError = Math.sqrt((squares * batches) / (batches - 1)) / sumX;
  return { value, standardError: standardError > roundingShare * Math.abs(value) ? standardError : 0 };
}

/** Standard error of a share of n games; never nought, however few they were. */
export const errorOfShare = (share: number, n: number): number => Math.sqrt(Math.max(share * (1 - share), 0.25 / n) / n);
