import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { careful, near, run } from '../playing.testing';

describe('guessing between bounds', () => {
  // Exact values by counting; see data/check-values.
  it.each([
    [0, 150],
    [1, 100],
    [1, 1000],
    [0, 10],
    [0, 100],
  ])('from %i to %i by halves takes the expected guesses', (low, high) => {
    const want = checkValue<{ expected: { dec: string }; worst: number }>(`guess.${low}_${high}`);
    const r = run('bound-guess', { low, high, rounds: 1, points: 60, wrong: 0 }, careful(1), 6000);
    near(r.turns, want.expected.dec);
    expect(r.turns.quantiles['0.95']).toBeLessThanOrEqual(want.worst);
  });
  // Common practice, no source: on 0–150 with three lost for guesses outside, an attentive group nearly always wins.
  it('is nearly always won by an attentive group and often lost by a forgetful one', () => {
    const wins = (errorRate: number) =>
      run(
        'bound-guess',
        { outside: 3 },
        Array.from({ length: 3 }, () => ({ policy: 'typical' as const, errorRate })),
        2000,
      ).measures['groupWins']!;
    expect(run('bound-guess', {}, careful(3), 1000).measures['groupWins']).toBeGreaterThan(0.95);
    expect(wins(0)).toBeGreaterThan(wins(0.6) + 0.2);
  });
  it('refuses a range with nothing to guess', () => {
    expect(checkTable('bound-guess', { low: 5, high: 5 }, 2)).toMatchObject({ problem: { field: 'parameters.high' } });
  });
});
