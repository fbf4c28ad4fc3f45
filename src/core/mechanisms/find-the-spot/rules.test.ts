import { describe, expect, it } from 'vitest';
import { careful, itemsOfGames, run } from '../playing.testing';

describe('finding the spot', () => {
  it('is found by halving both ways: no more guesses than cuts of the longer side', () => {
    // Right or left and up or down cut nine by nine places to at most four by four, then one by one or two by two, then one.
    for (const items of itemsOfGames('find-the-spot', { spots: 1 }, careful(1), 200))
      expect(items.filter((i) => i.op === 'plot-point').length).toBeLessThanOrEqual(4);
  });
  it('stays in the first quarter, or uses all four', () => {
    const quarters = (q: string): Set<number> =>
      new Set(
        run('find-the-spot', { quarters: q }, 2, 60)
          .items.filter((i) => i.op === 'plot-point')
          .map((i) => i.result),
      );
    expect(quarters('one-quarter')).toEqual(new Set([0, 1]));
    expect(quarters('four-quarters')).toEqual(new Set([0, 1, 2, 3, 4]));
  });
  it('is found more often by those who keep the clues', () => {
    const found = (policy: 'careful' | 'random'): number =>
      run('find-the-spot', { guesses: 10 }, [{ policy }, { policy }], 200).measures['spotsFound']!;
    expect(found('careful')).toBeGreaterThan(found('random'));
  });
});
