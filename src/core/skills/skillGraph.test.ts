import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { chancesOf, prerequisitesOf, skillGraph, type SkillFile } from './skillGraph';

const graph = shippedGraph();
const idsOf = (item: Parameters<typeof chancesOf>[1]): string[] => chancesOf(graph, item).map((i) => graph.skills[i]!.id);
const sum = (a: number, b: number) => ({ op: 'add', a, b, result: a + b, unknown: 'result', rep: 'numerals' }) as const;
const difference = (a: number, b: number) => ({ op: 'subtract', a, b, result: a - b, unknown: 'result', rep: 'numerals' }) as const;

describe('the shipped skill graph', () => {
  it('holds more than 170 skills over ten strands, in an order without circles', () => {
    expect(graph.skills.length).toBeGreaterThan(170);
    expect(graph.strands.map((s) => s.id)).toEqual([
      'counting',
      'bonds',
      'add',
      'subtract',
      'place-value',
      'multiply',
      'fractions',
      'measuring',
      'patterns',
      'shapes',
    ]);
    const place = new Map(graph.order.map((index, at) => [index, at]));
    graph.needs.forEach((list, index) => list.forEach((n) => expect(place.get(n.index)!).toBeLessThan(place.get(index)!)));
  });

  it('uses both sorts of prerequisite and all three natures', () => {
    const sorts = new Set(graph.needs.flat().map((n) => n.sort));
    expect([...sorts].sort()).toEqual(['heart', 'idea']);
    expect(new Set(graph.skills.map((s) => s.nature))).toEqual(new Set(['by-heart', 'strategy', 'concept']));
  });

  it('never wants a prerequisite later than what needs it', () => {
    for (const skill of graph.skills)
      for (const { id } of skill.prerequisites) {
        const before = graph.skills[graph.indexOf.get(id)!]!;
        expect([skill.id, id, before.wantedAt.us <= skill.wantedAt.us, before.wantedAt.england <= skill.wantedAt.england]).toEqual([
          skill.id,
          id,
          true,
          true,
        ]);
      }
  });

  // Codes of the Common Core State Standards for Mathematics (2010), K-3, from memory.
  it.each(['K.OA.A.5', '1.OA.C.6', '2.OA.B.2', '2.NBT.B.5', '3.OA.C.7'])('reaches %s', (code) => {
    expect(graph.skills.some((s) => s.codes.includes(code))).toBe(true);
  });

  const codesOf = (file: string): string[] =>
    (JSON.parse(readFileSync(`data/standards/${file}.json`, 'utf8')) as { code: string }[]).map((s) => s.code);

  it('names only codes of the two shipped lists, and each skill codes of both', () => {
    const [us, england] = [new Set(codesOf('us-k6')), new Set(codesOf('england'))];
    for (const s of graph.skills) {
      expect([s.id, s.codes.filter((c) => !us.has(c) && !england.has(c))]).toEqual([s.id, []]);
      expect([s.id, s.codes.some((c) => us.has(c)), s.codes.some((c) => england.has(c))]).toEqual([s.id, true, true]);
    }
  });

  it('reaches every code of both lists', () => {
    const reached = new Set(graph.skills.flatMap((s) => s.codes));
    expect([...codesOf('us-k6'), ...codesOf('england')].filter((c) => !reached.has(c))).toEqual([]);
  });

  it('says of every skill what it looks like, what commonly goes wrong and which tools help', () => {
    for (const s of graph.skills) {
      expect(s.looksLike.length).toBeGreaterThan(5);
      expect(s.slips.length).toBeGreaterThan(0);
      expect((s.supports ?? graph.strands.find((x) => x.id === s.strand)!.ladder).length).toBeGreaterThan(0);
    }
  });

  it('tells reaching, leaving and crossing a ten apart', () => {
    expect(idsOf(sum(8, 5))).toContain('make-ten');
    expect(idsOf(sum(8, 2))).not.toContain('make-ten');
    expect(idsOf(difference(13, 5))).toContain('take-across-ten');
    expect(idsOf(difference(49, 3))).toEqual(expect.arrayContaining(['take-1-inside']));
    expect(idsOf(difference(44, 8))).toEqual(expect.arrayContaining(['take-1-across']));
    expect(idsOf(difference(44, 8))).not.toContain('take-1-inside');
    expect(idsOf(difference(20, 7))).toContain('take-1-from-ten');
  });

  it('gives an asked pair of ten to the pairs and an asked sum to the sums', () => {
    expect(idsOf({ ...sum(7, 3), unknown: 'b' })).toContain('pairs-of-10');
    expect(idsOf(sum(7, 3))).not.toContain('pairs-of-10');
    expect(idsOf(sum(7, 3))).toContain('add-in-10');
  });

  it('finds prerequisites all the way back', () => {
    const all = prerequisitesOf(graph, graph.indexOf.get('add-in-20')!);
    expect([...all].map((i) => graph.skills[i]!.id)).toEqual(expect.arrayContaining(['make-ten', 'pairs-of-10', 'count-to-10']));
  });
});

describe('a broken graph is refused', () => {
  const files = readdirSync('data/skills').map((name) => JSON.parse(readFileSync(`data/skills/${name}`, 'utf8')) as SkillFile);
  const withChange = (id: string, change: object): SkillFile[] =>
    files.map((f) => ({ ...f, skills: f.skills.map((s) => (s.id === id ? { ...s, ...change } : s)) }));

  it('names a circle', () => {
    const result = skillGraph(withChange('count-to-10', { prerequisites: [{ id: 'add-in-20', sort: 'idea' }] }));
    expect(result).toMatchObject({ ok: false, problem: { code: 'cycle', message: expect.stringContaining('count-to-10') } });
  });
  it('names an unknown prerequisite, a duplicate and a skill without items or reason', () => {
    expect(skillGraph(withChange('see-to-5', { prerequisites: [{ id: 'nowhere', sort: 'idea' }] }))).toMatchObject({
      problem: { code: 'unknown-skill' },
    });
    expect(skillGraph(withChange('see-to-5', { id: 'count-to-10' }))).toMatchObject({ problem: { code: 'duplicate' } });
    expect(skillGraph(withChange('see-to-5', { predicate: null }))).toMatchObject({ problem: { code: 'malformed' } });
  });
});
