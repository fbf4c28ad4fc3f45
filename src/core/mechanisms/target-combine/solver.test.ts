import Fraction from 'fraction.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkValue } from '../checkValues';
import type { CombineOperation, Intermediates } from './parameters';
import { solveTarget, starsOf } from './solver';

const all: CombineOperation[] = ['add', 'subtract', 'multiply', 'divide'];

function* hands(highest: number, distinct = false): Generator<number[]> {
  const step = distinct ? 1 : 0;
  for (let a = 1; a <= highest; a++)
    for (let b = a + step; b <= highest; b++)
      for (let c = b + step; c <= highest; c++) for (let d = c + step; d <= highest; d++) yield [a, b, c, d];
}
const countSolvable = (highest: number, target: number, rule: Intermediates, ops = all, distinct = false): number => {
  let count = 0;
  for (const hand of hands(highest, distinct)) if (solveTarget(hand, target, ops, rule).found > 0) count++;
  return count;
};

/** Every value that the numbers make, each used once, by plain recursion over pairs. */
function reachable(numbers: readonly number[]): Set<number> {
  if (numbers.length === 1) return new Set(numbers);
  const found = new Set<number>();
  for (let i = 0; i < numbers.length; i++)
    for (let j = 0; j < numbers.length; j++) {
      if (i === j) continue;
      const [a, b] = [numbers[i]!, numbers[j]!];
      for (const value of [a + b, a - b, a * b, a / b])
        for (const v of reachable([value, ...numbers.filter((_, k) => k !== i && k !== j)])) found.add(v);
    }
  return found;
}

describe('the target solver', () => {
  // Exact counts by full enumeration outside this code; see data/check-values.
  it.each([
    ['four.count.9.t24', 9, 24],
    ['four.count.9.t10', 9, 10],
    ['four.count.10.t24', 10, 24],
  ])('%s: solvable hands under five rules', (id, highest, target) => {
    const want = checkValue<Record<string, number>>(id);
    expect(countSolvable(highest, target, 'rational')).toBe(want['rat']);
    expect(countSolvable(highest, target, 'integer')).toBe(want['int']);
    expect(countSolvable(highest, target, 'natural')).toBe(want['nat']);
    expect(countSolvable(highest, target, 'non-negative')).toBe(want['nonneg']);
    expect(countSolvable(highest, target, 'rational', ['add', 'subtract'])).toBe(want['pm']);
  });

  it('counts hands of four different numbers', () => {
    expect(countSolvable(10, 24, 'rational', all, true)).toBe(checkValue<Record<string, number>>('four.count_distinct.10.t24')['rat']);
  });

  it.each([
    [3, 3, 8, 8],
    [1, 3, 4, 6],
    [4, 4, 7, 7],
    [1, 2, 3, 4],
    [2, 4, 6, 8],
    [6, 6, 6, 6],
    [1, 1, 1, 8],
    [2, 2, 2, 12],
    [3, 6, 9, 12],
    [2, 2, 6, 6],
    [8, 8, 8, 8],
  ])('lists the essentially different ways of %i %i %i %i', (...hand) => {
    const want = checkValue<{ C1: number }>(`four.forms.${hand.join('_')}`);
    expect(solveTarget(hand, 24, all, 'rational').solutions.length).toBe(want.C1);
  });

  // Numbers that stand for symbols: what counts is the form, so every value they can reach is asked for.
  it.each([
    [2, [3, 17]],
    [3, [3, 17, 101]],
  ] as const)('four.all_expressions_%i_distinct: all forms of so many different numbers', (n, symbols) => {
    const forms = new Set(
      [...reachable(symbols)].flatMap((target) => solveTarget(symbols, target, all, 'rational').solutions.map((s) => s.text)),
    );
    expect(forms.size).toBe(checkValue<{ C1: number }>(`four.all_expressions_${n}_distinct`).C1);
  });

  it('knows which hands need a fraction on the way', () => {
    const { hands: need } = checkValue<{ hands: string[] }>('four.fraction_needed.13.t24');
    for (const hand of need) {
      const numbers = hand.split(' ').map(Number);
      const solved = solveTarget(numbers, 24, all, 'rational');
      expect([hand, solved.solutions.length > 0, solved.solutions.every((s) => s.fractional)]).toEqual([hand, true, true]);
      expect(starsOf(solved)).toBe(3);
    }
  });

  it('writes steps that a reference library computes to the target', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 3, maxLength: 4 }),
        fc.integer({ min: 1, max: 36 }),
        (numbers, target) => {
          for (const { steps } of solveTarget(numbers, target, all, 'rational').solutions) {
            const value = steps.reduce((_, s) => {
              const [x, y] = [new Fraction(s.a), new Fraction(s.b)];
              const r = s.op === 'add' ? x.add(y) : s.op === 'subtract' ? x.sub(y) : s.op === 'multiply' ? x.mul(y) : x.div(y);
              expect(r.valueOf()).toBeCloseTo(s.result, 9);
              return r;
            }, new Fraction(0));
            expect(value.valueOf()).toBeCloseTo(target, 9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('gives one star to the plain and three to the tricky', () => {
    expect(starsOf(solveTarget([1, 2, 3, 4], 24, all, 'rational'))).toBe(1);
    expect(starsOf(solveTarget([3, 3, 8, 8], 24, all, 'rational'))).toBe(3);
    expect(starsOf(solveTarget([1, 1, 1, 1], 24, all, 'rational'))).toBe(0);
  });
});
