import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { type Item, operations, type Representation, representations, resultOf, type Unknown } from '../items/item';
import { creditsOf, groupOf, onlySkill } from './creditsOf';
import { isAim, narrowerOf, sortOf } from './narrower';
import { prerequisitesOf } from './skillGraph';

const graph = shippedGraph();
const id = (k: number): string => graph.skills[k]!.id;
const signs: Readonly<Record<string, Item['op']>> = { '+': 'add', '-': 'subtract', x: 'multiply', ':': 'divide' };

/** `8 + 5`, or `compose 4 6 b` with what is unknown, how it is shown. */
function itemOf(text: string): Item {
  const [x, y, z, ...more] = text.split(' ');
  const [op, a, b] = y! in signs ? [signs[y!]!, Number(x), Number(z)] : [x as Item['op'], Number(y), Number(z)];
  return {
    op,
    a,
    b,
    result: resultOf(op, a, b),
    unknown: (more.find((m) => m === 'a' || m === 'b') as Unknown | undefined) ?? 'result',
    rep: (more.find((m) => representations.includes(m as Representation)) as Representation | undefined) ?? 'numerals',
  };
}

/** The steps an item is credited to; `/2` is half of it. */
const creditsText = (item: Item): string =>
  creditsOf(graph, item)
    .map((c) => id(c.index) + (c.share < 1 ? `/${Math.round(1 / c.share)}` : ''))
    .join(' ');

/** Read through line by line: would a teacher say that this is practice of that? One line an item. */
const table = readFileSync('data/check-values/credits.txt', 'utf8')
  .trim()
  .split('\n')
  .map((line) => line.split(' | ') as [string, string]);

/** Steps that keep less than a third of their own items, and why that is right. */
const keepsLittle: Readonly<Record<string, string>> = {
  'add-in-10': 'With a missing number its items are the parts of six to ten, steps of their own.',
  'add-in-20': 'What is left are the sums that cross ten and are no doubles: what the step adds.',
  'take-in-20': 'What is left are the differences that cross ten and are no halves.',
  'times-all': 'Its parts are steps of their own; it is no aim, and there when they are.',
};

describe('what an item is practice of', () => {
  it.each(table)('%s: %s', (text, wanted) => {
    expect(creditsText(itemOf(text))).toBe(wanted ?? '');
  });
  it('is written down for two hundred items and more', () => {
    expect(table.length).toBeGreaterThan(200);
    expect(new Set(table.map(([text]) => text)).size).toBe(table.length);
    expect(table.filter(([text]) => !operations.includes(itemOf(text).op))).toEqual([]);
  });
  it('is one item of each group that it is a chance for at all', () => {
    for (const [text] of table) {
      const sums = new Map<string, number>();
      for (const { index, share } of creditsOf(graph, itemOf(text))) {
        const sort = groupOf(graph, index);
        sums.set(sort, (sums.get(sort) ?? 0) + share);
      }
      for (const sum of sums.values()) expect(sum).toBeCloseTo(1, 10);
    }
  });
  it('is the same when one step only is asked about', () => {
    for (const [text] of table) {
      const all = creditsOf(graph, itemOf(text));
      for (const { index, share } of all)
        expect(creditsOf(onlySkill(graph, id(index)), itemOf(text)).find((c) => c.index === index)?.share).toBe(share);
    }
  });
});

describe('which step is narrower', () => {
  const { than, kept } = narrowerOf(graph);
  it('never goes in a circle, stays within its sort, and leaves places to start alone', () => {
    for (const [wide, narrow] of than.entries())
      for (const x of narrow) {
        expect(than[x]!.has(wide)).toBe(false);
        expect(sortOf(graph.skills[x]!.nature)).toBe(sortOf(graph.skills[wide]!.nature));
        expect(graph.skills[x]!.placeToStart ?? graph.skills[wide]!.placeToStart ?? false).toBe(false);
      }
  });
  it('comes from what is needed, or from one being a part of the other', () => {
    const k = (name: string): number => graph.indexOf.get(name)!;
    expect(prerequisitesOf(graph, k('add-in-20')).has(k('make-ten'))).toBe(true);
    expect(than[k('add-in-20')]!.has(k('make-ten'))).toBe(false);
    expect(than[k('add-in-10')]!.has(k('add-in-5'))).toBe(true);
    // No way leads from one to the other, yet every double to ten is a sum within ten.
    expect(prerequisitesOf(graph, k('add-in-10')).has(k('doubles-to-10'))).toBe(false);
    expect(than[k('add-in-10')]!.has(k('doubles-to-10'))).toBe(true);
    // A story of the same sum is more than the sum.
    expect(than[k('story-result')]!.size).toBe(0);
    expect(than[k('change')]!.size).toBe(0);
  });
  it('is written down whole in docs/narrower.txt', async () => {
    const lines = graph.skills.flatMap((s, k) => {
      if (s.predicate === null) return [];
      const names = [...than[k]!].map((x) => id(x)).join(', ');
      return [`${s.id}: keeps ${Math.round(kept[k]! * 100)} %${names ? `; wider than ${names}` : ''}`];
    });
    const head = [
      'What each step keeps of its own items (on a grid of numbers and ways of asking), and the steps it is wider than:',
      'an item that both take in is practice of the narrower. Made by the test beside creditsOf.ts (vitest -u).',
      '',
    ];
    await expect([...head, ...lines, ''].join('\n')).toMatchFileSnapshot('../../../docs/narrower.txt');
  });
  it('leaves every step a third of its own items, or says why not', () => {
    const little = graph.skills.flatMap((s, k) => (kept[k]! < 1 / 3 ? [s.id] : []));
    expect(little.sort()).toEqual(Object.keys(keepsLittle).sort());
  });
  it('makes a step that keeps next to nothing no aim', () => {
    expect(graph.skills.filter((s, k) => s.predicate !== null && !isAim(graph, k)).map((s) => s.id)).toEqual(['times-all']);
    expect(isAim(graph, graph.indexOf.get('order-to-20')!)).toBe(false);
  });
});
