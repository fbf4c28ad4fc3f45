import Fraction from 'fraction.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addFractions,
  compareFractions,
  denominatorOf,
  fractionCode,
  fractionText,
  greatestCommonDivisor,
  numeratorOf,
  subtractFractions,
} from './fraction';

const any = fc.record({ n: fc.integer({ min: 0, max: 40 }), d: fc.integer({ min: 1, max: 9 }) });

describe('fractions as codes', () => {
  // Against the fraction.js library, an implementation of its own.
  it('add, take away and compare as exact fractions do', () => {
    fc.assert(
      fc.property(any, any, (x, y) => {
        const [a, b] = [fractionCode(x.n, x.d), fractionCode(y.n, y.d)];
        const [p, q] = [new Fraction(x.n, x.d), new Fraction(y.n, y.d)];
        const sum = p.add(q);
        expect([numeratorOf(addFractions(a, b)), denominatorOf(addFractions(a, b))]).toEqual([Number(sum.n), Number(sum.d)]);
        expect(compareFractions(a, b)).toBe(p.compare(q));
        if (p.compare(q) < 0) return;
        const difference = p.sub(q);
        expect([numeratorOf(subtractFractions(a, b)), denominatorOf(subtractFractions(a, b))]).toEqual([
          Number(difference.n),
          Number(difference.d),
        ]);
      }),
    );
  });
  it('keep the form that was met', () => {
    expect(fractionText(fractionCode(2, 4))).toBe('2/4');
    expect(greatestCommonDivisor(48, 36)).toBe(12);
  });
});
