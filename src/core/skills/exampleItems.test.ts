import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { type Item, resultOf } from '../items/item';
import { compilePredicate } from './compilePredicate';
import { exampleItems } from './exampleItems';

const graph = shippedGraph();

describe('examples of a skill', () => {
  const withItems = graph.skills.filter((s) => s.predicate !== null);
  it.each(withItems.map((s) => [s.id, s.predicate!] as const))('%s: true items, on the right side of the predicate', (_, predicate) => {
    const { match, miss } = exampleItems(predicate, 3);
    const test = compilePredicate(predicate);
    expect(match.length).toBeGreaterThan(0);
    for (const i of match) expect([test(i), i.result]).toEqual([true, resultOf(i.op, i.a, i.b)]);
    for (const i of miss) expect(test(i)).toBe(false);
  });
  it('are the same for the same seed', () => {
    expect(exampleItems({ op: 'add', ten: 'crossing' }, 4, 9)).toEqual(exampleItems({ op: 'add', ten: 'crossing' }, 4, 9));
  });
  it('of fractions are what the reference library says, whatever bottom numbers an owner asks for', () => {
    const exact = (code: number): Fraction => new Fraction(Math.floor(code / 100), code % 100);
    for (const op of ['add-fraction', 'subtract-fraction'] as const) {
      const { match } = exampleItems({ op, denominators: [7, 9, 11, 12] }, 60, 3);
      expect(match.length).toBeGreaterThan(20);
      for (const i of match)
        expect([
          op,
          i.a,
          i.b,
          exact(i.result).equals(op === 'add-fraction' ? exact(i.a).add(exact(i.b)) : exact(i.a).sub(exact(i.b))),
        ]).toEqual([op, i.a, i.b, true]);
    }
  });
});

describe('a number below zero', () => {
  const negative = compilePredicate({ negative: true });
  const item = (op: Item['op'], a: number, b: number): Item => ({
    op,
    a,
    b,
    result: resultOf(op, a, b),
    unknown: 'result',
    rep: 'numerals',
  });
  it('takes part when it is compared or comes out, not when a comparison is only told by a sign', () => {
    expect(negative(item('compare', 3, 5))).toBe(false);
    expect(negative(item('compare-fraction', 103, 102))).toBe(false);
    expect(negative(item('compare', -3, 5))).toBe(true);
    expect(negative(item('subtract', 3, 5))).toBe(true);
    expect(negative(item('subtract', 5, 3))).toBe(false);
  });
});
