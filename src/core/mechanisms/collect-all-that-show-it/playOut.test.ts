import { describe, expect, it } from 'vitest';
import { careful, run } from '../playing.testing';

describe('collecting all that show it', () => {
  it('gathers every piece once when nobody overlooks any', () => {
    const r = run('collect-all-that-show-it', { throws: 80, play: 'against' }, careful(3), 300);
    expect(r.outcomes.score.mean * 3 + r.measures['piecesLeft']!).toBeCloseTo(24, 6);
    expect(r.measures['overlooked']).toBe(0);
  });
  it('leaves overlooked pieces for later throws', () => {
    const r = run('collect-all-that-show-it', {}, [{ errorRate: 0.4 }, { errorRate: 0.4 }], 300);
    expect(r.measures['overlooked']).toBeGreaterThan(2);
  });
  it('shows the number as asked', () => {
    expect(run('collect-all-that-show-it', { shows: 'tally' }, 2, 100).shares['shown as tally'].mean).toBeGreaterThan(0.2);
  });
});
