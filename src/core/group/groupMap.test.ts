import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { estimateMastery } from '../mastery/estimateMastery';
import type { Evidence } from '../mastery/evidence';
import { groupMap, type GroupMember } from './groupMap';

const graph = shippedGraph();
let serial = 0;
const note = (skill: string, result: 'stuck' | 'alone', day: number): Evidence => ({
  id: `n${++serial}`,
  at: `2026-11-${String(day).padStart(2, '0')}T10:00:00Z`,
  kind: 'note',
  skill,
  result,
  correct: null,
  total: null,
  how: null,
  support: null,
  items: [],
  by: { role: 'helper', ownChild: false },
});
const member = (id: string, born: string, evidence: Evidence[]): GroupMember => ({
  id,
  evidence,
  estimates: estimateMastery(graph, { born, framework: 'us', permanentSupports: [], supportsInUse: [] }, evidence, '2026-11-20'),
});
const wren = member('wren', '2020-05', [note('add-in-10', 'stuck', 3), note('add-in-10', 'stuck', 10), note('pairs-of-10', 'alone', 11)]);
const fern = member('fern', '2019-12', [note('add-in-10', 'alone', 4), note('add-in-10', 'stuck', 12)]);
const sage = member('sage', '2016-01', []);

describe('the map of a group', () => {
  const map = groupMap(graph, [wren, fern, sage], null, false);
  it('sorts both ways so that the held lie in one corner', () => {
    expect(map.learners[0]).toBe('sage');
    const rows = map.cells.map((row) => row.reduce((sum, c) => sum + c.height, 0));
    expect([...rows].sort((x, y) => y - x)).toEqual(rows);
    const columns = map.skills.map((_, k) => map.cells.reduce((sum, row) => sum + row[k]!.height, 0));
    columns.forEach((c, k) => k > 0 && expect(c).toBeLessThanOrEqual(columns[k - 1]! + 1e-9));
    expect(map.skills.length).toBe(graph.skills.length);
  });
  it('tells who is stuck only after two stuck notes in a row', () => {
    expect(map.stuck).toEqual([{ learner: 'wren', skill: 'add-in-10', times: 2, since: '2026-11-03' }]);
  });
  it('narrows to lines and to the edge, and stands with nobody', () => {
    const narrow = groupMap(graph, [wren, fern], ['add'], true);
    // Who needs a hand is told whatever line is looked at.
    expect(groupMap(graph, [wren, fern], ['fractions'], false).stuck).toEqual(map.stuck);
    expect(narrow.skills.every((s) => graph.skills[graph.indexOf.get(s)!]!.strand === 'add')).toBe(true);
    expect(narrow.skills.length).toBeLessThan(graph.strands.find((s) => s.id === 'add')!.skills.length);
    expect(groupMap(graph, [], null, false)).toMatchObject({ learners: [], stuck: [] });
  });
});
