import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { type Item, resultOf } from '../items/item';
import { estimateMastery } from '../mastery/estimateMastery';
import type { Evidence, LearnerFacts } from '../mastery/evidence';
import { knownOf } from '../mastery/standing';
import { creditsOf } from '../skills/creditsOf';
import { learnerNeeds, type LearnerNeeds } from './learnerNeeds';

const graph = shippedGraph();
const today = '2026-11-20';
const child: LearnerFacts = { born: '2020-03', framework: 'us', permanentSupports: [], supportsInUse: [] };
const notes = (skill: string, result: 'alone' | 'stuck', n: number): Evidence[] =>
  Array.from({ length: n }, (_, i) => ({
    id: `${skill}${i}`,
    at: `2026-11-${String(i + 2).padStart(2, '0')}T10:00:00Z`,
    kind: 'note',
    skill,
    result,
    correct: null,
    total: null,
    how: result === 'alone' ? 'knew' : null,
    support: null,
    items: [],
    by: { role: 'helper', ownChild: false },
  }));
const needs = (evidence: Evidence[]): LearnerNeeds =>
  learnerNeeds(
    graph,
    { id: 'x', nickname: 'X', age: 6.7, framework: 'us', supported: false },
    knownOf(estimateMastery(graph, child, evidence, today)),
  );
// What practitioners say, common practice, no source.
describe('what practitioners expect', () => {
  it('make-eleven waits until make-ten is strong', () => {
    // What 8 + 3 asks beside the fact: to fill up the ten and go on.
    const item: Item = { op: 'add', a: 8, b: 3, result: resultOf('add', 8, 3), unknown: 'result', rep: 'numerals' };
    const over = graph.indexOf.get('make-ten')!;
    const ten = graph.indexOf.get('pairs-of-10')!;
    expect(creditsOf(graph, item).map((c) => c.index)).toContain(over);
    const weak = needs([...notes('pairs-of-10', 'stuck', 3), ...notes('ten-and-some', 'stuck', 2)]);
    expect(weak.ready[over]).toBe(0);
    expect(weak.need[ten]).toBeGreaterThan(2 * weak.need[over]!);
    const strong = needs([...notes('pairs-of-10', 'alone', 6), ...notes('ten-and-some', 'alone', 6), ...notes('parts-8-9', 'alone', 4)]);
    expect(strong.ready[over]).toBe(1);
    expect(strong.need[over]).toBeGreaterThan(2 * strong.need[ten]!);
  });
  it('pairs of nine are harder than pairs of ten for a child who practised tens', () => {
    const { theta } = needs(notes('pairs-of-10', 'alone', 5));
    expect(theta[graph.indexOf.get('parts-8-9')!]).toBeLessThan(theta[graph.indexOf.get('pairs-of-10')!]!);
  });
});
