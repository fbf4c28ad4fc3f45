export const operations = ['add', 'subtract', 'multiply', 'divide', 'compare', 'count', 'subitise', 'compose', 'place-digit', 'next-in-sequence'] as const;
export type Operation = (typeof operations)[number];

/** What the learner has to find: the result, or one of the two operands. */
export type Unknown = 'result' | 'a' | 'b';

/** How the item meets the eye. */
export const representations = ['numerals', 'pips', 'dots', 'ten-frame', 'beads', 'words', 'expression'] as const;
export type Representation = (typeof representations)[number];

/**
 * One act of mathematics by one learner; always true: `a op b = result`.
 * For `compare` the result is −1, 0 or 1; for `subitise` and `count` a = result.
 */
export interface Item {
  readonly op: Operation;
  readonly a: number;
  readonly b: number;
  readonly result: number;
  readonly unknown: Unknown;
  readonly rep: Representation;
}

/** Recomputes what `a op b` is, so that an item's truth can be checked from outside. */
export function resultOf(op: Operation, a: number, b: number): number {
  switch (op) {
    case 'add':
    case 'compose':
      return a + b;
    case 'subtract':
      return a - b;
    case 'multiply':
      return a * b;
    case 'divide':
      return a / b;
    case 'compare':
      return Math.sign(a - b);
    case 'next-in-sequence':
      return a + b;
    case 'count':
    case 'subitise':
    case 'place-digit':
      return a;
  }
}
