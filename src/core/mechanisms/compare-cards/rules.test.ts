import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { denominatorOf, numeratorOf } from '../../items/fraction';
import { checkValue } from '../checkValues';
import { careful, itemsOfGames, meanOf, near, nearShare, run } from '../playing.testing';

const deck40 = { cards: 2, lowest: 1, highest: 10, copies: 4, rounds: 10 };

/** A fraction code as the reference library reads it. */
const exact = (code: number): Fraction => new Fraction(numeratorOf(code), denominatorOf(code));

describe('comparing cards', () => {
  const sums = run('compare-cards', { ...deck40, draw: 'returned' }, careful(1), 6000).items.filter((i) => i.op === 'add');
  const total = sums.reduce((n, i) => n + i.count, 0);
  const share = (test: (i: { a: number; b: number; result: number }) => boolean) =>
    sums.filter(test).reduce((n, i) => n + i.count, 0) / total;

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
  const different = (draw: string, rounds: number) =>
    meanOf(
      itemsOfGames('compare-cards', { ...deck40, draw, rounds }, careful(1), 3000).map(
        (items) => new Set(items.filter((i) => i.op === 'add').map((i) => [i.a, i.b].sort((x, y) => x - y).join())).size,
      ),
    );
  it('meets as many different facts in ten draws as it should', () => {
    const want = checkValue<{ returned: string; dealt: { dec: string } }>('coverage.deck40.after10');
    near(different('returned', 10), want.returned);
    near(different('dealt', 10), want.dealt.dec);
  });
  it('gives the round to more, or to less when agreed, and nothing when equal', () => {
    const high = run(
      'compare-cards',
      { ...deck40, goal: 'higher' },
      [{ parameters: { highest: 10 } }, { parameters: { highest: 5 } }],
      1000,
    ).outcomes.wins;
    const low = run('compare-cards', { ...deck40, goal: 'lower' }, [{ parameters: { highest: 10 } }, { parameters: { highest: 5 } }], 1000)
      .outcomes.wins;
    expect(high[0]).toBeGreaterThan(0.8);
    expect(low[1]).toBeGreaterThan(0.8);
  });
  it('adds or takes an agreed number, and tells the card it makes', () => {
    const of = (join: string, by: number) =>
      run('compare-cards', { cards: 1, lowest: 20, highest: 29, copies: 1, rounds: 1, join, by }, careful(2), 400);
    const more = of('so-much-more', 19);
    const added = more.items.filter((i) => i.op === 'add');
    expect(new Set(added.map((i) => `${i.a} + ${i.b} = ${i.result}`)).size).toBe(10);
    expect(added.every((i) => i.b === 19 && i.a >= 20 && i.a <= 29 && i.result === i.a + 19)).toBe(true);
    // What is compared is what was made: 39 to 48.
    expect(more.items.filter((i) => i.op === 'compare').every((i) => i.a >= 39 && i.a <= 48)).toBe(true);
    const less = of('so-much-less', 10).items;
    expect(less.filter((i) => i.op === 'subtract').every((i) => i.b === 10 && i.result === i.a - 10)).toBe(true);
    expect(less.filter((i) => i.op === 'compare').every((i) => i.a >= 10 && i.a <= 19)).toBe(true);
    expect(checkTable('compare-cards', { cards: 1, lowest: 5, join: 'so-much-less', by: 6 }, 2)).toMatchObject({
      problem: { field: 'parameters.by', message: '6 less than a card of 5 is below zero.' },
    });
    expect(checkTable('compare-cards', { cards: 1, lowest: 5, join: 'so-much-less', by: 5 }, 2).ok).toBe(true);
  });
  it('refuses products and digits that do not fit', () => {
    expect(checkTable('compare-cards', { join: 'number', highest: 12 }, 2)).toMatchObject({ problem: { field: 'parameters.highest' } });
    expect(checkTable('compare-cards', { cards: 1, join: 'product' }, 2)).toMatchObject({ problem: { field: 'parameters.join' } });
  });
});

describe('comparing fractions', () => {
  const fractions = { join: 'fraction', rounds: 8 };
  it('the smaller of two cards goes over the larger, and the reference library agrees who has more', () => {
    const { items } = run('compare-cards', fractions, careful(3), 300);
    expect(items.length).toBeGreaterThan(50);
    for (const i of items) {
      expect(i.op).toBe('compare-fraction');
      for (const c of [i.a, i.b]) expect(numeratorOf(c)).toBeLessThanOrEqual(denominatorOf(c));
      expect(i.result).toBe(Math.sign(exact(i.a).compare(exact(i.b))));
    }
  });
  it('over an agreed bottom number all fractions have it', () => {
    const { items } = run('compare-cards', { ...fractions, bottom: 8 }, careful(2), 200);
    for (const i of items) expect([denominatorOf(i.a), denominatorOf(i.b)]).toEqual([8, 8]);
  });
  it('by how much more is a true difference, never below nought', () => {
    const { items } = run('compare-cards', { ...fractions, howMuchMore: true }, careful(2), 200);
    const differences = items.filter((i) => i.op === 'subtract-fraction');
    expect(differences.length).toBeGreaterThan(10);
    for (const i of differences) {
      const d = exact(i.a).sub(exact(i.b));
      expect([d.compare(0) > 0, exact(i.result).equals(d)]).toEqual([true, true]);
    }
  });
  it('says first whether it is more than a half, once a turn', () => {
    const r = run('compare-cards', { ...fractions, sayHalf: true }, careful(2), 200);
    const halves = r.items.filter((i) => i.b === 102).reduce((n, i) => n + i.count, 0);
    expect(halves).toBeGreaterThanOrEqual(200 * 2 * 8);
  });
  it('gives the round to the larger fraction, not to the larger cards', () => {
    // The least third is more than three twelfths.
    const { wins } = run(
      'compare-cards',
      { ...fractions, highest: 3 },
      [{ parameters: { bottom: 3 } }, { parameters: { bottom: 12 } }],
      600,
    ).outcomes;
    expect(wins[0]).toBeGreaterThan(0.95);
  });
  it('refuses what makes no fraction', () => {
    expect(checkTable('compare-cards', { join: 'fraction', cards: 3 }, 2)).toMatchObject({ problem: { field: 'parameters.cards' } });
    expect(checkTable('compare-cards', { join: 'fraction', lowest: 0 }, 2)).toMatchObject({ problem: { field: 'parameters.lowest' } });
    expect(checkTable('compare-cards', { join: 'fraction', bottom: 1 }, 2)).toMatchObject({ problem: { field: 'parameters.bottom' } });
    expect(checkTable('compare-cards', { join: 'fraction', highest: 50 }, 2)).toMatchObject({ problem: { field: 'parameters.highest' } });
  });
  it('laid on a line counts for the line, not for bare numerals', () => {
    const items = (onLine: boolean) => run('compare-cards', { cards: 1, onLine }, careful(2), 50).items.filter((i) => i.op === 'compare');
    expect(new Set(items(true).map((i) => i.rep))).toEqual(new Set(['number-line']));
    expect(new Set(items(false).map((i) => i.rep))).toEqual(new Set(['numerals']));
  });
  it('counts in tens, hundreds or thousands when agreed', () => {
    for (const worth of [10, 100, 1000]) {
      const { items } = run('compare-cards', { worth }, careful(2), 60);
      for (const i of items)
        expect([i.a % worth, i.b % worth, i.op === 'compare' || i.result === (i.op === 'add' ? i.a + i.b : i.a - i.b)]).toEqual([
          0,
          0,
          true,
        ]);
    }
    expect(checkTable('compare-cards', { worth: 100, join: 'product' }, 2)).toMatchObject({ problem: { field: 'parameters.worth' } });
  });
  it('goes below nought for sums and bare cards only', () => {
    const { items } = run('compare-cards', { lowest: -10, cards: 1 }, careful(2), 100);
    expect(items.some((i) => i.a < 0)).toBe(true);
    for (const i of items) expect(i.result).toBe(Math.sign(i.a - i.b));
    expect(checkTable('compare-cards', { lowest: -3, join: 'product' }, 2)).toMatchObject({ problem: { field: 'parameters.lowest' } });
  });
});
