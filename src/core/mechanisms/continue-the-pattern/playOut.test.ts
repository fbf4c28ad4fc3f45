import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { run } from '../playing.testing';

describe('continuing a pattern', () => {
  it('keeps cores within the lengths agreed and finds the element by the remainder', () => {
    for (const i of run('continue-the-pattern', { shortest: 2, longest: 4 }, 3, 300).items) {
      expect(i.a).toBeGreaterThanOrEqual(2);
      expect(i.a).toBeLessThanOrEqual(4);
      expect(i.result).toBe(i.b % i.a);
    }
  });
  it('goes step by step to a member far ahead of a growing pattern', () => {
    const steps = (asks: string) => run('continue-the-pattern', { kind: 'grows', asks }, 2, 300).measures['itemsPerTurn']!;
    expect(steps('what-comes-next')).toBe(1);
    expect(steps('far-ahead')).toBeGreaterThan(4);
  });
  it('refuses a core that is not seen twice', () => {
    expect(checkTable('continue-the-pattern', { longest: 6, shown: 8 }, 2)).toMatchObject({ problem: { field: 'parameters.shown' } });
  });
});
