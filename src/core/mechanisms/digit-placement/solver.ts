import type { PlacementParameters } from './parameters';

/**
 * Best placing by dynamic programming, for every goal: the state is which columns are
 * filled with what, and (without return) which digits are gone, which the filled columns
 * tell as well. Column 0 is the ones. The worth of a finished number is the number itself
 * (largest), its negative (smallest), minus its distance (nearest), or the number if its
 * last digit suits and 0 otherwise (odd, even).
 *
 * For goals that are linear in the digits the filled columns are summed up, so a state is
 * (empty columns, digits gone); otherwise (nearest) it is every column's content.
 */
export interface Placer {
  /** Column with the best expected worth for `digit`, given the columns as they stand (−1 empty). */
  best(columns: Int32Array, digit: number): number;
  /** Expected worth of the number when `digit` goes to `column`. */
  worthOf(columns: Int32Array, digit: number, column: number): number;
  /** Expected worth of a whole round under best play. */
  readonly expected: number;
}

export function worthOfNumber(p: PlacementParameters, n: number): number {
  if (p.goal === 'largest') return n;
  if (p.goal === 'smallest') return -n;
  if (p.goal === 'nearest') return -Math.abs(n - p.target);
  return (n % 2 === 1) === (p.goal === 'odd') ? n : 0;
}

export function numberIn(columns: ArrayLike<number>): number {
  let n = 0;
  for (let c = columns.length - 1; c >= 0; c--) n = n * 10 + columns[c]!;
  return n;
}

export function solvePlacement(p: PlacementParameters): Placer {
  const known = new Map<number, number>();
  const scratch = new Int32Array(p.columns);
  const linear = p.goal !== 'nearest';
  const parity = p.goal === 'odd' || p.goal === 'even';

  /** Digits gone when none comes back, as bits. */
  const goneIn = (columns: Int32Array): number => {
    let gone = 0;
    if (p.draw === 'kept') for (let c = 0; c < columns.length; c++) if (columns[c]! >= 0) gone |= 1 << columns[c]!;
    return gone;
  };
  const keyOf = (columns: Int32Array): number => {
    let key = 0;
    for (let c = 0; c < columns.length; c++) {
      const mark = linear ? (columns[c]! < 0 ? 0 : c === 0 && parity ? 1 + (columns[c]! % 2) : 1) : columns[c]! + 1;
      key = key * (linear ? 3 : 11) + mark;
    }
    return linear ? key * 1024 + goneIn(columns) : key;
  };
  /** What the filled columns add, when worth is a sum over columns. */
  const filled = (columns: Int32Array): number => {
    let sum = 0;
    for (let c = 0; c < columns.length; c++) if (columns[c]! > 0) sum += columns[c]! * 10 ** c;
    return p.goal === 'smallest' ? -sum : sum;
  };
  const suits = (columns: Int32Array): boolean => columns[0]! < 0 || columns[0]! % 2 === (p.goal === 'odd' ? 1 : 0);

  /** Expected worth of what is still to come (linear goals) or of the whole number. */
  const expectedFrom = (columns: Int32Array): number => {
    let empty = 0;
    for (let c = 0; c < columns.length; c++) if (columns[c]! < 0) empty++;
    if (parity && !suits(columns)) return linear ? -filled(columns) : 0;
    if (empty === 0) return linear ? 0 : worthOfNumber(p, numberIn(columns));
    // With a last digit still open an odd or even number is worth its digits only if it will suit, so it is not linear there.
    const key = parity && columns[0]! < 0 ? -1 - (keyOf(columns) * 1e6 + filled(columns)) : keyOf(columns);
    const before = known.get(key);
    if (before !== undefined) return before;
    const gone = goneIn(columns);
    let sum = 0;
    let n = 0;
    for (let digit = 0; digit <= 9; digit++) {
      if (gone & (1 << digit)) continue;
      n++;
      let best = -Infinity;
      for (let c = 0; c < columns.length; c++) if (columns[c]! < 0) best = Math.max(best, after(columns, digit, c));
      sum += best;
    }
    known.set(key, sum / n);
    return sum / n;
  };
  const after = (columns: Int32Array, digit: number, column: number): number => {
    const own = linear ? filledBy(digit, column) : 0;
    columns[column] = digit;
    const worth = own + expectedFrom(columns);
    columns[column] = -1;
    return worth;
  };
  const filledBy = (digit: number, column: number): number => (p.goal === 'smallest' ? -1 : 1) * digit * 10 ** column;

  const worthOf = (columns: Int32Array, digit: number, column: number): number => {
    scratch.set(columns);
    return (linear ? filled(columns) : 0) + after(scratch, digit, column);
  };
  const best = (columns: Int32Array, digit: number): number => {
    let chosen = -1;
    let most = -Infinity;
    for (let c = 0; c < columns.length; c++) {
      if (columns[c]! >= 0) continue;
      const worth = worthOf(columns, digit, c);
      if (worth > most + 1e-9) {
        most = worth;
        chosen = c;
      }
    }
    return chosen;
  };
  scratch.fill(-1);
  return { best, worthOf, expected: expectedFrom(Int32Array.from({ length: p.columns }, () => -1)) };
}
