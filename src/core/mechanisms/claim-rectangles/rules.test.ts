import { describe, expect, it } from 'vitest';
import { careful, itemsOfGames, run } from '../playing.testing';

describe('claiming rectangles', () => {
  it('claims no square twice: areas and what is left make the paper', () => {
    for (const items of itemsOfGames('claim-rectangles', { rows: 8, columns: 9 }, careful(1), 60)) {
      const area = items.filter((i) => i.op === 'area').reduce((sum, i) => sum + i.result, 0);
      expect(area).toBeLessThanOrEqual(72);
    }
    const alone = run('claim-rectangles', { rows: 8, columns: 9 }, careful(1), 300);
    expect(alone.outcomes.score.mean + alone.measures['squaresLeft']!).toBeCloseTo(72, 6);
  });
  it('is filled better by an eye that hugs the edges', () => {
    const left = (policy: 'careful' | 'random'): number => run('claim-rectangles', {}, [{ policy }], 300).measures['squaresLeft']!;
    expect(left('careful')).toBeLessThan(left('random'));
  });
  it('asks for the way round where it is said', () => {
    const shares = run('claim-rectangles', { says: 'both' }, 2, 60).items;
    expect(shares.filter((i) => i.op === 'perimeter').reduce((n, i) => n + i.count, 0)).toBe(
      shares.filter((i) => i.op === 'area').reduce((n, i) => n + i.count, 0),
    );
  });
});
