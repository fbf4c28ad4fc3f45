import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { careful, itemsOfGames, meanOf, near, nearShare, run } from '../playing.testing';

const deck40 = { cards: 2, lowest: 1, highest: 10, copies: 4, rounds: 10 };

describe('comparing cards', () => {
  const sums = run('compare-cards', { ...deck40, draw: 'returned' }, careful(1), 6000).items.filter((i) => i.op === 'add');
  const total = sums.reduce((n, i) => n + i.count, 0);
  const share = (test: (i: { a: number; b: number; result: number }) => boolean) => sums.filter(test).reduce((n, i) => n + i.count, 0) / total;

  // Exact shares of two cards from forty; see data/check-values.
  it.each([
    ['coverage.cross.sum_gt10', (i: { result: number }) => i.result > 10],
    ['coverage.makes_ten', (i: { result: number }) => i.result === 10],
    ['coverage.doubles', (i: { a: number; b: number }) => i.a === i.b],
    ['coverage.within5', (i: { result: number }) => i.result <= 5],
    ['coverage.within10', (i: { result: number }) => i.result <= 10],
    ['coverage.band11_20', (i: { result: number }) => i.result >= 11],
  ] as const)('%s', (id, test) => {
    nearShare(share(test as (i: object) => boolean), checkValue<{ P_deck40: { dec: string } }>(id).P_deck40.dec, total);
  });

  /** Different facts, turned round counted once, in the first so many sums of each game. */
  const different = (draw: string, rounds: number) => meanOf(itemsOfGames('compare-cards', { ...deck40, draw, rounds }, careful(1), 3000).map((items) => new Set(items.filter((i) => i.op === 'add').map((i) => [i.a, i.b].sort((x, y) => x - y).join())).size));
  it('meets as many different facts in ten draws as it should', () => {
    const want = checkValue<{ returned: string; dealt: { dec: string } }>('coverage.deck40.after10');
    near(different('returned', 10), want.returned);
    near(different('dealt', 10), want.dealt.dec);
  });
  it('gives the round to more, or to less when agreed, and nothing when equal', () => {
    const high = run('compare-cards', { ...deck40, goal: 'higher' }, [{ parameters: { highest: 10 } }, { parameters: { highest: 5 } }], 1000).outcomes.wins;
    const low = run('compare-cards', { ...deck40, goal: 'lower' }, [{ parameters: { highest: 10 } }, { parameters: { highest: 5 } }], 1000).outcomes.wins;
    expect(high[0]).toBeGreaterThan(0.8);
    expect(low[1]).toBeGreaterThan(0.8);
  });
  it('refuses products and digits that do not fit', () => {
    expect(checkTable('compare-cards', { join: 'number', highest: 12 }, 2)).toMatchObject({ problem: { field: 'parameters.highest' } });
    expect(checkTable('compare-cards', { cards: 1, join: 'product' }, 2)).toMatchObject({ problem: { field: 'parameters.join' } });
  });
});
