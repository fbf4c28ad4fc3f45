import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRng } from '../../shared/rng';
import { DEFAULTS, type Intermediates, type TargetCombineParameters } from './parameters';
import { deal, newDealer, randomLine, solveHand } from './rules';

describe('dealing', () => {
  it('gives only hands of the stars asked for, from the deck there is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), fc.constantFrom(1, 2, 3), (seed, stars) => {
        const p: TargetCombineParameters = { ...DEFAULTS, leastStars: stars, mostStars: stars };
        const dealer = newDealer(p);
        const hand = deal(dealer, p, createRng(seed));
        expect(hand.stars).toBe(stars);
        expect(solveHand([...dealer.numbers], p)).toEqual(hand);
        for (const n of dealer.numbers) expect([...dealer.numbers].filter((x) => x === n).length).toBeLessThanOrEqual(p.copies);
      }),
      { numRuns: 40 },
    );
  });
  it('deals unsolvable hands only when they are wanted', () => {
    const p = { ...DEFAULTS, unsolvable: true, highest: 4 };
    const dealer = newDealer(p);
    const rng = createRng(3);
    const stars = Array.from({ length: 200 }, () => deal(dealer, p, rng).stars);
    expect(stars).toContain(0);
    expect(Array.from({ length: 200 }, () => deal(newDealer(DEFAULTS), DEFAULTS, rng).stars)).not.toContain(0);
  });
});

describe('a blind line', () => {
  it('joins everything with allowed operations and stays inside the rules on the way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.constantFrom('rational', 'integer', 'natural', 'non-negative') as fc.Arbitrary<Intermediates>,
        fc.array(fc.integer({ min: 1, max: 10 }), { minLength: 4, maxLength: 4 }),
        (seed, intermediates, numbers) => {
          const steps: [string, number, number][] = [];
          const end = randomLine(Int32Array.from(numbers), { ...DEFAULTS, intermediates }, createRng(seed), (op, a, b) =>
            steps.push([op, a, b]),
          );
          if (end === null) return;
          expect(steps).toHaveLength(3);
          for (const [op, a, b] of steps) {
            const result = op === 'add' ? a + b : op === 'subtract' ? a - b : op === 'multiply' ? a * b : a / b;
            expect(Number.isFinite(result)).toBe(true);
            if (intermediates === 'integer' || intermediates === 'natural') expect(Number.isInteger(result)).toBe(true);
            if (intermediates === 'natural' || intermediates === 'non-negative') expect(result).toBeGreaterThanOrEqual(0);
          }
        },
      ),
    );
  });
});
