import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import type { SolveModel } from '../planning/linearModel';
import { type Coverable, mostCovered } from './mostCovered';

const solve = await loadSolver();
const noSolver: SolveModel = () => {
  throw new Error('no solver');
};

/** Every choice tried. */
function byTrying({ worth, candidates, budget }: Coverable): number {
  let best = 0;
  for (let set = 0; set < 1 << candidates.length; set++) {
    const picked = candidates.filter((_, i) => set & (1 << i));
    if (picked.reduce((s, c) => s + c.cost, 0) > budget) continue;
    const covered = new Set(picked.flatMap((c) => c.covers));
    best = Math.max(
      best,
      [...covered].reduce((s, e) => s + worth[e]!, 0),
    );
  }
  return best;
}

const instance = fc
  .record({
    worth: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 9 }),
    candidates: fc.array(fc.record({ cost: fc.integer({ min: 1, max: 20 }), covers: fc.uniqueArray(fc.nat(8), { maxLength: 6 }) }), {
      maxLength: 9,
    }),
    budget: fc.integer({ min: 0, max: 45 }),
  })
  .map(({ worth, candidates, budget }): Coverable => ({
    worth,
    budget,
    candidates: candidates.map((c, i) => ({ id: `c${i}`, cost: c.cost, covers: c.covers.filter((e) => e < worth.length) })),
  }));

describe('what to make or buy next', () => {
  it('covers as much as any choice does, tried one by one, and says that it is proven', () => {
    fc.assert(
      fc.property(instance, (p) => {
        const found = mostCovered(p, solve, 5);
        expect(found.worth).toBeCloseTo(byTrying(p), 6);
        expect(found.proven).toBe(true);
        expect(found.cost).toBeLessThanOrEqual(p.budget);
        expect(found.covered.reduce((s, e) => s + p.worth[e]!, 0)).toBeCloseTo(found.worth, 9);
      }),
      { numRuns: 150 },
    );
  });

  it('takes the cheaper of two that do the same', () => {
    const p = {
      worth: [5],
      budget: 60,
      candidates: [
        { id: 'dear', cost: 50, covers: [0] },
        { id: 'cheap', cost: 5, covers: [0] },
      ],
    };
    expect(mostCovered(p, solve, 5)).toMatchObject({ chosen: ['cheap'], cost: 5, bound: 5, proven: true });
  });

  it('is not greedy where two small ones beat a large one', () => {
    const candidates = [
      { id: 'large', cost: 10, covers: [0, 1, 2] },
      { id: 'left', cost: 5, covers: [0, 1] },
      { id: 'right', cost: 5, covers: [2, 3] },
    ];
    expect(mostCovered({ worth: [1, 1, 1, 1], budget: 10, candidates }, solve, 5).chosen).toEqual(['left', 'right']);
  });

  it('says nothing where nothing helps, and goes on without a solver, with a bound that holds', () => {
    expect(mostCovered({ worth: [1], budget: 10, candidates: [] }, solve, 5)).toMatchObject({ chosen: [], proven: true });
    expect(mostCovered({ worth: [1], budget: 10, candidates: [{ id: 'dear', cost: 11, covers: [0] }] }, solve, 5).chosen).toEqual([]);
    fc.assert(
      fc.property(instance, (p) => {
        const found = mostCovered(p, noSolver, 5);
        expect(found.cost).toBeLessThanOrEqual(p.budget);
        expect(found.bound).toBeGreaterThanOrEqual(byTrying(p) - 1e-9);
      }),
      { numRuns: 100 },
    );
  });
});
