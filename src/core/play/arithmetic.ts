export const fourOperations = ['add', 'subtract', 'multiply', 'divide'] as const;
export type FourOperation = (typeof fourOperations)[number];

/** The channels of the four operations, in the order of `fourOperations`. */
export const operationChannels = (
  rep: 'numerals' | 'pips' | 'expression' = 'numerals',
): { op: FourOperation; unknown: 'result'; rep: 'numerals' | 'pips' | 'expression' }[] =>
  fourOperations.map((op) => ({ op, unknown: 'result' as const, rep }));

export const channelOfOperation: Readonly<Record<FourOperation, number>> = { add: 0, subtract: 1, multiply: 2, divide: 3 };

/** The result when it is a whole number not below zero; −1 when it is not. */
export function wholeResult(op: FourOperation, a: number, b: number): number {
  if (op === 'add') return a + b;
  if (op === 'subtract') return a >= b ? a - b : -1;
  if (op === 'multiply') return a * b;
  return b !== 0 && a % b === 0 ? a / b : -1;
}

export const operationSigns: Readonly<Record<FourOperation, string>> = { add: '+', subtract: '−', multiply: '×', divide: '÷' };
