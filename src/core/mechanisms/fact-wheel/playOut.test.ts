import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

describe('the fact wheel', () => {
  it('keeps the middle and turns the rim, in whole numbers for every operation', () => {
    for (const operation of ['add', 'subtract', 'multiply', 'divide'])
      for (const i of run('fact-wheel', { operation, fixed: 6 }, 2, 100).items) {
        expect(i.b).toBe(6);
        expect(Number.isInteger(i.result)).toBe(true);
        expect(i.result).toBeGreaterThanOrEqual(0);
      }
  });
  it('meets every rim number equally often going round, and in mixed order', () => {
    for (const order of ['round', 'mixed']) {
      const counts = run('fact-wheel', { order, turns: 10 }, 1, 50).items.map((i) => i.count);
      expect(new Set(counts).size).toBe(1);
      expect(counts.length).toBe(10);
    }
  });
  it('undoes a fact with its opposite', () => {
    expect(run('fact-wheel', { undo: true }, 1, 100).shares.divide.mean).toBeCloseTo(0.5, 2);
  });
});
