import { describe, expect, it } from 'vitest';
import { fractionCode } from './fraction';
import { operations, resultOf } from './item';
import { crossesHundred, regroups } from './traits';

describe('what a op b is', () => {
  it.each([
    ['add', 8, 5, 13],
    ['compose', 8, 2, 10],
    ['fact-family', 3, 4, 7],
    ['next-in-sequence', 20, 5, 25],
    ['subtract', 13, 5, 8],
    ['decompose', 10, 3, 7],
    ['balance', 9, 4, 5],
    ['multiply', 6, 7, 42],
    ['times-family', 3, 8, 24],
    ['area', 4, 5, 20],
    ['divide', 42, 6, 7],
    ['compare', 3, 9, -1],
    ['compare', 9, 9, 0],
    ['place-digit', 7, 2, 700],
    ['round', 34, 10, 30],
    ['round', 35, 10, 40],
    ['next-in-pattern', 3, 7, 1],
    ['factor', 12, 4, 1],
    ['factor', 12, 5, 0],
    ['odd-even', 7, 0, 1],
    ['odd-even', -7, 0, 1],
    ['odd-even', 8, 0, 0],
    ['elapsed-time', 700, 45, 25],
    ['mirror', 3, 0, -3],
    ['mirror', 0, 0, 0],
    ['turn', 3, 2, 1],
    ['turn', 2, 1, 3],
    ['count', 6, 0, 6],
    ['subitise', 4, 0, 4],
    ['read-numeral', 12, 0, 12],
  ] as const)('%s %d %d', (op, a, b, want) => expect(resultOf(op, a, b)).toBe(want));
  it('is a number for every operation', () => {
    const half = fractionCode(1, 2);
    for (const op of operations) expect([op, Number.isFinite(resultOf(op, half, half))]).toEqual([op, true]);
  });
});

describe('traits', () => {
  it.each([
    ['add', 5, 5, true],
    ['add', 5, 4, false],
    ['subtract', 12, 3, true],
    ['subtract', 13, 3, false],
    ['subtract', 3, 12, false],
    ['multiply', 7, 8, false],
    ['add', 1.5, 8, false],
  ] as const)('a trade in %s %d %d: %s', (op, a, b, want) => expect(regroups({ op, a, b })).toBe(want));
  it.each([
    ['add', 95, 10, 105, true],
    ['add', 95, 5, 100, false],
    ['subtract', 105, 5, 100, false],
    ['subtract', 105, 10, 95, true],
    ['add', 100, 5, 105, false],
    ['multiply', 50, 3, 150, false],
  ] as const)('a hundred passed in %s %d %d', (op, a, b, result, want) => expect(crossesHundred({ op, a, b, result })).toBe(want));
});
