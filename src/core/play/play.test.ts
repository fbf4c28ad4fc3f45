import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRng } from '../shared/rng';
import { GameLog } from '../simulate/gameLog';
import { tallyShape } from '../simulate/itemChannel';
import { DEFAULT_TIME } from '../simulate/timeModel';
import { fourOperations, wholeResult } from './arithmetic';
import { between, Deck, leftOf, numberCards } from './deck';
import { settle, slips } from './outcome';
import { otherValues, schemaProblem } from './schemaValues';

const cards = fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 30 });
const sorted = (list: readonly number[]): number[] => [...list].sort((x, y) => x - y);

describe('a deck', () => {
  it('gives every card once, then says that it is out, and is whole again after', () => {
    fc.assert(
      fc.property(cards, fc.integer(), (whole, seed) => {
        const deck = new Deck(whole);
        const rng = createRng(seed);
        const drawn = whole.map(() => deck.draw(rng));
        expect(sorted(drawn)).toEqual(sorted(whole));
        expect([deck.draw(rng), deck.left]).toEqual([-1, 0]);
        deck.reset();
        expect(deck.left).toBe(whole.length);
        expect(sorted(whole.map(() => deck.draw(rng)))).toEqual(sorted(whole));
      }),
    );
  });
  it('deals the same for the same numbers, whatever was played before', () => {
    const deck = new Deck(numberCards(1, 10, 4));
    const deal = (seed: number): number[] => {
      deck.reset();
      const rng = createRng(seed);
      return Array.from({ length: 12 }, () => deck.draw(rng));
    };
    const first = deal(3);
    deal(99);
    expect(deal(3)).toEqual(first);
  });
  it('shows a card without giving it away', () => {
    const deck = new Deck([4, 4, 9]);
    const rng = createRng(1);
    for (let i = 0; i < 20; i++) expect([4, 9]).toContain(deck.peek(rng));
    expect(deck.left).toBe(3);
  });
  it('without its missing cards has each of them less, as often as it is missing', () => {
    fc.assert(
      fc.property(cards, cards, (whole, missing) => {
        const left = leftOf(whole, missing);
        for (let c = 0; c <= 20; c++) {
          const count = (list: readonly number[]): number => list.filter((x) => x === c).length;
          expect(count(left)).toBe(Math.max(0, count(whole) - count(missing)));
        }
      }),
    );
  });
});

describe('a number between two', () => {
  it('is each of them now and then, and never another', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20, max: 20 }), fc.integer({ min: 0, max: 5 }), fc.integer(), (low, span, seed) => {
        const rng = createRng(seed);
        const seen = new Set(Array.from({ length: 300 }, () => between(rng, low, low + span)));
        expect(sorted([...seen])).toEqual(Array.from({ length: span + 1 }, (_, i) => low + i));
      }),
      { numRuns: 40 },
    );
  });
});

describe('whole results', () => {
  it('are what the sign says, or none', () => {
    fc.assert(
      fc.property(fc.constantFrom(...fourOperations), fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }), (op, a, b) => {
        const exact = { add: a + b, subtract: a - b, multiply: a * b, divide: a / b }[op];
        const whole = Number.isInteger(exact) && exact >= 0;
        expect(wholeResult(op, a, b)).toBe(whole ? exact : -1);
      }),
    );
  });
});

describe('how a game ends', () => {
  const player = (headStart = 0, policy: 'careful' | 'typical' | 'random' = 'careful', errorRate = 0) => ({ policy, errorRate, headStart });
  const settled = (scores: number[], starts = scores.map(() => 0)): GameLog => {
    const log = new GameLog(tallyShape(scores.length, [], { low: 0, highA: 1, highB: 1 }), DEFAULT_TIME);
    log.begin();
    log.scores.set(scores);
    for (let t = 0; t < 7; t++) log.turn(t % scores.length, 1);
    settle(
      log,
      starts.map((s) => player(s)),
    );
    return log;
  };
  it('names the one with most points, and nobody when two have as many', () => {
    expect([
      settled([3, 5, 1]).winner,
      settled([5, 5, 1]).winner,
      settled([1, 5, 5]).winner,
      settled([5, 1, 5]).winner,
      settled([0]).winner,
    ]).toEqual([1, -1, -1, -1, 0]);
  });
  it('adds head starts before it looks', () => {
    expect([settled([3, 5], [3, 0]).winner, settled([3, 5], [2, 0]).winner]).toEqual([0, -1]);
  });
  it('counts a round begun as a round', () => expect(settled([1, 2, 3]).rounds).toBe(3));
  it('has slips at the rate of the player: none when careful, half when guessing', () => {
    const rate = (p: ReturnType<typeof player>): number => {
      const rng = createRng(4);
      let n = 0;
      for (let i = 0; i < 20_000; i++) if (slips(p, rng)) n++;
      return n / 20_000;
    };
    expect(rate(player())).toBe(0);
    expect(rate(player(0, 'random'))).toBeCloseTo(0.5, 1);
    expect(Math.abs(rate(player(0, 'typical', 0.2)) - 0.2)).toBeLessThan(4 * Math.sqrt(0.16 / 20_000));
  });
});

describe('other values of a parameter', () => {
  const schemas = [
    { type: 'integer', minimum: 1, maximum: 12 },
    { enum: ['up', 'down', 'both'] },
    { type: 'boolean' },
    { type: 'array', minItems: 1, uniqueItems: true, items: { enum: ['add', 'subtract'] } },
  ];
  it.each([
    [0, 5],
    [0, 1],
    [0, 12],
    [1, 'up'],
    [2, true],
    [3, ['add']],
  ] as const)('fit the schema and are not the one in use (%i, %j)', (which, value) => {
    const others = otherValues(schemas[which]!, value);
    expect(others.length).toBeGreaterThan(0);
    for (const v of others) {
      expect(JSON.stringify(v)).not.toBe(JSON.stringify(value));
      expect(schemaProblem({ p: schemas[which]! }, { p: v })).toBeNull();
    }
  });
  it.each([
    [0, 13],
    [0, 0],
    [0, 2.5],
    [0, Number.NaN],
    [0, '5'],
    [1, 'sideways'],
    [2, 1],
    [3, []],
    [3, ['add', 'add']],
    [3, ['juggle']],
  ] as const)('refuses what does not fit (%i, %j), naming it', (which, value) => {
    expect(schemaProblem({ p: { ...schemas[which]!, title: 'The thing' } }, { p: value })).toMatchObject({
      code: 'impossible-parameters',
      field: 'p',
    });
  });
  it('refuses a parameter that is none', () => expect(schemaProblem({}, { q: 1 })).toMatchObject({ field: 'q' }));
});
