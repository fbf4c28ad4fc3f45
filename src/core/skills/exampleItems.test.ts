import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { resultOf } from '../items/item';
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
});
