import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

describe('hunting for tasks', () => {
  // Common practice, no source: sheets have 16 or 20 boxes, and nobody has to finish.
  it('fills the sheet when there is time, and stops when there is none', () => {
    expect(run('task-hunt', { cards: 'passed', minutes: 60 }, 3, 200).measures['boxesFilled']).toBe(16);
    expect(run('task-hunt', { tasks: 20, minutes: 5 }, 3, 200).measures['boxesFilled']).toBeLessThan(12);
  });
  it('keeps results within the range for each operation', () => {
    for (const i of run('task-hunt', { operations: ['add', 'subtract', 'multiply', 'divide'], lowest: 2, highest: 60 }, 3, 300).items) {
      expect(Math.max(i.op === 'add' || i.op === 'multiply' ? i.result : i.a)).toBeLessThanOrEqual(60);
      expect(Number.isInteger(i.result)).toBe(true);
      expect(i.result).toBeGreaterThanOrEqual(0);
    }
  });
});
