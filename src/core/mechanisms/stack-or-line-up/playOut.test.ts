import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

describe('stacking and lining up', () => {
  it('stacks higher with steadier pieces, never beyond what there is', () => {
    const mean = (steady: number) => run('stack-or-line-up', { steady }, 3, 1000).measures['meanPieces']!;
    expect(mean(12)).toBeGreaterThan(mean(5) + 1);
    const counted = run('stack-or-line-up', { pieces: 8, steady: 8 }, 2, 500).items.filter((i) => i.op === 'count');
    expect(Math.max(...counted.map((i) => i.a))).toBeLessThanOrEqual(8);
  });
  it('counts in twos or fives when agreed', () => {
    expect(run('stack-or-line-up', { countBy: 'in-fives' }, 2, 300).items.some((i) => i.op === 'next-in-sequence' && i.b === 5)).toBe(true);
    expect(run('stack-or-line-up', { countBy: 'in-fives' }, 2, 300).shares.count.mean).toBe(0);
  });
});
