import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRng } from '../../shared/rng';
import { DEFAULTS, type PairMemoryParameters } from './parameters';
import { chooseFirst, chooseSecond, recall } from './policies';
import { flip, isPair, lay, newState, pairsOf, take } from './rules';

const layout = fc.record({ rows: fc.integer({ min: 1, max: 5 }), columns: fc.constantFrom(2, 4, 6), sum: fc.integer({ min: 4, max: 18 }), relation: fc.constantFrom('sum', 'equal', 'difference', 'equal-fraction') as fc.Arbitrary<PairMemoryParameters['relation']> }).map((p): PairMemoryParameters => ({ ...DEFAULTS, ...p, secondLook: 'dots' }));

describe('the cards on the table', () => {
  it('can always be taken in pairs to the last one', () => {
    fc.assert(
      fc.property(layout, fc.integer({ min: 0, max: 1e6 }), (p, seed) => {
        const state = newState(p);
        lay(state, pairsOf(p), createRng(seed));
        while (state.left > 0) {
          const x = state.there.indexOf(1);
          const y = state.there.findIndex((there, i) => there === 1 && i !== x && isPair(state, x, i));
          expect(y).toBeGreaterThan(x);
          take(state, x, y);
        }
      }),
    );
  });

  it('make the number asked for, each pair once before any comes again', () => {
    expect(pairsOf(DEFAULTS)).toEqual([[0, 10], [1, 9], [2, 8], [3, 7], [4, 6], [5, 5]]);
    expect(pairsOf({ ...DEFAULTS, sum: 30, lowestCard: 1, highestCard: 10 })).toEqual([]);
    expect(pairsOf({ ...DEFAULTS, relation: 'difference', gap: 2 })).toEqual([[0, 2], [1, 3], [6, 8], [7, 9]]);
    expect(pairsOf({ ...DEFAULTS, relation: 'equal-fraction' })[0]).toEqual([102, 204]);
  });
});

describe('remembering', () => {
  const seat = (memory: number) => ({ parameters: { ...DEFAULTS, memory }, policy: 'careful' as const, errorRate: 0, headStart: 0 });
  it('reaches back just as many flips as it should', () => {
    const state = newState(DEFAULTS);
    lay(state, pairsOf(DEFAULTS), createRng(1));
    for (const place of [0, 1, 2, 3]) flip(state, place);
    const inMind = new Uint8Array(12);
    const known = (memory: number): number[] => {
      recall(state, seat(memory), inMind, createRng(1));
      return [...inMind.keys()].filter((i) => inMind[i] === 1);
    };
    expect(known(-1)).toEqual([0, 1, 2, 3]);
    expect(known(2)).toEqual([2, 3]);
    expect(known(0)).toEqual([]);
  });
  it('takes a known pair at once and never turns the same card twice in a move', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const rng = createRng(seed);
        const state = newState(DEFAULTS);
        lay(state, pairsOf(DEFAULTS), rng);
        const inMind = new Uint8Array(12).fill(1);
        const x = chooseFirst(state, inMind, rng);
        const y = chooseSecond(state, inMind, x, rng);
        expect(y).not.toBe(x);
        expect(isPair(state, x, y)).toBe(true);
        inMind.fill(0);
        const a = chooseFirst(state, inMind, rng);
        expect(chooseSecond(state, inMind, a, rng)).not.toBe(a);
      }),
    );
  });
});
