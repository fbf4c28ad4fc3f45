import { describe, expect, it } from 'vitest';
import { careful, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { asksOf, holds, poolOf } from './rules';

describe('which shape it is', () => {
  it('can be told apart by the questions: no two four-sided shapes agree in all of them but by chance of their kind', () => {
    const p = { ...DEFAULTS, shapes: 'four-sided', asks: 'everything', laid: 5 } as const;
    const signs = poolOf(p).map((s) =>
      asksOf(p)
        .map((a) => (holds(a, s) ? 1 : 0))
        .join(''),
    );
    // A kite and an arrow head have the same sides, angles and symmetry here; every other differs.
    expect(new Set(signs).size).toBeGreaterThanOrEqual(signs.length - 1);
  });
  it('takes about as many questions as halving does', () => {
    const r = run('which-shape', { laid: 8, asks: 'everything' }, careful(2), 200);
    // Eight things want three questions with yes and no.
    const questions = r.items.filter((i) => i.op === 'shape-name').reduce((n, i) => n + i.count, 0);
    expect(r.turns.mean / (questions / 200)).toBeLessThan(4.2);
    expect(r.measures['shapesFound']).toBeGreaterThan(0.9);
  });
  it('asks about families where it should', () => {
    const ops = new Set(run('which-shape', { shapes: 'four-sided', asks: 'families', laid: 5 }, 2, 40).items.map((i) => i.op));
    expect(ops).toEqual(new Set(['shape-family', 'shape-name']));
  });
});
