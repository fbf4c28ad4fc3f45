import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import values from '../../../../data/check-values/values.json';
import { run } from '../playing.testing';
import { canForce, losingTotals } from './rules';

const known = (
  values as unknown as { id: string; value: { losing_normal: number[]; losing_misere: number[]; first_player_wins_normal: boolean } }[]
).filter((v) => v.id.startsWith('nim.'));

describe('taking away', () => {
  it.each(known.map((v) => [v.id, v.value] as const))('%s: the totals that lose', (id, want) => {
    const [goal, steps] = id.slice(4).split('.');
    const most = Number(steps!.split('-')[1]);
    expect(losingTotals(Number(goal), most, true)).toEqual(want.losing_normal);
    expect(losingTotals(Number(goal), most, false)).toEqual(want.losing_misere);
  });

  /** Straight from the definition: a position wins when some move leads to one that loses. */
  const byDefinition = (piles: number[], most: number, lastWins: boolean): boolean => {
    if (piles.every((p) => p === 0)) return !lastWins;
    return piles.some((p, i) =>
      Array.from({ length: Math.min(most, p) }, (_, k) => k + 1).some(
        (take) =>
          !byDefinition(
            piles.map((q, j) => (j === i ? q - take : q)),
            most,
            lastWins,
          ),
      ),
    );
  };
  it('agrees with the definition on every small set of piles', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 2, max: 4 }),
        fc.boolean(),
        (piles, most, lastWins) => {
          expect(canForce(piles, most, lastWins)).toBe(byDefinition(piles, most, lastWins));
        },
      ),
      { numRuns: 60 },
    );
  });
  it('is won by whoever can force it, when both play with care', () => {
    for (const value of known.slice(0, 8)) {
      const [goal, steps] = value.id.slice(4).split('.');
      const r = run(
        'take-away-piles',
        { form: 'say-up-to', size: Number(goal), most: Number(steps!.split('-')[1]) },
        [{ policy: 'careful' }, { policy: 'careful' }],
        64,
      );
      expect(r.outcomes.wins[0]).toBe(value.value.first_player_wins_normal ? 1 : 0);
    }
  });
});
