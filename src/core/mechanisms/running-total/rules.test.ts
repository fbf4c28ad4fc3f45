import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRng } from '../../shared/rng';
import { DEFAULTS, type RunningTotalParameters } from './parameters';
import { chooseCard, chooseDiscard } from './policies';
import { deadTotals, deckOf, drawCard, isLegal, leaveHand, newState, REVERSE, SKIP, startRound, TAKE_TEN } from './rules';

const seats = (n: number, p: RunningTotalParameters) =>
  Array.from({ length: n }, () => ({ parameters: p, policy: 'typical' as const, errorRate: 0.3, headStart: 0 }));
const parameters = fc
  .record({
    direction: fc.constantFrom('up', 'down', 'up-and-down') as fc.Arbitrary<RunningTotalParameters['direction']>,
    landing: fc.constantFrom('exact', 'beyond') as fc.Arbitrary<RunningTotalParameters['landing']>,
    high: fc.integer({ min: 20, max: 120 }),
    handSize: fc.integer({ min: 1, max: 5 }),
    highestCard: fc.integer({ min: 2, max: 12 }),
    takeTen: fc.integer({ min: 0, max: 5 }),
  })
  .map((p): RunningTotalParameters => ({ ...DEFAULTS, ...p }));

describe('the deck', () => {
  it('holds every card once for each copy and special', () => {
    const deck = deckOf(DEFAULTS);
    expect(deck).toHaveLength(4 * 10 + 4 + 2 + 2);
    expect(deck.filter((c) => c === 7)).toHaveLength(4);
    expect([TAKE_TEN, REVERSE, SKIP].map((c) => deck.filter((d) => d === c).length)).toEqual([4, 2, 2]);
  });

  it('neither loses nor gains a card, however long the play', () => {
    fc.assert(
      fc.property(parameters, fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 1, max: 4 }), (p, seed, n) => {
        const table = seats(n, p);
        const state = newState(table);
        const rng = createRng(seed);
        startRound(state, table, rng);
        const sorted = (list: number[]): string => list.sort((x, y) => x - y).join();
        const all = sorted(deckOf(p));
        for (let i = 0; i < 150; i++) {
          const s = i % n;
          if (state.held[s]! > 0) leaveHand(state, s, chooseDiscard(state, s));
          drawCard(state, s, p, rng);
          const pile = state.piles[0]!;
          const hands = Array.from({ length: n }, (_, k) => [
            ...state.hands.slice(k * state.handWidth, k * state.handWidth + state.held[k]!),
          ]).flat();
          expect(sorted([...pile.cards.slice(0, pile.left), ...pile.discard.slice(0, pile.discarded), ...hands])).toBe(all);
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('choosing a card', () => {
  it('never plays what the rules forbid, and passes only when nothing is allowed', () => {
    fc.assert(
      fc.property(parameters, fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 0, max: 120 }), (p, seed, total) => {
        const table = seats(2, p);
        const state = newState(table);
        const rng = createRng(seed);
        startRound(state, table, rng);
        state.total = Math.min(total, p.high);
        const place = chooseCard(state, table[0]!, 0, rng);
        const hand = [...state.hands.slice(0, state.held[0]!)];
        const legal = hand.filter((c) => isLegal(state, p, c));
        if (place < 0) expect(legal).toEqual([]);
        else expect(legal).toContain(hand[place]);
        expect(state.choices).toBe(new Set(legal).size);
      }),
    );
  });
});

describe('ends that can never be met', () => {
  it('are found by search, as small cases show', () => {
    expect(deadTotals({ ...DEFAULTS, high: 10, lowestCard: 1, takeTen: 0 })).toEqual([]);
    expect(deadTotals({ ...DEFAULTS, high: 10, lowestCard: 3, highestCard: 3, takeTen: 0 })).toEqual([0, 3, 6, 9]);
    expect(deadTotals({ ...DEFAULTS, high: 10, lowestCard: 5, highestCard: 5, takeTen: 0 })).toEqual([]);
    expect(deadTotals({ ...DEFAULTS, high: 10, lowestCard: 4, highestCard: 6, takeTen: 0, landing: 'beyond' })).toEqual([]);
    expect(deadTotals({ ...DEFAULTS, direction: 'down', high: 10, lowestCard: 2, highestCard: 9, takeTen: 0 })).toContain(1);
  });
});
