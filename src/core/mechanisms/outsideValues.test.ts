import { describe, expect, it } from 'vitest';
import values from '../../../data/check-values/values.json';
import { checkValue } from './checkValues';
import { careful, itemsOfGames, meanOf, near, nearShare, run } from './playing.testing';
import { solveTarget } from './target-combine/solver';

/** Exact values that no single family owns: throws, collections and coverage, met in games. See data/check-values. */

interface Throw {
  readonly a: number;
  readonly b: number;
}

/** A long row of throws of two dice, met in a race. */
const throws: Throw[] = itemsOfGames('track-race', { dice: 2, end: 1000 }, careful(1), 420).flatMap((items) =>
  items.filter((i) => i.rep === 'pips').map(({ a, b }) => ({ a, b })),
);

/** Lengths of the runs until so many different things have come, over a long row. */
function collections<T>(row: readonly T[], thing: (t: T) => string | number, wanted: number): number[] {
  const lengths: number[] = [];
  let seen = new Set<string | number>();
  let began = 0;
  row.forEach((t, i) => {
    seen.add(thing(t));
    if (seen.size < wanted) return;
    lengths.push(i + 1 - began);
    began = i + 1;
    seen = new Set();
  });
  return lengths;
}
const unordered = ({ a, b }: Throw): string => `${Math.min(a, b)} ${Math.max(a, b)}`;

describe('collecting', () => {
  it.each([
    ['coupon.2d6.sums11', (t: Throw) => t.a + t.b, 11],
    ['coupon.2d6.absdiff6', (t: Throw) => Math.abs(t.a - t.b), 6],
    ['coupon.2d6.products18', (t: Throw) => t.a * t.b, 18],
    ['coupon.2d6.facts_unordered.6', unordered, 6],
    ['coupon.2d6.facts_unordered.10', unordered, 10],
    ['coupon.2d6.facts_unordered.21', unordered, 21],
    ['coupon.2d6.facts_ordered.12', (t: Throw) => `${t.a} ${t.b}`, 12],
  ] as const)('%s: throws until all have come', (id, thing, wanted) => {
    near(meanOf(collections(throws, thing, wanted)), checkValue<{ dec: string }>(id).dec);
  });
  it.each([6, 8, 12, 20])('coupon.d%i: spins until every rim number has come', (n) => {
    const spins = itemsOfGames('fact-wheel', { operation: 'add', fixed: 1, from: 1, to: n, turns: 40 }, careful(1), 1200).flatMap((items) =>
      items.map((i) => i.a),
    );
    near(meanOf(collections(spins, (a) => a, n)), checkValue<{ dec: string }>(`coupon.d${n}`).dec);
  });
  it.each([10, 20, 50, 100])('coverage.2d6.after%i: different sums and facts met', (n) => {
    const want = checkValue<{ sums: string; unordered: string; ordered: string }>(`coverage.2d6.after${n}`);
    const rows = Array.from({ length: Math.floor(throws.length / n) }, (_, i) => throws.slice(i * n, (i + 1) * n));
    near(meanOf(rows.map((row) => new Set(row.map((t) => t.a + t.b)).size)), want.sums);
    near(meanOf(rows.map((row) => new Set(row.map(unordered)).size)), want.unordered);
    near(meanOf(rows.map((row) => new Set(row.map((t) => `${t.a} ${t.b}`)).size)), want.ordered);
  });
});

describe('throwing', () => {
  it.each([
    ['dist.3d6.sum', { dice: 3, firstColumn: 3, lastColumn: 18 }, 3],
    ['dist.d10+d10.sum.faces0-9', { lowestFace: 0, highestFace: 9, firstColumn: 0, lastColumn: 18 }, 2],
  ] as const)('%s', (id, more, dice) => {
    const { ways, denominator } = checkValue<{ ways: Record<string, number>; denominator: number }>(id);
    // The last join of a throw makes its sum.
    const sums = itemsOfGames('sum-columns', { ...more, picks: 0, height: 20 }, careful(1), 250).flatMap((items) =>
      items.filter((_, i) => i % (dice - 1) === dice - 2).map((i) => i.result),
    );
    for (const [sum, count] of Object.entries(ways))
      nearShare(sums.filter((s) => s === Number(sum)).length / sums.length, count / denominator, sums.length);
  });
});

describe('remembering pairs', () => {
  const laid = (pairs: number): { rows: number; columns: number } => {
    const rows = pairs === 20 ? 5 : pairs === 12 ? 4 : 2;
    return { rows, columns: (2 * pairs) / rows };
  };
  const alone = (pairs: number, memory: number, games: number) =>
    run(
      'pair-memory',
      { relation: 'equal', secondLook: 'dots', lowestCard: 1, highestCard: pairs, ...laid(pairs), memory, extraTurn: false },
      careful(1),
      games,
    ).turns;
  it.each([10, 20])('memory.perfect.n%i', (n) => near(alone(n, -1, 6000), checkValue<{ dec: string }>(`memory.perfect.n${n}`).dec));
  // The mean with no memory is n²; the cap on turns lies far above it even for twenty pairs.
  it.each([
    [2, 6000],
    [4, 6000],
    [5, 6000],
    [6, 6000],
    [8, 6000],
    [12, 3000],
    [20, 1500],
  ])('memory.none.n%i', (n, games) => {
    near(alone(n, 0, games), checkValue<{ dec: string }>(`memory.none.n${n}`).dec);
  });
  // Passing on purpose never helps at these sizes, so the careful play is the best there is.
  it.each([2, 3, 4, 6])('memory.optimal.n%i', (n) => {
    const want = checkValue<{ dec: string; differs_from_S: boolean }>(`memory.optimal.n${n}`);
    expect(want.differs_from_S).toBe(false);
    near(alone(n, -1, 6000), want.dec);
  });
  it('memory.asymptotic: twenty pairs lie where the published formula says', () => {
    const gap = Number(checkValue<Record<string, string>>('memory.asymptotic')['20']);
    near(alone(20, -1, 6000), (3 - 2 * Math.LN2) * 20 + 7 / 8 - 2 * Math.LN2 + gap);
  });
});

describe('four numbers and a target', () => {
  const all = ['add', 'subtract', 'multiply', 'divide'] as const;
  const solvable = new Map<string, boolean>();
  const can = (hand: readonly number[], target: number): boolean => {
    const key = `${[...hand].sort((x, y) => x - y).join()}>${target}`;
    const known = solvable.get(key) ?? solveTarget([...hand], target, all, 'rational').found > 0;
    solvable.set(key, known);
    return known;
  };
  it('four.unsolvable.9.t24: exactly these hands have no way', () => {
    const want = checkValue<{ hands: string[] }>('four.unsolvable.9.t24').hands;
    const got: string[] = [];
    for (let a = 1; a <= 9; a++)
      for (let b = a; b <= 9; b++)
        for (let c = b; c <= 9; c++) for (let d = c; d <= 9; d++) if (!can([a, b, c, d], 24)) got.push([a, b, c, d].join(' '));
    expect(got).toEqual(want);
  });
  const multisets = (highest: number): number[][] => {
    const found: number[][] = [];
    for (let a = 1; a <= highest; a++)
      for (let b = a; b <= highest; b++) for (let c = b; c <= highest; c++) for (let d = c; d <= highest; d++) found.push([a, b, c, d]);
    return found;
  };
  it.each([
    [9, 20],
    [9, 36],
    [9, 100],
    [10, 10],
    [10, 36],
    [13, 24],
    [13, 10],
    [13, 12],
    [13, 20],
    [13, 36],
  ])('four.count.%i.t%i: hands that work', (highest, target) => {
    const want = checkValue<Record<string, number>>(`four.count.${highest}.t${target}`);
    const hands = multisets(highest);
    expect(hands.length).toBe(want['total']);
    expect(hands.filter((h) => can(h, target)).length).toBe(want['rat']);
    expect(hands.filter((h) => solveTarget(h, target, ['add', 'subtract'], 'rational').found > 0).length).toBe(want['pm']);
    if (highest < 13) expect(hands.filter((h) => solveTarget(h, target, all, 'integer').found > 0).length).toBe(want['int']);
  });
  it('four.count_distinct.13.t24', () => {
    const hands = multisets(13).filter((h) => new Set(h).size === 4);
    expect(hands.filter((h) => can(h, 24)).length).toBe(checkValue<Record<string, number>>('four.count_distinct.13.t24')['rat']);
  });
  it('four.prob_uniform.13.t24 and four.prob_deck52.t24: weighed by how often each hand is dealt', () => {
    const choose4 = [1, 4, 6, 4, 1];
    const orders = [1, 1, 2, 6, 24];
    let uniform = 0;
    let deck = 0;
    for (const hand of multisets(13).filter((h) => can(h, 24))) {
      const counts = [...new Set(hand)].map((v) => hand.filter((x) => x === v).length);
      uniform += 24 / counts.reduce((product, n) => product * orders[n]!, 1);
      deck += counts.reduce((product, n) => product * choose4[n]!, 1);
    }
    expect(uniform / 13 ** 4).toBeCloseTo(Number(checkValue<{ dec: string }>('four.prob_uniform.13.t24').dec), 10);
    expect(deck / 270_725).toBeCloseTo(Number(checkValue<{ dec: string }>('four.prob_deck52.t24').dec), 10);
  });
  it('four.prob_uniform.10.t24: chance that four numbers thrown at random work', () => {
    let hits = 0;
    for (let a = 1; a <= 10; a++)
      for (let b = 1; b <= 10; b++) for (let c = 1; c <= 10; c++) for (let d = 1; d <= 10; d++) if (can([a, b, c, d], 24)) hits++;
    expect(hits / 10_000).toBeCloseTo(Number(checkValue<{ dec: string }>('four.prob_uniform.10.t24').dec), 10);
  });
});

describe('the list of exact values', () => {
  it('names a source or its making for every value', () => {
    for (const v of values as readonly { id: string; source?: string }[]) expect([v.id, typeof v.source]).toEqual([v.id, 'string']);
  });
});
