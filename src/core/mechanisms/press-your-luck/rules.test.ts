import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { near, nearShare, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { bestHold, loses, throwOdds } from './rules';
import { winningPlay } from './winningPlay';

describe('pressing one’s luck', () => {
  // Exact values by dynamic programming; see data/check-values.
  it.each([10, 15, 18, 19, 20, 30])('stopping at %i: turns to a hundred', (holdAt) => {
    const want = checkValue<{ E_turns_100: string }>(`pig.hold${holdAt}`).E_turns_100;
    near(run('press-your-luck', { goal: 100, holdAt }, [{ policy: 'typical', errorRate: 0 }], 20_000).turns, want);
  });
  it('pig.optimal.holdat and .first: the play that wins most often between two', () => {
    const best = winningPlay(100, 6);
    for (const [own, other, holdAt] of checkValue<[number, number, number][]>('pig.optimal.holdat')) {
      let gathered = 0;
      while (gathered < 100 - own && best.throwsOn(own, other, gathered)) gathered++;
      expect([own, other, gathered]).toEqual([own, other, holdAt]);
    }
    expect(best.chance(0, 0)).toBeCloseTo(Number(checkValue<string>('pig.optimal.first')), 9);
  });
  it('pig.optimal_vs_hold20: careful against stopping at twenty, moving first and second', () => {
    const want = checkValue<{ first: string; second: string }>('pig.optimal_vs_hold20');
    const careful = { policy: 'careful' } as const;
    const holds = { policy: 'typical', errorRate: 0 } as const;
    nearShare(run('press-your-luck', { goal: 100, holdAt: 20 }, [careful, holds], 20_000).outcomes.wins[0]!, want.first, 20_000);
    nearShare(run('press-your-luck', { goal: 100, holdAt: 20 }, [holds, careful], 20_000).outcomes.wins[1]!, want.second, 20_000);
  });
  it('loses as many turns as it should', () => {
    const want = Number(checkValue<{ P_zero: { dec: string } }>('pig.hold20').P_zero.dec);
    const r = run('press-your-luck', { goal: 300, holdAt: 20 }, [{ policy: 'typical', errorRate: 0 }], 6000);
    // The last turn of a game may stop before twenty, so fewer are lost by a hair.
    expect(r.measures['lostTurns']! / r.turns.mean).toBeGreaterThan(want - 0.01);
    expect(r.measures['lostTurns']! / r.turns.mean).toBeLessThan(want + 0.002);
  });
  it('is best stopped at twenty with one die, by weighing what a throw brings against what it loses', () => {
    expect(bestHold(DEFAULTS)).toBe(20);
    expect(throwOdds(DEFAULTS)).toEqual({ lost: 1 / 6, mean: 4 });
    expect(loses({ ...DEFAULTS, dice: 2, bust: 'seven' }, 3, 4)).toBe(true);
  });
  it('refuses a game that would hardly end', () => {
    expect(checkTable('press-your-luck', { lose: 'everything', goal: 200 }, 2)).toMatchObject({ problem: { field: 'parameters.goal' } });
  });
});
