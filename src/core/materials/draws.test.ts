import { describe, expect, it } from 'vitest';
import { drawEffect, twoDraws } from './draws';

const dice = { from: 1, to: 6, copies: 4, putBack: true };

describe('two draws in place of two throws', () => {
  it('with putting back are two dice: thirty-six like pairs', () => {
    const { sums, doubles } = twoDraws(dice);
    expect([...sums].map(([s, p]) => [s, Math.round(p * 36)])).toEqual(
      [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].map((s) => [s, 6 - Math.abs(7 - s)]),
    );
    expect(doubles).toBeCloseTo(1 / 6, 12);
    expect(drawEffect(dice)).toBeNull();
  });
  it('without putting back make sevens likelier and doubles rarer: 96 and 72 of 552 ordered pairs', () => {
    const { sum, doubles } = drawEffect({ ...dice, putBack: false })!;
    // Of 24 × 23 ordered pairs: seven is never a double, 6 × 4 × 4; doubles 6 × 4 × 3.
    expect(sum.value).toBe(7);
    expect(sum.before).toBeCloseTo(6 / 36, 12);
    expect(sum.after).toBeCloseTo(96 / 552, 12);
    expect(doubles.before).toBeCloseTo(6 / 36, 12);
    expect(doubles.after).toBeCloseTo(72 / 552, 12);
    expect([sum.after, doubles.after].map((p) => (p * 100).toFixed(1))).toEqual(['17.4', '13.0']);
  });
  it('sum to one whatever the pack', () => {
    for (const copies of [1, 2, 5])
      for (const putBack of [true, false]) {
        const { sums } = twoDraws({ from: 0, to: 9, copies, putBack });
        expect([...sums.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
      }
    // One of each without putting back: no doubles at all.
    expect(twoDraws({ from: 0, to: 9, copies: 1, putBack: false }).doubles).toBe(0);
  });
});
