import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { knownFrom } from './knownFrom.testing';
import { LEANING, leaningOn } from './leaning';
import { learnerNeeds } from './learnerNeeds';

const graph = shippedGraph();
const week = { week: '2026-11-09', framework: 'us', skills: [3, 5] };

describe('what a list leans to', () => {
  it('is its own week and the next, and a little the one before', () => {
    const at = (day: string): number | undefined => leaningOn([week], day, 'us').get(3);
    expect(at('2026-11-01')).toBeUndefined();
    expect(at('2026-11-02')).toBe(LEANING.soon);
    expect(at('2026-11-08')).toBe(LEANING.soon);
    expect(at('2026-11-09')).toBe(LEANING.now);
    expect(at('2026-11-22')).toBe(LEANING.now);
    expect(at('2026-11-23')).toBeUndefined();
  });
  it('is for those who follow its framework, or for everybody; the stronger of two weeks counts', () => {
    expect(leaningOn([week], '2026-11-09', 'england').size).toBe(0);
    expect(leaningOn([{ ...week, framework: '*' }], '2026-11-09', 'england').size).toBe(2);
    const both = leaningOn([{ ...week, week: '2026-11-16' }, week], '2026-11-10', 'us');
    expect(both.get(5)).toBe(LEANING.now);
  });
  it('raises the need of what is on, and of nothing else; what is held stays unneeded', () => {
    const k = graph.indexOf.get('make-ten')!;
    const held = graph.indexOf.get('add-in-5')!;
    const known = knownFrom(graph.skills.map((s) => (s.wantedAt.us < 6.5 ? 0.97 : 0.3)));
    const needs = (leaning: ReadonlyMap<number, number>) =>
      learnerNeeds(graph, { id: 'x', nickname: 'X', age: 7, framework: 'us', supported: false, leaning }, known).need;
    const plain = needs(new Map());
    const leaned = needs(
      new Map([
        [k, LEANING.now],
        [held, LEANING.now],
      ]),
    );
    expect(leaned[k]).toBeCloseTo(LEANING.now * plain[k]!, 9);
    expect(leaned[held]).toBeLessThan(0.1);
    for (let i = 0; i < plain.length; i++) if (i !== k && i !== held) expect(leaned[i]).toBe(plain[i]);
  });
});
