import { describe, expect, it } from 'vitest';
import { wantedBy } from '../core/skills/skill';
import { graphFor, graphWith, noAdditions } from './graphWith';
import { shippedGraph } from './shippedData';

const own = {
  id: 'sums-to-nine',
  title: 'Sums to nine',
  short: 'to 9',
  looksLike: '',
  strand: 'add',
  nature: 'by-heart' as const,
  wantedAt: { us: 6.9, england: 6 },
  prerequisites: [{ id: 'add-in-5', sort: 'idea' as const }],
  codes: [],
  predicate: { op: 'add' as const, result: [9, 9] as const },
  slips: [],
};

describe('the graph with own additions', () => {
  it('is the shipped one until something is added, and again when it is taken away', () => {
    expect(graphFor(noAdditions)).toBe(shippedGraph());
    expect(graphFor({ skills: [own], edges: [] }).skills.length).toBe(shippedGraph().skills.length + 1);
    expect(graphFor({ skills: [], edges: [] })).toBe(shippedGraph());
  });
  it('sets an own skill on its line by age, and adds prerequisites to shipped ones', () => {
    const graph = graphFor({ skills: [own], edges: [{ skill: 'add-in-20', needs: 'sums-to-nine', sort: 'heart' }] });
    const line = graph.strands.find((s) => s.id === 'add')!.skills.map((id) => graph.skills[graph.indexOf.get(id)!]!.wantedAt.us);
    expect([...line].sort((x, y) => x - y)).toEqual(line);
    expect(graph.skills[graph.indexOf.get('add-in-20')!]!.prerequisites).toContainEqual({ id: 'sums-to-nine', sort: 'heart' });
  });
  it('takes the ages of a framework that was brought in, and falls back where it is silent', () => {
    const graph = graphFor({ skills: [], edges: [], norms: { lamps: { 'make-ten': 9 } } });
    const of = (id: string) => graph.skills[graph.indexOf.get(id)!]!;
    expect(wantedBy(of('make-ten'), 'lamps')).toBe(9);
    expect(wantedBy(of('add-in-20'), 'lamps')).toBe(of('add-in-20').wantedAt.us);
  });
  it.each([
    ['a circle', { skills: [own], edges: [{ skill: 'add-in-5', needs: 'sums-to-nine', sort: 'idea' as const }] }, 'cycle'],
    [
      'an unknown prerequisite',
      { skills: [{ ...own, prerequisites: [{ id: 'nowhere', sort: 'idea' as const }] }], edges: [] },
      'unknown-skill',
    ],
    ['an id that is taken', { skills: [{ ...own, id: 'make-ten' }], edges: [] }, 'duplicate'],
  ])('refuses %s', (_, additions, code) => {
    expect(graphWith(additions)).toMatchObject({ ok: false, problem: { code } });
    expect(() => graphFor(additions)).toThrow();
  });
});
