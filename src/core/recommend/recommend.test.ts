import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { closeness, fitOf, learnerNeeds, type LearnerNeeds, successAt } from './learnerNeeds';
import { knownFrom } from './knownFrom.testing';
import type { Offer } from './offer';
import { offerOf } from './offer.testing';
import { openGaps } from './openGaps';
import { mainSkill, recommend, type RecommendOptions } from './recommend';
import { expectedSuccess, gainOf, gateOf, valueOf } from './valueOf';

const graph = shippedGraph();
const at = (id: string): number => graph.indexOf.get(id)!;

/** A learner who holds what is named and nothing else. */
function learner(id: string, held: readonly string[], growing: readonly string[] = [], supported = false, age = 7): LearnerNeeds {
  const known = new Float64Array(graph.skills.length).fill(1e-6);
  for (const h of held) known[at(h)] = 0.95;
  for (const g of growing) known[at(g)] = 0.55;
  return learnerNeeds(graph, { id, nickname: id, age, framework: 'us', supported }, knownFrom(known));
}
const offer = (variant: string, doses: Record<string, number>, more: Partial<Offer> = {}): Offer =>
  offerOf(variant, doses, { ages: [5, 9], ...more });
const options: RecommendOptions = { minutes: 15, limit: 10, stock: null, daysSincePlayed: new Map() };
const ways = ['parts-6-7', 'parts-8-9'];
const base = ['count-to-10', 'see-to-5', 'count-to-20', 'parts-to-5', 'count-on-from', 'pairs-of-10', 'ten-and-some', 'add-in-5', ...ways];
const wren = learner('wren', base, ['make-ten', 'add-in-10']);
const tad = learner('tad', ['count-to-10', 'count-to-20'], ['parts-to-5', 'pairs-of-10', 'add-in-5'], false, 6);

describe('the value of a variant', () => {
  it('grows with chances, less and less, and in pieces as at once', () => {
    expect(gainOf(0)).toBe(0);
    // 12·ln 2.
    expect(gainOf(12)).toBeCloseTo(8.317766166719343, 12);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), fc.double({ min: 0.1, max: 50, noNaN: true }), (x, d) => {
        expect(gainOf(x + d)).toBeGreaterThan(gainOf(x));
        expect(gainOf(x + d) - gainOf(x)).toBeLessThanOrEqual(gainOf(d) + 1e-9);
      }),
    );
  });
  it('is best between 70 and 90 % right, and what is too easy costs', () => {
    for (const p of [0.7, 0.8, 0.9]) expect(fitOf(p)).toBe(1);
    expect(fitOf(0.48)).toBeCloseTo(Math.exp(-1), 12);
    expect(fitOf(0.95)).toBeCloseTo(0.45, 12);
    expect(fitOf(1)).toBe(0.2);
    // Whoever holds a step far beyond doubt is hardly ever wrong.
    expect(fitOf(successAt(4))).toBeLessThan(0.3);
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0.01, max: 3, noNaN: true }), (theta, d) => {
        expect(successAt(theta + d)).toBeGreaterThanOrEqual(successAt(theta) - 0.11);
        expect(successAt(theta)).toBeGreaterThan(0.35);
      }),
    );
  });
  it('has a tool laid out where it is hard', () => {
    const bare = 0.08 + 0.91 / (1 + Math.exp(1));
    expect(successAt(-1)).toBeCloseTo((bare + 0.68) / 2, 12);
    expect(successAt(2)).toBeCloseTo(0.08 + 0.91 / (1 + Math.exp(-2)), 12);
  });
  it('falls where a game is too easy', () => {
    const easy = offer('b', { 'pairs-of-10': 20 });
    const sure = learner('sure', [...base, 'make-ten', 'add-in-10']);
    expect(expectedSuccess(easy, sure)).toBeGreaterThan(0.9);
    expect(sure.fit[at('pairs-of-10')]).toBeLessThan(1);
    expect(valueOf(easy, sure, 15)).toBeLessThan(
      valueOf(
        easy,
        learner(
          'open',
          base.filter((k) => k !== 'pairs-of-10'),
          ['pairs-of-10'],
        ),
        15,
      ) / 3,
    );
  });
  it('prefers what is ready and open to what is held', () => {
    expect(valueOf(offer('a', { 'make-ten': 20 }), wren, 15)).toBeGreaterThan(valueOf(offer('b', { 'pairs-of-10': 20 }), wren, 15));
    expect(expectedSuccess(offer('b', { 'pairs-of-10': 20 }), wren)).toBeGreaterThan(0.8);
  });
});

describe('need', () => {
  const needOf = (held: number, more: object = {}, k = 'make-ten', rest = 0.9): number => {
    const all = new Float64Array(graph.skills.length).fill(rest);
    all[at(k)] = held;
    return learnerNeeds(graph, { id: 'x', nickname: 'X', age: 7, framework: 'us', supported: false, ...more }, knownFrom(all)).need[at(k)]!;
  };
  it('is greatest for what may close soon: less for what is far off, hardly any for what is held', () => {
    expect(needOf(0.4)).toBeGreaterThan(needOf(0.002));
    expect(needOf(0.4)).toBeGreaterThan(3 * needOf(0.9));
  });
  it('falls evenly with the date over two years', () => {
    for (const [years, worth] of [
      [-1, 1],
      [0, 1],
      [1, 0.65],
      [2, 0.3],
      [2.1, 0.1],
    ] as const)
      expect(closeness(years)).toBeCloseTo(worth, 12);
    expect(needOf(0.4, { age: 7 })).toBeGreaterThan(needOf(0.4, { age: 5.5 }));
  });
  it('waits softly for what comes before: never nothing, so that nobody new to a step is kept from it', () => {
    const far = needOf(0.4, {}, 'make-ten', 1e-6);
    expect(far).toBeLessThan(needOf(0.4, {}, 'make-ten', 0.9) / 3);
    expect(far).toBeGreaterThan(0);
    // A support in use stands in for what is needed by heart.
    expect(needOf(0.4, { supported: true }, 'make-ten', 1e-6)).toBeGreaterThanOrEqual(far);
  });
  it('of a goal is as if it were wanted now', () => {
    expect(needOf(0.4, { age: 5, goals: new Set([at('make-ten')]) })).toBeCloseTo(needOf(0.4, { age: 9 }), 12);
    expect(needOf(0.4, { withoutNorms: true })).toBeLessThan(needOf(0.4) / 10);
  });
  it('of what has faded is a little more', () => {
    const all = new Float64Array(graph.skills.length).fill(0.9);
    const due = new Uint8Array(all.length);
    due[at('make-ten')] = 1;
    const needs = (d: Uint8Array) =>
      learnerNeeds(graph, { id: 'x', nickname: 'X', age: 7, framework: 'us', supported: false }, knownFrom(all, d)).need[at('make-ten')]!;
    expect(needs(due) - needs(new Uint8Array(all.length))).toBeCloseTo(0.1, 12);
  });
});

describe('gates', () => {
  it('bar a game whose heart needs what is not there, and name it', () => {
    const gate = gateOf(graph, offer('a', { 'make-ten': 20, 'add-in-20': 18 }), tad);
    expect(gate).toMatchObject({ because: 'needs' });
    expect(graph.skills[(gate as { missing: number }).missing]!.id).toMatch(/pairs-of-10|ten-and-some|make-ten|add-in-10/);
  });
  it('open for what is needed by heart when a support is in use', () => {
    const shaky = (supported: boolean): LearnerNeeds =>
      learner(
        'x',
        base.filter((k) => k !== 'pairs-of-10'),
        [],
        supported,
      );
    expect(gateOf(graph, offer('a', { 'make-ten': 20 }), shaky(false))).toMatchObject({ because: 'needs', sort: 'heart' });
    // With one, it is only hard: somebody beside helps, and nothing need come first.
    expect(gateOf(graph, offer('a', { 'make-ten': 20 }), shaky(true))).toMatchObject({ because: 'too-hard' });
  });
  it('bar by age only far outside, and by too little success', () => {
    expect(gateOf(graph, offer('a', { 'count-to-10': 9 }, { ages: [11, 12] }), tad)).toEqual({ because: 'age' });
    // What counting on needs is growing, no more: not missing, and not enough.
    const growing = new Float64Array(graph.skills.length).fill(1e-6);
    growing[at('count-on-from')] = 0.25;
    const nearly = learnerNeeds(graph, { id: 'n', nickname: 'N', age: 7, framework: 'us', supported: false }, knownFrom(growing));
    expect(gateOf(graph, offer('a', { 'count-to-100': 9 }), nearly)).toMatchObject({ because: 'too-hard' });
    // Every other answer right with a tool is a beginning.
    expect(gateOf(graph, offer('a', { 'count-to-100': 9 }), learner('x', ['count-on-from'], ['count-to-100']))).toBeNull();
  });
  it('bar by age on both sides by more than a year and a half, but nobody is too old for a step that is open', () => {
    const ten = (known: number): LearnerNeeds => {
      const all = new Float64Array(graph.skills.length).fill(0.95);
      all[at('pairs-of-10')] = known;
      return learnerNeeds(graph, { id: 'ten', nickname: 'Ten', age: 10, framework: 'us', supported: false }, knownFrom(all));
    };
    const pairs = (ages: readonly [number, number]): Offer => offer('a', { 'pairs-of-10': 20 }, { ages });
    expect(gateOf(graph, pairs([5, 8]), ten(0.95))).toEqual({ because: 'age' });
    expect(gateOf(graph, pairs([5, 9]), ten(0.95))).toBeNull();
    expect(gateOf(graph, pairs([5, 8]), ten(0.3))).toBeNull();
    expect(gateOf(graph, pairs([12, 13]), ten(0.3))).toEqual({ because: 'age' });
  });
  it('names the step that a seat does most for, wherever it stands among the steps', () => {
    const steps = ['count-to-10', 'add-in-10', 'make-ten', 'near-doubles', 'doubles-to-20'];
    for (const most of steps) {
      const o = offer('a/one', Object.fromEntries(steps.map((k) => [k, k === most ? 30 : 0.2])));
      const worth = (k: string): number => wren.need[at(k)]! * gainOf(wren.fit[at(k)]! * o.doses[at(k)]! * 1.5);
      expect(mainSkill(o, wren, 15)).toBe(at([...steps].sort((x, y) => worth(y) - worth(x))[0]!));
    }
    expect(mainSkill(offer('b/one', {}), wren, 15)).toBe(-1);
  });
  it('lets a game run over the round by a quarter, and no more', () => {
    const found = (minutes: number) => recommend(graph, [offer('a/one', { 'make-ten': 20 }, { minutes })], [wren], options);
    expect(found(18).items).toHaveLength(1);
    expect(found(19).excluded).toEqual([{ game: 'a', because: 'minutes', minutes: 19 }]);
  });
  it('do not name what the version itself teaches as missing', () => {
    const low = learner('low', ['count-to-10']);
    const gate = gateOf(graph, offer('a', { 'make-ten': 20, 'pairs-of-10': 9, 'ten-and-some': 4, 'parts-6-7': 2, 'parts-8-9': 2 }), low);
    expect(gate).toMatchObject({ because: 'needs' });
    expect(graph.skills[(gate as { skill: number }).skill]!.id).not.toBe('make-ten');
  });
});

describe('recommending', () => {
  const shelf = [
    offer('tens/one', { 'pairs-of-10': 20, 'parts-to-5': 4 }),
    offer('bridge/one', { 'make-ten': 20 }),
    offer('bridge/easy', { 'add-in-5': 15, 'parts-to-5': 8 }),
    offer('crowd/one', { 'make-ten': 20 }, { players: [5, 8] }),
    offer('long/one', { 'make-ten': 20 }, { minutes: 40 }),
    offer('dice/one', { 'make-ten': 20 }, { materials: [{ kind: 'pip-die', quantity: 3 }] }),
    offer('box/one', {}, { source: 'none' }),
  ];
  it('gives each child of a mixed table its own version of one game', () => {
    const { items } = recommend(graph, shelf, [wren, tad], options);
    const bridge = items.find((s) => s.game === 'bridge')!;
    expect(bridge.seats.map((s) => [s.learner, s.variant])).toEqual([
      ['wren', 'bridge/one'],
      ['tad', 'bridge/easy'],
    ]);
  });
  it('never mixes versions that cannot share a table', () => {
    const apart = shelf.map((o) => ({ ...o, mixClass: o.variant }));
    const bridge = recommend(graph, apart, [wren, tad], options).items.find((s) => s.game === 'bridge')!;
    expect(new Set(bridge.seats.map((s) => s.variant)).size).toBe(1);
  });
  it('says what kept every other game out', () => {
    const { items, excluded } = recommend(graph, shelf, [wren, tad], { ...options, stock: new Map([['pip-die', 1]]) });
    const because = Object.fromEntries(excluded.map((x) => [x.game, x.because]));
    expect(because).toMatchObject({ crowd: 'players', long: 'minutes', box: 'not-measured' });
    expect(because['dice']).toMatch(/gate|stock/);
    expect(items.length + excluded.length).toBe(6);
    expect(recommend(graph, shelf, [wren], { ...options, stock: new Map([['pip-die', 1]]) }).excluded).toContainEqual({
      game: 'dice',
      because: 'stock',
      missing: [{ kind: 'pip-die', short: 2 }],
    });
  });
  it('names an alternative that practises what is missing', () => {
    const low = learner('low', ['count-to-10', 'parts-to-5', 'ten-and-some', 'count-to-20', ...ways]);
    const gate = recommend(graph, shelf, [low], options).excluded.find((x) => x.game === 'bridge' && x.because === 'gate');
    const found = gate ?? recommend(graph, [shelf[0]!, shelf[1]!], [low], options).excluded.find((x) => x.because === 'gate');
    expect(found).toMatchObject({ because: 'gate', alternative: 'tens/one' });
  });
  it('lets a game rest that was just played', () => {
    const fresh = recommend(graph, shelf, [wren], options).items.find((s) => s.game === 'bridge')!.value;
    const again = recommend(graph, shelf, [wren], { ...options, daysSincePlayed: new Map([['bridge', 0]]) }).items.find(
      (s) => s.game === 'bridge',
    )!.value;
    expect(again).toBeLessThan(fresh);
  });
});

describe('what a cupboard allows', () => {
  const stock = new Map([['two-colour-counter', 40]]);
  const counters = (quantity: number): Partial<Offer> => ({ materials: [{ kind: 'two-colour-counter', quantity }] });
  it('offers the version there are pieces for, even where another is worth more', () => {
    const shelf = [offer('cart/many', { 'make-ten': 30 }, counters(45)), offer('cart/few', { 'make-ten': 12 }, counters(20))];
    const { items, excluded } = recommend(graph, shelf, [wren], { ...options, stock });
    expect(items.map((i) => i.seats[0]!.variant)).toEqual(['cart/few']);
    expect(excluded).toEqual([]);
    expect(recommend(graph, shelf, [wren], options).items[0]!.seats[0]!.variant).toBe('cart/many');
  });
  it('names the missing pieces where no version can be laid out', () => {
    const shelf = [offer('cart/many', { 'make-ten': 30 }, counters(45)), offer('cart/more', { 'make-ten': 12 }, counters(60))];
    expect(recommend(graph, shelf, [wren], { ...options, stock }).excluded).toEqual([
      { game: 'cart', because: 'stock', missing: [{ kind: 'two-colour-counter', short: 5 }] },
    ]);
  });
  it('says the gate, not the stock, where more pieces would not help', () => {
    const shelf = [offer('cart/many', { 'make-ten': 20, 'add-in-20': 18 }, counters(45))];
    expect(recommend(graph, shelf, [tad], { ...options, stock }).excluded[0]!.because).toBe('gate');
  });
  it('names no alternative that cannot be played today', () => {
    const shaky = learner(
      'x',
      base.filter((k) => k !== 'pairs-of-10'),
    );
    const alternative = (more: Partial<Offer>): unknown => {
      const shelf = [offer('bridge/one', { 'make-ten': 20 }), offer('rather/tens', { 'pairs-of-10': 12, 'parts-to-5': 20 }, more)];
      const found = recommend(graph, shelf, [shaky], { ...options, stock }).excluded.find((x) => x.game === 'bridge')!;
      return found.because === 'gate' ? found.alternative : found.because;
    };
    expect(alternative({})).toBe('rather/tens');
    expect(alternative(counters(45))).toBeNull();
    expect(alternative({ minutes: 60 })).toBeNull();
    expect(alternative({ source: 'none' })).toBeNull();
  });
});

describe('needs that no game here serves', () => {
  const almost = learner(
    'almost',
    graph.skills.map((s) => s.id).filter((k) => k !== 'make-ten' && k !== 'add-in-10'),
    ['make-ten', 'add-in-10'],
  );
  const gapsOf = (shelf: readonly Offer[], who = almost) =>
    openGaps(graph, shelf, [who], 15).map((g) => ({
      skill: graph.skills[g.skill]!.id,
      barred: g.barred?.variant ?? null,
      because: g.barred?.because.gate.because ?? null,
    }));
  it('are those that are ready, great, and not practised enough by anything playable', () => {
    const before = gapsOf([]);
    expect(before.length).toBeGreaterThan(0);
    for (const g of before) expect([almost.ready[at(g.skill)], g.barred]).toEqual([1, null]);
    const served = before.map((g) => g.skill).find((k) => gateOf(graph, offer('it/one', { [k]: 20 }), almost) === null)!;
    expect(gapsOf([offer('it/one', { [served]: 20 })]).map((g) => g.skill)).not.toContain(served);
    // Two chances in a round are not practice.
    expect(gapsOf([offer('it/one', { [served]: 1.3 })]).map((g) => g.skill)).toContain(served);
    expect(gapsOf([offer('it/one', { [served]: 20 }, { source: 'none' })]).map((g) => g.skill)).toContain(served);
  });
  it('name the nearest game and what it wants first', () => {
    const served = gapsOf([])[0]!.skill;
    const found = gapsOf([
      offer('far/one', { [served]: 20 }, { ages: [14, 15] }),
      offer('far/two', { [served]: 9 }, { ages: [14, 15] }),
    ]).find((g) => g.skill === served);
    expect(found).toEqual({ skill: served, barred: 'far/one', because: 'age' });
  });
});
