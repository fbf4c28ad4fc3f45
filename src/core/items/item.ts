import { type ActName, actNames, acts } from './acts';
import { addFractions, compareFractions, subtractFractions } from './fraction';

const plainOperations = [
  'add',
  'subtract',
  'multiply',
  'divide',
  'compare',
  'count',
  'subitise',
  'compose',
  'decompose',
  'read-numeral',
  'write-numeral',
  'place-digit',
  'round',
  'next-in-sequence',
  'next-in-pattern',
  'factor',
  'odd-even',
  'name-fraction',
  'equivalent-fraction',
  'compare-fraction',
  'add-fraction',
  'subtract-fraction',
  'balance',
  'fact-family',
  'times-family',
  'tell-time',
  'elapsed-time',
  'count-money',
  'measure',
  'read-graph',
  'mirror',
  'area',
  'turn',
] as const;
/** Every act of mathematics a game can ask for. */
export const operations = [...plainOperations, ...actNames] as const;
export type Operation = (typeof plainOperations)[number] | ActName;

/** Operations whose numbers are fractions, written as codes. */
export const fractionOps: readonly Operation[] = [
  'name-fraction',
  'equivalent-fraction',
  'compare-fraction',
  'add-fraction',
  'subtract-fraction',
];

/** What the learner has to find: the result, or one of the two operands. */
export type Unknown = 'result' | 'a' | 'b';

/** How the item meets the eye. */
export const representations = [
  'numerals',
  'pips',
  'dots',
  'ten-frame',
  'beads',
  'words',
  'expression',
  'number-line',
  'pieces',
  'coins',
  'clock',
  'picture',
  'tally',
  'bars',
  'shape',
  'story-add-to',
  'story-take-from',
  'story-together',
  'story-compare',
  'story-groups',
  'story-two-step',
] as const;
export type Representation = (typeof representations)[number];

/**
 * One act of mathematics by one learner; always true: `a op b = result`.
 * What the two numbers mean stands beside each operation in `resultOf`.
 */
export interface Item {
  readonly op: Operation;
  readonly a: number;
  readonly b: number;
  readonly result: number;
  readonly unknown: Unknown;
  readonly rep: Representation;
}

/** Minutes on one turn of a clock's hour hand. */
const clockMinutes = 720;

/** Recomputes what `a op b` is, so that an item's truth can be checked from outside. */
export function resultOf(op: Operation, a: number, b: number): number {
  switch (op) {
    case 'add':
    case 'compose':
    case 'fact-family':
    case 'next-in-sequence':
      return a + b;
    case 'subtract':
    // A whole `a` and one part `b`: the other part.
    case 'decompose':
    // One pan holds `a`, the other already `b`: what is missing.
    case 'balance':
      return a - b;
    case 'multiply':
    case 'times-family':
    case 'area':
      return a * b;
    case 'divide':
      return a / b;
    case 'compare':
      return Math.sign(a - b);
    // Digit `a` in the column worth 10^b.
    case 'place-digit':
      return a * 10 ** b;
    // To the nearest `b`, halves upward.
    case 'round':
      return Math.floor(a / b + 0.5) * b;
    // Place `b` (from 0) in a core of `a` elements.
    case 'next-in-pattern':
      return b % a;
    // Whether `b` is a factor of `a`.
    case 'factor':
      return a % b === 0 ? 1 : 0;
    case 'odd-even':
      return Math.abs(a % 2);
    // Fractions stand as codes; see fraction.ts.
    case 'equivalent-fraction':
      return compareFractions(a, b) === 0 ? 1 : 0;
    case 'compare-fraction':
      return compareFractions(a, b);
    case 'add-fraction':
      return addFractions(a, b);
    case 'subtract-fraction':
      return subtractFractions(a, b);
    // `a` minutes after twelve, `b` minutes later.
    case 'elapsed-time':
      return (a + b) % clockMinutes;
    // `a` squares from the line; the image lies as far on the other side.
    case 'mirror':
      return a === 0 ? 0 : -a;
    // Facing quarter `a`, turned by `b` quarters clockwise.
    case 'turn':
      return (a + b) % 4;
    case 'count':
    case 'subitise':
    case 'read-numeral':
    case 'write-numeral':
    case 'name-fraction':
    // `a` minutes after twelve, read to the nearest `b`.
    case 'tell-time':
    // `a` smallest units of money in `b` pieces.
    case 'count-money':
    // `a` units long; `b` is the unit in millimetres.
    case 'measure':
    // The value `a` on a scale of `b`.
    case 'read-graph':
      return a;
    default:
      return acts[op].result(a, b);
  }
}
