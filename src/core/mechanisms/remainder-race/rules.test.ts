import { describe, expect, it } from 'vitest';
import { careful, near, run } from '../playing.testing';

/** Expected turns alone to pass the goal, by the recurrence over exact chances of each step. */
function expectedTurns(low: number, high: number, divisors: number, goal: number): number {
  const chance = new Map<number, number>();
  const numbers = high - low + 1;
  for (let n = low; n <= high; n++)
    for (let x = 2; x <= divisors; x++)
      for (let y = 2; y <= divisors; y++) {
        const far = Math.max(n % x, n % y);
        chance.set(far, (chance.get(far) ?? 0) + 1 / numbers / (divisors - 1) ** 2);
      }
  const e = [0];
  for (let left = 1; left <= goal; left++) {
    let sum = 1;
    for (const [far, p] of chance) if (far > 0) sum += p * e[Math.max(0, left - far)]!;
    e.push(sum / (1 - (chance.get(0) ?? 0)));
  }
  return e[goal]!;
}

describe('the race by what is left over', () => {
  it('takes the expected turns, exactly counted', () =>
    near(run('remainder-race', {}, careful(1), 12_000).turns, expectedTurns(10, 50, 6, 20)));
  it('tells a story where it is one, and shares evenly where nothing is left', () => {
    expect(
      run('remainder-race', { story: 'a-story' }, 2, 40)
        .items.filter((i) => i.op === 'remainder')
        .every((i) => i.rep === 'story-groups'),
    ).toBe(true);
    expect(
      run('remainder-race', {}, 2, 40)
        .items.filter((i) => i.op === 'divide')
        .every((i) => Number.isInteger(i.result)),
    ).toBe(true);
  });
});
