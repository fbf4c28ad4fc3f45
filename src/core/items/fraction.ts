/**
 * A fraction as one integer: numerator × 100 + denominator, so that 102 is 1/2 and 304
 * is 3/4. Keeps the form a child meets (2/4 is not written 1/2) in a plain number.
 */
const base = 100;

export const fractionCode = (numerator: number, denominator: number): number => numerator * base + denominator;
export const numeratorOf = (code: number): number => Math.floor(code / base);
export const denominatorOf = (code: number): number => code % base;

/** −1, 0 or 1 as the first fraction is less than, equal to or more than the second. */
export function compareFractions(a: number, b: number): number {
  return Math.sign(numeratorOf(a) * denominatorOf(b) - numeratorOf(b) * denominatorOf(a));
}

/** The sum in lowest terms. */
export function addFractions(a: number, b: number): number {
  return lowest(numeratorOf(a) * denominatorOf(b) + numeratorOf(b) * denominatorOf(a), denominatorOf(a) * denominatorOf(b));
}

/** The difference in lowest terms; the first must not be the smaller. */
export function subtractFractions(a: number, b: number): number {
  return lowest(numeratorOf(a) * denominatorOf(b) - numeratorOf(b) * denominatorOf(a), denominatorOf(a) * denominatorOf(b));
}

export function greatestCommonDivisor(a: number, b: number): number {
  let x = Math.abs(a);
  let y = Math.abs(b);
  // Also ends where something that is no number got in.
  while (y > 0) [x, y] = [y, x % y];
  return x;
}

function lowest(numerator: number, denominator: number): number {
  const shared = greatestCommonDivisor(numerator, denominator) || 1;
  return fractionCode(numerator / shared, denominator / shared);
}

/** "3/4", for people. */
export const fractionText = (code: number): string => `${numeratorOf(code)}/${denominatorOf(code)}`;
