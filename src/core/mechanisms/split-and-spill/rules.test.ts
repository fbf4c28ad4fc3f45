import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { careful, near, nearShare, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { splitsToFind } from './rules';

type All = Record<'ordered' | 'unordered' | 'ordered_without_zero' | 'unordered_without_zero', { dec: string }>;

describe('splitting and spilling', () => {
  // Exact values by inclusion and exclusion; see data/check-values.
  it.each([5, 6, 8, 9])('of %i counters: spills until every split has come', (counters) => {
    const want = checkValue<All>(`spill.all.${counters}`);
    const spills = (order: boolean, zeros: boolean) =>
      run('split-and-spill', { counters, ends: 'all-seen', order, zeros }, careful(1), 8000).turns;
    near(spills(true, false), want.ordered_without_zero.dec);
    near(spills(false, false), want.unordered_without_zero.dec);
    if (counters > 6) return;
    near(spills(false, true), want.unordered.dec);
    near(spills(true, true), want.ordered.dec);
  });
  it.each([
    [5, 10],
    [5, 30],
    [10, 10],
    [10, 30],
  ])('of %i counters: different splits in %i spills', (counters, rounds) => {
    const want = checkValue<{ ordered: string; unordered: string }>(`spill.seen.${counters}.after${rounds}`);
    for (const [order, exact] of [
      [true, want.ordered],
      [false, want.unordered],
    ] as const) {
      const r = run('split-and-spill', { counters, rounds, order }, careful(1), 8000);
      near({ mean: r.measures['splitsSeen']!, standardError: r.measureErrors['splitsSeen']! }, exact);
    }
  });
  it('comes as often as fair counters do', () => {
    const { ordered } = checkValue<{ ordered: Record<string, string> }>('spill.dist.5');
    const r = run('split-and-spill', { counters: 5 }, careful(1), 5000);
    const hidden = r.items.filter((i) => i.op === 'decompose');
    const total = hidden.reduce((n, i) => n + i.count, 0);
    for (const [split, p] of Object.entries(ordered)) {
      const [top, bottom] = p.split('/').map(Number);
      const met = hidden.filter((i) => i.b === Number(split.split('+')[0])).reduce((n, i) => n + i.count, 0);
      nearShare(met / total, top! / bottom!, total);
    }
  });
  it('knows which splits a bag can give', () => {
    expect(splitsToFind({ ...DEFAULTS, from: 'bag', counters: 5, first: 2, second: 10, order: true })).toEqual([0, 1, 2]);
    expect(checkTable('split-and-spill', { from: 'bag', first: 2, second: 2, counters: 6 }, 2)).toMatchObject({
      problem: { field: 'parameters.counters' },
    });
  });
});
