import { describe, expect, it } from 'vitest';
import { checkValue } from '../checkValues';
import { careful, near, nearShare, run } from '../playing.testing';

describe('part and whole with dice', () => {
  // Exact values; see data/check-values.
  it('fills a grid of all six gaps in the expected throws', () => {
    near(run('part-whole-dice', { cells: 1, ends: 'one-grid-full', rounds: 60 }, careful(1), 20_000).turns, capped());
  });
  /** The exact mean is over endless throws; sixty at most takes off what lies beyond: Σ P(T > t) for t ≥ 60. */
  const capped = (): number => {
    const p = [6, 10, 8, 6, 4, 2].map((ways) => ways / 36);
    let mean = 0;
    for (let t = 0; t < 60; t++) {
      let unfinished = 0;
      for (let set = 1; set < 64; set++) {
        const missing = p.reduce((sum, q, i) => sum + (set & (1 << i) ? q : 0), 0);
        const size = [...set.toString(2)].filter((c) => c === '1').length;
        unfinished += (size % 2 === 1 ? 1 : -1) * (1 - missing) ** t;
      }
      mean += unfinished;
    }
    expect(mean).toBeLessThan(Number(checkValue<{ dec: string }>('coupon.2d6.absdiff6').dec));
    expect(mean).toBeGreaterThan(Number(checkValue<{ dec: string }>('coupon.2d6.absdiff6').dec) - 2);
    return mean;
  };
  it('throws wholes and gaps as often as two dice do', () => {
    const { items } = run('part-whole-dice', { ends: 'rounds' }, careful(1), 4000);
    const total = items.reduce((n, i) => n + i.count, 0);
    const max = checkValue<{ ways: Record<string, number> }>('dist.2d6.max').ways;
    for (const [whole, ways] of Object.entries(max))
      nearShare(items.filter((i) => i.result === Number(whole)).reduce((n, i) => n + i.count, 0) / total, ways / 36, total);
    const gaps = checkValue<{ ways: Record<string, number> }>('dist.2d6.absdiff').ways;
    for (const [gap, ways] of Object.entries(gaps))
      nearShare(items.filter((i) => i.b === Number(gap)).reduce((n, i) => n + i.count, 0) / total, ways / 36, total);
  });
});
