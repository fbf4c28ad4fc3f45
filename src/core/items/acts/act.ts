/** How long an act usually takes, by the pace of the time model it goes with. */
export type Pace = 'look' | 'easy' | 'times' | 'hard' | 'fraction';

/**
 * An act of mathematics whose two numbers are no plain operands: a shape and a question about it, an
 * angle, thousandths. The result follows from them, so that an item is always true and can be checked.
 */
export interface Act {
  readonly result: (a: number, b: number) => number;
  /** Pairs that can come up at a table, to draw questions from and to tell steps apart. */
  readonly operands: readonly (readonly [a: number, b: number])[];
  readonly pace: Pace;
}

const upTo = (low: number, high: number, step = 1): number[] =>
  Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, i) => low + i * step);

/** Every pair of two lists that passes. */
export const pairsOf = (
  as: readonly number[],
  bs: readonly number[],
  fits: (a: number, b: number) => boolean = () => true,
): (readonly [number, number])[] => as.flatMap((a) => bs.filter((b) => fits(a, b)).map((b) => [a, b] as const));

export const span = upTo;

/** Two whole numbers below a hundred in one, as fractions and ratios are written. */
export const two = (x: number, y: number): number => x * 100 + y;
export const firstOf = (code: number): number => Math.floor(code / 100);
export const secondOf = (code: number): number => code % 100;
