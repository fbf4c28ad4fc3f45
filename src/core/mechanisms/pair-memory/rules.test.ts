import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRng } from '../../shared/rng';
import { DEFAULTS, type PairMemoryParameters } from './parameters';
import { chooseFirst, chooseSecond, newMind, recall } from './policies';
import { flip, isPair, lay, newState, pairsOf, take } from './rules';

const layout = fc
  .record({
    rows: fc.integer({ min: 1, max: 5 }),
    columns: fc.constantFrom(2, 4, 6),
    sum: fc.integer({ min: 4, max: 18 }),
    relation: fc.constantFrom('sum', 'equal', 'difference', 'equal-fraction') as fc.Arbitrary<PairMemoryParameters['relation']>,
  })
  .map((p): PairMemoryParameters => ({ ...DEFAULTS, ...p, secondLook: 'dots' }));

describe('the cards on the table', () => {
  it('can always be taken in pairs to the last one', () => {
    fc.assert(
      fc.property(layout, fc.integer({ min: 0, max: 1e6 }), (p, seed) => {
        const state = newState(p);
        lay(state, pairsOf(p), createRng(seed));
        while (state.left > 0) {
          const x = state.there.indexOf(1);
          const y = state.there.findIndex((there, i) => there === 1 && i !== x && isPair(state, x, i));
          expect(y).toBeGreaterThan(x);
          take(state, x, y);
        }
      }),
    );
  });

  it('make the number asked for, each pair once before any comes again', () => {
    expect(pairsOf(DEFAULTS)).toEqual([
      [1, 9],
      [2, 8],
      [3, 7],
      [4, 6],
      [5, 5],
    ]);
    expect(pairsOf({ ...DEFAULTS, sum: 30, lowestCard: 1, highestCard: 10 })).toEqual([]);
    expect(pairsOf({ ...DEFAULTS, relation: 'difference', gap: 2, lowestCard: 0, highestCard: 10 })).toEqual([
      [0, 2],
      [1, 3],
      [6, 8],
      [7, 9],
    ]);
    expect(pairsOf({ ...DEFAULTS, relation: 'equal-fraction' })[0]).toEqual([102, 204]);
  });
});

describe('remembering', () => {
  const seat = (memory: number) => ({ parameters: { ...DEFAULTS, memory }, policy: 'careful' as const, errorRate: 0, headStart: 0 });
  it('reaches back just as many flips as it should', () => {
    const state = newState(DEFAULTS);
    lay(state, pairsOf(DEFAULTS), createRng(1));
    for (const place of [0, 1, 2, 3]) flip(state, place);
    const mind = newMind(12);
    const known = (memory: number): number[] => {
      recall(state, seat(memory), mind, createRng(1));
      expect([...mind.known.slice(0, mind.knownCount), ...mind.fresh.slice(0, mind.freshCount)].sort((a, b) => a - b)).toEqual([
        0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11,
      ]);
      return [...mind.known.slice(0, mind.knownCount)];
    };
    expect(known(-1)).toEqual([0, 1, 2, 3]);
    expect(known(2)).toEqual([2, 3]);
    expect(known(0)).toEqual([]);
  });
  it('takes a known pair at once and never turns the same card twice in a move', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const rng = createRng(seed);
        const state = newState(DEFAULTS);
        lay(state, pairsOf(DEFAULTS), rng);
        const mind = newMind(12);
        for (let place = 0; place < 12; place++) flip(state, place);
        recall(state, seat(-1), mind, rng);
        const x = chooseFirst(state, mind, rng);
        const y = chooseSecond(state, mind, x, rng);
        expect(y).not.toBe(x);
        expect(isPair(state, x, y)).toBe(true);
        recall(state, seat(0), mind, rng);
        const a = chooseFirst(state, mind, rng);
        expect(chooseSecond(state, mind, a, rng)).not.toBe(a);
      }),
    );
  });
  it('turns a card it has not in mind while there is one, each as often as the others', () => {
    const rng = createRng(5);
    const state = newState(DEFAULTS);
    lay(state, pairsOf(DEFAULTS), rng);
    const places = state.there.length;
    // A card and the partner of none of the others: nothing known makes a pair.
    const alone = [0, [...state.there.keys()].find((i) => i > 0 && !isPair(state, 0, i))!];
    for (const place of alone) flip(state, place);
    const mind = newMind(places);
    recall(state, seat(-1), mind, rng);
    const turned = new Map<number, number>();
    const moves = 20_000;
    for (let i = 0; i < moves; i++) {
      const x = chooseFirst(state, mind, rng);
      turned.set(x, (turned.get(x) ?? 0) + 1);
    }
    expect([...turned.keys()].sort((a, b) => a - b)).toEqual([...state.there.keys()].filter((i) => !alone.includes(i)));
    const expected = moves / turned.size;
    for (const n of turned.values()) expect(Math.abs(n - expected)).toBeLessThan(4 * Math.sqrt(expected));
  });
  it('turns one of the cards in mind when no other is left', () => {
    const rng = createRng(6);
    const state = newState(DEFAULTS);
    lay(state, pairsOf(DEFAULTS), rng);
    const x = 0;
    const y = [...state.there.keys()].find((i) => i > 0 && isPair(state, x, i))!;
    for (const place of state.there.keys()) if (place !== x && place !== y) state.there[place] = 0;
    const mind = newMind(state.there.length);
    // Only the first is in mind, so the second must be the one that is not; and the other way round.
    flip(state, x);
    recall(state, seat(-1), mind, rng);
    expect(chooseFirst(state, mind, rng)).toBe(y);
    expect(chooseSecond(state, mind, y, rng)).toBe(x);
    recall(state, seat(0), mind, rng);
    const first = chooseFirst(state, mind, rng);
    expect(chooseSecond(state, mind, first, rng)).toBe(x + y - first);
  });
});
