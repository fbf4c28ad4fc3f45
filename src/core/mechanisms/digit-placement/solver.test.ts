import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { careful, near, run } from '../playing.testing';
import { DEFAULTS, type PlacementParameters } from './parameters';
import { byThumb } from './policies';
import { numberIn, solvePlacement, worthOfNumber } from './solver';

interface Exact {
  readonly optimal: { readonly dec: string };
  readonly greedy: { readonly dec: string };
  readonly random: { readonly dec: string };
}
const cases = [
  ['place.3digit.noreplace', { columns: 3, draw: 'kept' }],
  ['place.3digit.replace', { columns: 3, draw: 'returned' }],
  ['place.4digit.noreplace', { columns: 4, draw: 'kept' }],
  ['place.4digit.replace', { columns: 4, draw: 'returned' }],
] as const;

/** Straight from the definition: every draw, every column, the best of them. */
function byDefinition(p: PlacementParameters, columns: number[]): number {
  const empty = columns.flatMap((d, c) => (d < 0 ? [c] : []));
  if (empty.length === 0) return worthOfNumber(p, numberIn(columns));
  const digits = Array.from({ length: 10 }, (_, d) => d).filter((d) => p.draw === 'returned' || !columns.includes(d));
  return (
    digits.reduce(
      (sum, d) =>
        sum +
        Math.max(
          ...empty.map((c) =>
            byDefinition(
              p,
              columns.map((x, i) => (i === c ? d : x)),
            ),
          ),
        ),
      0,
    ) / digits.length
  );
}

describe('placing digits', () => {
  // Exact values by dynamic programming outside this code; see data/check-values.
  it.each(cases)('%s: best play, the rule of thumb, and chance', (id, more) => {
    const want = checkValue<Exact>(id);
    const p: PlacementParameters = { ...DEFAULTS, ...more };
    expect(solvePlacement(p).expected).toBeCloseTo(Number(want.optimal.dec), 8);
    const mean = (policy: 'careful' | 'typical' | 'random') => {
      const r = run('digit-placement', { ...more, rounds: 4 }, [{ policy, errorRate: 0 }], 5000);
      return { mean: r.measures['meanNumber']!, standardError: r.measureErrors['meanNumber']! };
    };
    near(mean('careful'), want.optimal.dec);
    near(mean('typical'), want.greedy.dec);
    near(mean('random'), want.random.dec);
  });
  it.each(['largest', 'smallest', 'odd', 'even', 'nearest'] as const)('for the %s number agrees with trying everything', (goal) => {
    for (const draw of ['kept', 'returned'] as const) {
      const p: PlacementParameters = { ...DEFAULTS, columns: 3, goal, draw, target: 437 };
      expect(solvePlacement(p).expected).toBeCloseTo(byDefinition(p, [-1, -1, -1]), 8);
    }
  });
  it('measures what the choices of a game cost: the gap to best play', () => {
    for (const policy of ['typical', 'random'] as const) {
      const r = run('digit-placement', { rounds: 4 }, [{ policy, errorRate: 0.3 }], 4000);
      near(
        {
          mean: r.measures['meanNumber']! + r.measures['costOfChoices']!,
          standardError: r.measureErrors['meanNumber']! + r.measureErrors['costOfChoices']!,
        },
        checkValue<Exact>('place.3digit.noreplace').optimal.dec,
      );
    }
    expect(run('digit-placement', {}, careful(2), 200).measures['costOfChoices']).toBe(0);
  });
  it('says what a choice costs', () => {
    const placer = solvePlacement(DEFAULTS);
    const empty = Int32Array.from([-1, -1, -1]);
    expect(placer.best(empty, 9)).toBe(2);
    expect(placer.best(empty, 0)).toBe(0);
    expect(placer.worthOf(empty, 9, 2) - placer.worthOf(empty, 9, 0)).toBeGreaterThan(300);
  });
  // Common practice, no source: low draws to the small columns, but an even or odd goal reserves the ones column.
  it('keeps the ones column for a digit that suits', () => {
    expect(byThumb({ ...DEFAULTS, goal: 'even' }, Int32Array.from([-1, -1, -1]), 3)).toBe(1);
    expect(byThumb({ ...DEFAULTS, goal: 'even' }, Int32Array.from([-1, -1, -1]), 2)).toBe(0);
    expect(run('digit-placement', { goal: 'even' }, careful(2), 400).measures['spoiled']).toBeLessThan(
      run('digit-placement', { goal: 'even' }, [{ policy: 'random' }, { policy: 'random' }], 400).measures['spoiled']! / 2,
    );
  });
  it('refuses a target out of reach', () => {
    expect(checkTable('digit-placement', { goal: 'nearest', target: 5000 }, 2)).toMatchObject({ problem: { field: 'parameters.target' } });
  });
});
