import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { resultOf } from '../items/item';
import { compilePredicate } from './compilePredicate';
import { sheetItems } from './sheetItems';

const graph = shippedGraph();
const skill = (id: string) => graph.skills[graph.indexOf.get(id)!]!;

describe('questions for a sheet', () => {
  it.each(graph.skills.filter((s) => s.predicate !== null).map((s) => [s.id, s] as const))(
    '%s: true, about the skill, no fact twice',
    (_, s) => {
      const items = sheetItems(s, graph.skills, 10, 3);
      const test = compilePredicate(s.predicate!);
      expect(items.length).toBeGreaterThan(0);
      expect(items.length).toBeLessThanOrEqual(10);
      for (const i of items) expect([test(i), i.result]).toEqual([true, resultOf(i.op, i.a, i.b)]);
      const keys = items.map((i) =>
        (['add', 'compose', 'multiply'].includes(i.op) && i.unknown === 'result'
          ? [i.op, Math.max(i.a, i.b), Math.min(i.a, i.b)]
          : [i.op, i.a, i.b, i.unknown]
        ).join(),
      );
      expect(new Set(keys).size).toBe(items.length);
    },
  );
  it('about times three and four asks nothing of times nought, one, two, five or ten while there is something else', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const items = sheetItems(skill('times-3-4'), graph.skills, 10, seed);
      expect(items).toHaveLength(10);
      for (const i of items) for (const n of [i.a, i.b]) expect([0, 1, 2, 5, 10]).not.toContain(n);
    }
  });
  it('about all of twenty begins with what is hardest there', () => {
    const items = sheetItems(skill('add-in-20'), graph.skills, 5, 2);
    for (const i of items) expect(i.result).toBeGreaterThan(10);
  });
  it('asks the same for the same seed, and other facts for another', () => {
    const s = skill('take-in-20');
    expect(sheetItems(s, graph.skills, 10, 8)).toEqual(sheetItems(s, graph.skills, 10, 8));
    expect(sheetItems(s, graph.skills, 10, 8)).not.toEqual(sheetItems(s, graph.skills, 10, 9));
  });
  it('has nothing to ask where items cannot show the skill', () => {
    expect(sheetItems(skill('order-to-20'), graph.skills, 10)).toEqual([]);
  });
});
