import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { type Item, resultOf } from '../items/item';
import { isAim, narrowerOf } from './narrower';
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

  it('uses both sorts of prerequisite and all four natures', () => {
    const sorts = new Set(graph.needs.flat().map((n) => n.sort));
    expect([...sorts].sort()).toEqual(['heart', 'idea']);
    expect(new Set(graph.skills.map((s) => s.nature))).toEqual(new Set(['by-heart', 'method', 'strategy', 'concept']));
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

  it('names only codes of the two shipped lists, and each skill codes of one at least', () => {
    const [us, england] = [new Set(codesOf('us-k6')), new Set(codesOf('england'))];
    for (const s of graph.skills) {
      expect([s.id, s.codes.filter((c) => !us.has(c) && !england.has(c))]).toEqual([s.id, []]);
      expect([s.id, s.codes.length > 0]).toEqual([s.id, true]);
    }
  });

  it('wants each step about when its grade does', () => {
    // Grade n is age n + 5 to n + 6 at its start (common practice in the United States, from memory), and its end a year on;
    // a step wanted on the way to a standard may come half a year before it.
    for (const s of graph.skills) {
      const grades = s.codes.flatMap((c) => (/^[K1-8]\.[A-Z]/.test(c) ? [c[0] === 'K' ? 0 : Number(c[0])] : []));
      if (grades.length === 0) continue;
      expect([s.id, s.wantedAt.us >= Math.min(...grades) + 4.7, s.wantedAt.us <= Math.max(...grades) + 6.7]).toEqual([s.id, true, true]);
    }
  });

  it('names the parts of what easier steps explain wholly, and of nothing else', () => {
    const { than } = narrowerOf(graph);
    for (const [k, s] of graph.skills.entries()) {
      const explained = s.predicate !== null && !isAim(graph, k);
      expect([s.id, [...(s.parts ?? [])].sort()]).toEqual([s.id, explained ? [...than[k]!].map((i) => graph.skills[i]!.id).sort() : []]);
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

describe('an item and the steps it is a chance for', () => {
  const item = (op: Item['op'], a: number, b: number, more: Partial<Item> = {}): Item => ({
    op,
    a,
    b,
    result: resultOf(op, a, b),
    unknown: 'result',
    rep: 'numerals',
    ...more,
  });
  it.each<[string, Item, string, string]>([
    ['half past is no practice of five minutes or one', item('tell-time', 390, 0), 'clock-half', 'clock-five clock-minute'],
    ['twenty-five past is none of one minute', item('tell-time', 505, 0), 'clock-five', 'clock-half clock-minute'],
    ['seventeen past is of the minute', item('tell-time', 497, 0), 'clock-minute', 'clock-half clock-five'],
    ['from nine to half past eleven is by hours', item('elapsed-time', 540, 150), 'elapsed-hours', 'elapsed-minutes'],
    ['from 9:50 to 10:15 is by minutes', item('elapsed-time', 590, 25), 'elapsed-minutes', 'elapsed-hours'],
    ['from nine, seventeen minutes on', item('elapsed-time', 540, 17), 'elapsed-minutes', 'elapsed-hours'],
    ['six sevens is one of all products', item('multiply', 6, 7), 'times-all', 'times-large times-2by1'],
    ['one seven is none', item('multiply', 1, 7), 'times-0-1', 'times-all'],
    ['twelve twelves is a fact', item('multiply', 12, 12), 'times-11-12', 'times-large'],
    ['two twelves is a fact', item('multiply', 2, 12), 'times-11-12', 'times-2by1'],
    ['two fourteens is worked out', item('multiply', 2, 14), 'times-2by1', 'times-11-12'],
    ['three tens is a fact', item('multiply', 3, 10), 'times-10', 'times-ten-place'],
    ['thirty tens is a matter of places', item('multiply', 30, 10), 'times-ten-place', 'times-10'],
    ['a hundred and twenty by twelve is a fact', item('divide', 120, 12), 'divide-all', 'divide-large'],
    ['846 by 6 is worked out', item('divide', 846, 6), 'divide-large', 'divide-all'],
    ['forty and ten is whole tens', item('add', 40, 10), 'add-tens add-ten-more', 'add-2-easy'],
    ['thirty-four and twenty is whole tens', item('add', 34, 20), 'add-tens', 'add-2-easy'],
    ['thirty-two and forty-five', item('add', 32, 45), 'add-2-easy', 'add-tens add-2-trade'],
    ['ninety-six and fifty-two trades', item('add', 96, 52), 'add-2-trade', 'add-2-easy'],
    ['fifty-three take ten', item('subtract', 53, 10), 'ten-less take-tens', 'take-2-easy'],
    ['280 and 150 trades', item('add', 280, 150), 'add-3-trade', 'add-3-easy'],
    ['428 take 150 trades', item('subtract', 428, 150), 'take-3-trade', 'take-3-easy'],
    ['945 and ten', item('add', 945, 10), 'ten-hundred-more', ''],
    ['370 and 30 is up to the next hundred', item('add', 370, 30), 'next-hundred', ''],
    ['200 and 100 is not', item('add', 200, 100), '', 'next-hundred'],
    ['two and nine is turned round', item('add', 2, 9), 'turn-round', ''],
    ['nine and two need not be', item('add', 9, 2), '', 'turn-round'],
    ['counting by fives is no growing pattern', item('next-in-sequence', 20, 5), 'skip-5', 'grow-pattern'],
    ['four more each time is', item('next-in-sequence', 7, 4), 'grow-pattern', 'skip-5'],
    ['three and two with beans', item('decompose', 5, 3), 'parts-to-5-act', ''],
    ['ten into six and four is not to five', item('decompose', 10, 6), '', 'parts-to-5-act'],
  ])('%s', (_, of, wanted, unwanted) => {
    const steps = chancesOf(graph, of).map((k) => graph.skills[k]!.id);
    expect(wanted.split(' ').filter((id) => id !== '' && !steps.includes(id))).toEqual([]);
    expect(unwanted.split(' ').filter((id) => id !== '' && steps.includes(id))).toEqual([]);
  });
});
