import { addFractions, fractionCode, greatestCommonDivisor } from '../fraction';
import { type Act, firstOf, pairsOf, secondOf, span, two } from './act';

/** Thousandths in a whole: decimals stand as whole numbers of them, so that no sum is off by a hair. */
export const thousand = 1000;

const isPrime = (n: number): boolean => n > 1 && span(2, Math.floor(Math.sqrt(n))).every((d) => n % d !== 0);

/** To one digit that counts, halves upward: 47 is 50, 312 is 300. */
export function oneDigit(n: number): number {
  const unit = 10 ** Math.max(0, String(Math.abs(n)).length - 1);
  return Math.floor(n / unit + 0.5) * unit;
}

/** A fraction in lowest terms. */
export const lowestOf = (code: number): number => addFractions(code, fractionCode(0, 1));
const fractions = (denominators: readonly number[], most: number): number[] =>
  denominators.flatMap((d) => span(1, Math.floor(most * d)).map((n) => fractionCode(n, d)));
const usual = [2, 3, 4, 5, 6, 8, 10] as const;
const proper = fractions(usual, 1).filter((f) => firstOf(f) < secondOf(f));
const product = (a: number, b: number): number => lowestOf(fractionCode(firstOf(a) * firstOf(b), secondOf(a) * secondOf(b)));
/** Fractions here have two digits on the bottom at most. */
const writable = (n: number): boolean => n <= 99;

const decimals = [...span(100, 3000, 100), ...span(10, 990, 70), ...span(1250, 9750, 500), ...span(1, 29, 4), ...span(2005, 9005, 1000)];
const codes = (xs: readonly number[], ys: readonly number[]): number[] => xs.flatMap((x) => ys.map((y) => two(x, y)));
const small = span(1, 9);

export const numberActs = {
  // Decimals, in thousandths.
  'read-decimal': { result: (a) => a, operands: pairsOf(decimals, [0]), pace: 'look' },
  'place-decimal': { result: (a, b) => a * 10 ** (3 - b), operands: pairsOf(span(0, 9), [1, 2, 3]), pace: 'look' },
  'compare-decimal': { result: (a, b) => Math.sign(a - b), operands: pairsOf(decimals, decimals), pace: 'easy' },
  'round-decimal': { result: (a, b) => Math.floor(a / b + 0.5) * b, operands: pairsOf(decimals, [10, 100, 1000]), pace: 'times' },
  'add-decimal': { result: (a, b) => a + b, operands: pairsOf(decimals, decimals), pace: 'hard' },
  'subtract-decimal': { result: (a, b) => a - b, operands: pairsOf(decimals, decimals, (a, b) => a >= b), pace: 'hard' },
  'multiply-decimal': {
    result: (a, b) => (a * b) / thousand,
    operands: pairsOf(
      decimals,
      [...span(2, 12).map((n) => n * thousand), 100, 200, 500, 10_000, 100_000],
      (a, b) => (a * b) % thousand === 0,
    ),
    pace: 'hard',
  },
  'divide-decimal': {
    result: (a, b) => (a * thousand) / b,
    operands: pairsOf(decimals, [2000, 4000, 5000, 10_000, 100_000, 100, 500], (a, b) => (a * thousand) % b === 0),
    pace: 'hard',
  },
  // Fractions, as numerator × 100 + denominator.
  'fraction-of': {
    result: (a, b) => (firstOf(a) * b) / secondOf(a),
    operands: pairsOf(proper, span(2, 60), (a, b) => b % secondOf(a) === 0),
    pace: 'times',
  },
  'simplify-fraction': {
    result: lowestOf,
    operands: pairsOf(fractions([4, 6, 8, 9, 10, 12, 15, 16, 20], 1), [0], (a) => lowestOf(a) !== a),
    pace: 'times',
  },
  'mixed-number': {
    result: (a) => Math.floor(firstOf(a) / secondOf(a)),
    operands: pairsOf(fractions([2, 3, 4, 5, 6, 8], 5), [0], (a) => firstOf(a) > secondOf(a)),
    pace: 'times',
  },
  'times-fraction': {
    result: (a, b) => fractionCode(firstOf(a) * b, secondOf(a)),
    operands: pairsOf(proper, span(2, 10), (a, b) => writable(firstOf(a) * b)),
    pace: 'times',
  },
  'multiply-fraction': {
    result: product,
    operands: pairsOf(proper, proper, (a, b) => writable(secondOf(a) * secondOf(b))),
    pace: 'fraction',
  },
  'divide-fraction': {
    result: (a, b) => product(a, fractionCode(secondOf(b), firstOf(b))),
    operands: pairsOf(
      [...span(1, 6).map((n) => fractionCode(n, 1)), ...fractions([2, 3, 4, 5], 1)],
      fractions([2, 3, 4, 5, 6], 1),
      (a, b) => writable(secondOf(a) * firstOf(b)),
    ),
    pace: 'fraction',
  },
  'divide-to-fraction': {
    result: (a, b) => fractionCode(a, b),
    operands: pairsOf(span(1, 12), span(2, 12), (a, b) => a % b !== 0),
    pace: 'times',
  },
  // Percent and ratio.
  'percent-of': {
    result: (a, b) => (a * b) / 100,
    operands: pairsOf([1, 5, 10, 20, 25, 30, 40, 50, 60, 70, 75, 80, 90, 100], span(10, 200, 10), (a, b) => (a * b) % 100 === 0),
    pace: 'hard',
  },
  'percent-name': {
    result: (a) => (firstOf(a) * 100) / secondOf(a),
    operands: pairsOf(fractions([2, 4, 5, 10, 20, 25, 50], 1), [0]),
    pace: 'times',
  },
  'ratio-equal': {
    result: (a, b) => (firstOf(a) * secondOf(b) === firstOf(b) * secondOf(a) ? 1 : 0),
    operands: pairsOf(codes(small, small), codes(span(2, 20, 2), span(3, 18, 3)), (a) => firstOf(a) !== secondOf(a)),
    pace: 'times',
  },
  'unit-rate': { result: (a, b) => a / b, operands: pairsOf(span(4, 120), span(2, 12), (a, b) => a % b === 0), pace: 'hard' },
  // Whole numbers.
  prime: { result: (a) => (isPrime(a) ? 1 : 0), operands: pairsOf(span(2, 100), [0]), pace: 'times' },
  remainder: { result: (a, b) => a % b, operands: pairsOf(span(5, 100), span(2, 12), (a, b) => a > b), pace: 'hard' },
  'common-factor': { result: greatestCommonDivisor, operands: pairsOf(span(4, 60, 2), span(6, 60, 3), (a, b) => a !== b), pace: 'hard' },
  'common-multiple': {
    result: (a, b) => (a * b) / greatestCommonDivisor(a, b),
    operands: pairsOf(span(2, 12), span(2, 12), (a, b) => a !== b),
    pace: 'hard',
  },
  power: { result: (a, b) => a ** b, operands: pairsOf(span(1, 12), [2, 3], (a, b) => a ** b <= 1728), pace: 'times' },
  // a + x × y, a − x × y told as (x, y) in one, and a × (x + y).
  'plus-times': { result: (a, b) => a + firstOf(b) * secondOf(b), operands: pairsOf(span(1, 20), codes(small, span(2, 9))), pace: 'hard' },
  'times-bracket': { result: (a, b) => a * (firstOf(b) + secondOf(b)), operands: pairsOf(span(2, 9), codes(small, small)), pace: 'hard' },
  'sum-of-three': {
    result: (a, b) => a + firstOf(b) + secondOf(b),
    operands: pairsOf(span(1, 10), codes(span(1, 10), span(1, 10))),
    pace: 'hard',
  },
  'estimate-product': { result: (a, b) => oneDigit(a) * oneDigit(b), operands: pairsOf(span(12, 99, 3), span(3, 98, 5)), pace: 'times' },
  'letter-value': { result: (a, b) => b / a, operands: pairsOf(span(2, 12), span(4, 144), (a, b) => b % a === 0), pace: 'hard' },
  'machine-rule': {
    result: (a, b) => firstOf(b) * a + secondOf(b),
    operands: pairsOf(span(0, 12), codes(span(1, 10), span(0, 20))),
    pace: 'hard',
  },
} as const satisfies Readonly<Record<string, Act>>;
