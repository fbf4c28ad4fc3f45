import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRng } from '../../shared/rng';
import { checkValue } from '../checkValues';
import { DEFAULTS } from './parameters';
import { pickColumn } from './policies';
import { drawCard, newState, valueChances } from './rules';

describe('the chances of a throw', () => {
  it('are exact for the sum and the difference of two dice', () => {
    const sums = valueChances(DEFAULTS);
    for (const [sum, ways] of Object.entries(checkValue<{ ways: Record<string, number> }>('dist.2d6.sum').ways))
      expect(sums.get(Number(sum))).toBeCloseTo(ways / 36, 12);
    const gaps = valueChances({ ...DEFAULTS, combine: 'difference' });
    for (const [gap, ways] of Object.entries(checkValue<{ ways: Record<string, number> }>('dist.2d6.absdiff').ways))
      expect(gaps.get(Number(gap))).toBeCloseTo(ways / 36, 12);
  });
  it('add up to one for any dice', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 3 }), fc.integer({ min: 3, max: 12 }), (dice, highestFace) => {
        expect([...valueChances({ ...DEFAULTS, dice, highestFace }).values()].reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('drawing without return', () => {
  it('deals every card of the deck before any comes again', () => {
    const p = { ...DEFAULTS, draw: 'no-return' as const, highestFace: 6, copies: 2 };
    const state = newState(p);
    const rng = createRng(4);
    const seen: number[] = [];
    for (let i = 0; i < 6; i++) {
      seen.push(drawCard(state, rng), drawCard(state, rng));
    }
    expect(seen.sort((x, y) => x - y)).toEqual([1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6]);
  });
});

describe('picking columns', () => {
  it('takes the likeliest that is still free when careful, and never the same twice', () => {
    const state = newState(DEFAULTS);
    const ranked = Int32Array.from([7, 6, 8, 5]);
    const careful = { parameters: DEFAULTS, policy: 'careful' as const, errorRate: 0, headStart: 0 };
    expect(pickColumn(state, careful, 1, ranked, createRng(1))).toBe(7);
    state.pickedBy[7] = 1;
    expect(pickColumn(state, careful, 1, ranked, createRng(1))).toBe(6);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        expect(pickColumn(state, { ...careful, policy: 'random' }, 1, ranked, createRng(seed))).not.toBe(7);
      }),
    );
  });
});
