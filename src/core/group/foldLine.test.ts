import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { foldFrom, mostStops } from './foldLine';

describe('folding a line', () => {
  it('shows a short line whole and a long one around its edge', () => {
    expect(foldFrom([1, 0.2, 0.1], -1, null)).toBe(0);
    const long = Array.from({ length: 30 }, (_, i) => (i < 15 ? 0.95 : 0.1));
    const from = foldFrom(long, -1, null);
    expect(from).toBeLessThan(15);
    expect(from + mostStops).toBeGreaterThan(15);
  });
  it('always holds the focused stop and never runs off the line', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 40 }), fc.nat(39), (heights, at) => {
        const focus = at % heights.length;
        const from = foldFrom(heights, focus, null);
        expect(from).toBeGreaterThanOrEqual(0);
        expect(focus).toBeGreaterThanOrEqual(from);
        expect(focus).toBeLessThan(from + mostStops);
      }),
    );
  });
  it('goes where it is asked', () =>
    expect(
      foldFrom(
        Array.from({ length: 30 }, () => 0.1),
        -1,
        12,
      ),
    ).toBe(12));
});
