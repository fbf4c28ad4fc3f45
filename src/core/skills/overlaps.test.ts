import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { nearlySame, overlapsOf } from './overlaps';

const graph = shippedGraph();

describe('what a predicate overlaps', () => {
  it('finds the skill it repeats', () => {
    const [first] = overlapsOf(graph, graph.skills[graph.indexOf.get('make-ten')!]!.predicate!);
    expect(first).toMatchObject({ skill: 'make-ten', inside: 1 });
    expect(first!.covers).toBeGreaterThanOrEqual(nearlySame);
  });
  it('tells a part from the whole', () => {
    const found = overlapsOf(graph, { op: 'add', a: [3, 4], b: [3, 4] });
    const whole = found.find((o) => o.skill === 'add-in-10')!;
    expect(whole.inside).toBe(1);
    expect(whole.covers).toBeLessThan(0.5);
  });
  it('finds nothing where no item meets it', () => expect(overlapsOf(graph, { op: 'add', a: [5, 5], result: [0, 1] })).toEqual([]));
});
