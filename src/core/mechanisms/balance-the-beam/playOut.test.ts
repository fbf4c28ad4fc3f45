import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { itemsOfGames, run } from '../playing.testing';

describe('balancing the beam', () => {
  it.each([{}, { left: 2 }, { left: 2, right: 3, pegs: 12 }, { multiples: true, left: 2, right: 2 }])(
    'always asks for a place that can be hung on: %o',
    (parameters) => {
      const most = ((parameters as { pegs?: number }).pegs ?? 10) * ((parameters as { multiples?: boolean }).multiples ? 3 : 1);
      for (const items of itemsOfGames('balance-the-beam', parameters, [{}, {}], 100))
        for (const i of items.filter((x) => x.op === 'balance')) {
          expect(i.result).toBeGreaterThanOrEqual(1);
          expect(i.result).toBeLessThanOrEqual(most);
        }
    },
  );
  it('multiplies only when several weights may hang on a peg', () => {
    expect(run('balance-the-beam', {}, 2, 200).shares.multiply.mean).toBe(0);
    expect(run('balance-the-beam', { multiples: true }, 2, 200).shares.multiply.mean).toBeGreaterThan(0.1);
  });
  it('refuses tasks that could not be balanced', () => {
    expect(checkTable('balance-the-beam', { left: 3, right: 2 }, 2)).toMatchObject({ problem: { field: 'parameters.left' } });
  });
});
