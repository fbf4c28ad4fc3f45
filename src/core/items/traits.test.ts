import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossesHundred, regroups, tenTraitOf } from './traits';

const number = fc.integer({ min: 0, max: 2000 });
/** By E. Kummer (1852) the trades of a sum are a ninth of what its digits lose. */
const digitSum = (n: number): number => [...String(n)].reduce((sum, d) => sum + Number(d), 0);
const add = (a: number, b: number) => tenTraitOf({ op: 'add', a, b });
const take = (a: number, b: number) => tenTraitOf({ op: 'subtract', a, b });

describe('what an addition or subtraction does at a ten', () => {
  it.each([
    ['8 + 2', add(8, 2), 'reaching'],
    ['28 + 2', add(28, 2), 'reaching'],
    ['8 + 5', add(8, 5), 'crossing'],
    ['12 + 15', add(12, 15), 'within'],
    ['30 + 20', add(30, 20), 'within'],
    ['20 − 7', take(20, 7), 'leaving'],
    ['34 − 8', take(34, 8), 'crossing'],
    ['44 − 8', take(44, 8), 'crossing'],
    ['49 − 3', take(49, 3), 'within'],
    ['27 − 7', take(27, 7), 'reaching'],
    ['7 − 7', take(7, 7), 'within'],
  ] as const)('%s is %s', (_, found, wanted) => expect(found).toBe(wanted));

  it('depends on the ones alone for a sum, and not on the order', () => {
    fc.assert(
      fc.property(number, number, fc.integer({ min: 0, max: 50 }), (a, b, tens) => {
        expect(add(a + 10 * tens, b)).toBe(add(a, b));
        expect(add(b, a)).toBe(add(a, b));
      }),
    );
  });
  it('crosses backward exactly where the sum crosses forward, and leaves a ten where the sum reaches it', () => {
    fc.assert(
      fc.property(number, number, (difference, b) => {
        const forward = add(difference, b);
        const backward = take(difference + b, b);
        expect(backward === 'crossing').toBe(forward === 'crossing');
        expect(backward === 'leaving').toBe(forward === 'reaching');
      }),
    );
  });
  it('trades in writing exactly where the digits lose something, there and back, and below ten where a ten is met', () => {
    fc.assert(
      fc.property(number, number, (a, b) => {
        expect(regroups({ op: 'add', a, b })).toBe(digitSum(a) + digitSum(b) !== digitSum(a + b));
        expect(regroups({ op: 'subtract', a: a + b, b })).toBe(regroups({ op: 'add', a, b }));
        if (a < 10 && b < 10) expect(regroups({ op: 'add', a, b })).toBe(['crossing', 'reaching'].includes(add(a, b)!));
      }),
    );
  });
  it.each([
    ['add', 428, 151, false],
    ['add', 280, 150, true],
    ['add', 96, 52, true],
    ['add', 38, 45, true],
    ['subtract', 428, 150, true],
    ['subtract', 937, 73, true],
    ['subtract', 428, 16, false],
    ['subtract', 500, 200, false],
  ] as const)('looks at every place: %s %d, %d', (op, a, b, want) => expect(regroups({ op, a, b })).toBe(want));
  it('says nothing of parts of numbers, numbers below nought or other acts', () => {
    expect([add(1.5, 2), add(-3, 5), take(3, 5), tenTraitOf({ op: 'multiply', a: 8, b: 5 })]).toEqual([null, null, null, null]);
    expect([
      regroups({ op: 'add', a: 1.5, b: 8.5 }),
      regroups({ op: 'subtract', a: 3, b: 5 }),
      regroups({ op: 'multiply', a: 8, b: 5 }),
    ]).toEqual([false, false, false]);
  });
});

describe('passing a hundred', () => {
  it('is the same there and back', () => {
    fc.assert(
      fc.property(number, number, (a, b) => {
        const forward = crossesHundred({ op: 'add', a, b, result: a + b });
        expect(crossesHundred({ op: 'subtract', a: a + b, b, result: a })).toBe(forward);
      }),
    );
  });
  it('means that some hundred lies strictly between', () => {
    fc.assert(
      fc.property(number, fc.integer({ min: 0, max: 150 }), (a, b) => {
        let between = false;
        for (let h = 100; h <= 2200; h += 100) if (a < h && h < a + b) between = true;
        const stops = a % 100 === 0 || (a + b) % 100 === 0;
        expect(crossesHundred({ op: 'add', a, b, result: a + b })).toBe(between && !stops);
      }),
    );
  });
});
