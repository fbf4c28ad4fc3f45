import { describe, expect, it } from 'vitest';
import { itemsOfGames, run } from '../playing.testing';

describe('covering a shape', () => {
  it('finds the same area by counting, by rows and by the sides', () => {
    for (const items of itemsOfGames('cover-the-shape', { work: 'adding-rows', estimate: false, tasks: 1 }, [{ policy: 'careful' }], 200)) {
      const columns = items[0]!.b;
      expect(items[items.length - 1]!.result).toBe((items.length + 1) * columns);
    }
    expect(run('cover-the-shape', { work: 'sides-times' }, 2, 200).shares.area.mean).toBeGreaterThan(0.3);
  });
  it('adds two rectangles of a joined figure', () => {
    for (const items of itemsOfGames(
      'cover-the-shape',
      { work: 'sides-times', figure: 'two-joined', estimate: false, tasks: 1 },
      [{ policy: 'careful' }],
      200,
    )) {
      expect(items.map((i) => i.op)).toEqual(['area', 'area', 'add']);
      expect(items[2]!.a).toBe(items[0]!.result);
      expect(items[2]!.b).toBe(items[1]!.result);
    }
  });
});
