import { describe, expect, it } from 'vitest';
import { itemsOfGames, run } from '../playing.testing';

describe('counting the lot', () => {
  it('adds coin by coin, largest first, to what they are worth', () => {
    for (const items of itemsOfGames('count-the-lot', { lots: 1 }, [{ policy: 'careful' }], 200)) {
      const sums = items.filter((i) => i.op === 'add');
      const total = items.find((i) => i.op === 'count-money')!;
      if (sums.length > 0) expect(sums[sums.length - 1]!.result).toBe(total.a);
      for (let i = 1; i < sums.length; i++) expect(sums[i]!.b).toBeLessThanOrEqual(sums[i - 1]!.b);
      expect(total.b).toBe(sums.length + 1);
    }
  });
  it('groups counters when agreed', () => {
    expect(
      run('count-the-lot', { pieces: 'counters', group: 5, fewest: 20, most: 40 }, 2, 200).items.filter((i) => i.b === 5).length,
    ).toBeGreaterThan(0);
  });
});
