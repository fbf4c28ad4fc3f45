import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

describe('a quick look', () => {
  // Common practice, no source: few dots are seen at a glance, many are counted unless they lie in an order one knows.
  it('is seen at a glance up to four dots anyhow, and up to ten in a frame', () => {
    const counted = (layout: string) =>
      run('quick-look', { layout, highest: 10, look: 'as-long-as-wanted', ways: 0 }, 2, 400)
        .items.filter((i) => i.op === 'count')
        .map((i) => i.a);
    expect(Math.min(...counted('anyhow'))).toBe(5);
    expect(counted('in-a-ten-frame')).toEqual([]);
  });
  it('tells ways that make the number', () => {
    for (const i of run('quick-look', { ways: 3, lowest: 4 }, 2, 200).items.filter((x) => x.op === 'compose'))
      expect(i.result).toBeLessThanOrEqual(6);
  });
});
