import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';
import { DEFAULTS, type SetsParameters } from './parameters';
import { belongTogether, groupsOf, readingOf } from './rules';

const value = (p: SetsParameters, group: number, face: number): number => {
  const r = readingOf(p, group, face);
  if (!r) return NaN;
  if (r.channel === 5) return r.a + r.b;
  if (r.channel === 4) return r.a * r.b;
  if (r.channel === 3) return r.a ** r.b;
  if (r.channel === 2 || r.channel === 0) return new Fraction(Math.floor(r.a / 100), r.a % 100).valueOf();
  return r.a / 1000;
};

describe('sets and runs', () => {
  it('three faces of one group are worth the same, by a general fraction library', () => {
    for (const cards of ['one-amount-as-fraction-percent-decimal', 'one-number-of-facts', 'one-fraction', 'one-power'] as const) {
      const p = { ...DEFAULTS, cards };
      for (const g of groupsOf(p)) {
        const values = [0, 1, 2].map((f) => value(p, g, f)).filter((v) => !Number.isNaN(v));
        for (const v of values) expect(v).toBeCloseTo(values[0]!, 9);
      }
    }
  });
  it('a run is three neighbours, a set three faces of one thing', () => {
    const runs = { ...DEFAULTS, cards: 'multiples-in-a-row', step: 6 } as const;
    const c = (group: number, face: 0 | 1 | 2) => ({ group, face });
    expect(belongTogether(runs, c(24, 0), c(12, 1), c(18, 2))).toBe(true);
    expect(belongTogether(runs, c(12, 0), c(18, 1), c(30, 2))).toBe(false);
    expect(belongTogether(DEFAULTS, c(10, 0), c(10, 1), c(10, 2))).toBe(true);
    expect(belongTogether(DEFAULTS, c(10, 0), c(10, 1), c(10, 1))).toBe(false);
  });
  it('rewards keeping what goes together', () => {
    const r = run('sets-and-runs', {}, [{ policy: 'careful' }, { policy: 'random' }], 300);
    expect(r.outcomes.wins[0]).toBeGreaterThan(2 * r.outcomes.wins[1]!);
  });
});
