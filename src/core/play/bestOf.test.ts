import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestOf } from './bestOf';

describe('the best of several', () => {
  it('is the one above all others, and nobody where two are equal', () => {
    expect([bestOf([3, 7, 5], 3), bestOf([7, 7], 2), bestOf([1, 7, 7], 3), bestOf([7, 7, 8], 3), bestOf([5], 1), bestOf([], 0)]).toEqual([
      1, -1, -1, 2, 0, -1,
    ]);
    expect(bestOf([3, 1, 2], 3, (a, b) => b - a)).toBe(1);
  });
  it('does not depend on who sits where', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 6 }), (values) => {
        const best = bestOf(values, values.length);
        const turned = [...values.slice(1), values[0]!];
        const after = bestOf(turned, turned.length);
        expect(after).toBe(best < 0 ? -1 : (best - 1 + values.length) % values.length);
        if (best >= 0) expect(values.filter((v) => v >= values[best]!)).toHaveLength(1);
      }),
    );
  });
});
