import { describe, expect, it } from 'vitest';
import type { PlanInstance } from './instance';
import { mostForWait, pairKey, type PricedAim, waitingAt, type WishContext, withWishes } from './wishes';

const names = ['ash', 'birch', 'cedar'];
const gameIds = ['lamps', 'relay', 'relay'];
/** Three children, two rounds; the best for each alone is two games of one unit. */
const plain: PlanInstance = {
  learners: 3,
  rounds: 2,
  tables: 1,
  helpers: 1,
  preparationMinutes: 60,
  stock: [],
  slopes: [1],
  games: gameIds.map((_, g) => ({ min: 2, max: 4, materials: [], helper: 0, preparation: 0, family: g === 2 ? 1 : g })),
  gaps: names.map(() => []),
  value: [
    [1, 1, 1],
    [1, 1, 1],
    [2, -1, 2],
  ],
  dose: names.map(() => gameIds.map(() => [])),
};
const context = (more: Partial<WishContext> = {}): WishContext => ({ learners: names, daysSincePlayed: new Map(), ...more });
/** Mean over children and rounds of the best alone: (2 + 2 + 4) / 6. */
const seat = 8 / 6;

describe('what is aimed at beside the sum', () => {
  it('is that nobody falls below half of the best alone, wished or not', () => {
    const { aims } = withWishes(plain, gameIds, context());
    expect(aims!.floor).toEqual({ least: [1, 1, 2], price: 1 });
    expect(aims!.together).toBeUndefined();
    expect(aims!.apart).toBeUndefined();
    expect(aims!.keep).toBeUndefined();
    expect(aims!.fresh!.free).toBe(1);
    expect(withWishes({ ...plain, helpers: 3 }, gameIds, context()).aims!.fresh!.free).toBe(3);
    expect(withWishes({ ...plain, helpers: 0 }, gameIds, context()).aims!.fresh!.free).toBe(1);
  });
  it('makes a game that was out lately cheaper to fetch, and one nobody knows one to explain', () => {
    const days = (d: number) => context({ daysSincePlayed: new Map([['birch|relay', [40, d]]]) });
    const lately = withWishes(plain, gameIds, days(7)).games;
    expect(lately.map((g) => g.fresh)).toEqual([true, false, false]);
    expect(lately[1]!.fetch).toBeCloseTo(lately[0]!.fetch! / 2, 12);
    expect(lately[2]!.fetch).toBe(lately[1]!.fetch);
    const long = withWishes(plain, gameIds, days(30)).games;
    expect(long[1]!.fetch).toBe(long[0]!.fetch);
    expect(long[1]!.fresh).toBe(false);
    expect(withWishes(plain, gameIds, days(21)).games[1]!.fetch).toBeCloseTo(long[1]!.fetch! / 2, 12);
    // Somebody who is not there does not make it known.
    expect(withWishes(plain, gameIds, context({ daysSincePlayed: new Map([['oak|relay', [3]]]) })).games[1]!.fresh).toBe(true);
  });
  it('asks more for each game where fewer are wished for', () => {
    const usual = withWishes(plain, gameIds, context()).games[0]!.fetch!;
    const fewer = withWishes(plain, gameIds, context({ wishes: { fewerGames: true } })).games[0]!.fetch!;
    expect(usual).toBeCloseTo(0.08 * seat, 12);
    expect(fewer).toBeCloseTo(0.5 * seat, 12);
  });
  it('seats companions together and others apart, and leaves out who is not there', () => {
    const wishes = {
      together: [
        ['ash', 'cedar'],
        ['ash', 'oak'],
      ] as const,
      apart: [
        ['birch', 'ash'],
        ['birch', 'birch'],
      ] as const,
    };
    const { aims } = withWishes(plain, gameIds, context({ wishes }));
    expect(aims!.together!.map((t) => t.pair)).toEqual([[0, 2]]);
    expect(aims!.together![0]!.worth[0]).toBeCloseTo(0.3 * seat, 12);
    expect(aims!.apart).toEqual([[1, 0]]);
  });
  it('lets one table a round be lively where that is wished, and leaves out what is to be priced', () => {
    expect(withWishes(plain, gameIds, context()).aims!.loud).toBeUndefined();
    expect(withWishes(plain, gameIds, context({ wishes: { oneLively: true } })).aims!.loud).toBe(1);
    const wishes = { fewerGames: true, mix: true, together: [['ash', 'cedar']] as const, apart: [['birch', 'ash']] as const };
    const without = (aim: PricedAim) => withWishes(plain, gameIds, context({ wishes: { ...wishes, without: [aim] } }));
    expect(without('floor').aims!.floor).toBeUndefined();
    expect(without('floor').games[0]!.fetch).toBeGreaterThan(0);
    expect(without('games').games.map((g) => g.fetch)).toEqual([0, 0, 0]);
    expect(without('games').aims!.floor).toBeDefined();
    expect(without('companions').aims!.together).toBeUndefined();
    // Who never shares a table never does.
    expect(without('companions').aims!.apart).toEqual([[1, 0]]);
  });
  it('brings those together first who met least', () => {
    const satTogether = new Map([[pairKey('cedar', 'ash'), 3]]);
    const { aims } = withWishes(plain, gameIds, context({ wishes: { mix: true }, satTogether }));
    expect(aims!.together!.map((t) => t.pair)).toEqual([
      [0, 1],
      [0, 2],
      [1, 2],
    ]);
    const [first, again] = aims!.together!;
    expect(again!.worth[0]).toBeCloseTo(first!.worth[0]! / 4, 12);
    expect(first!.worth[1]).toBeLessThan(0);
  });
  it('knows who rested, and which seats are to stay', () => {
    const keep = [
      new Map([
        ['ash', 'relay'],
        ['cedar', 'relay'],
      ]),
      new Map([
        ['birch', 'lamps'],
        ['cedar', 'gone'],
      ]),
    ];
    const made = withWishes(plain, gameIds, context({ rested: new Map([['birch', 2]]), keep }));
    expect(made.rested).toEqual([0, 2, 0]);
    // Cedar may not take the first way of the relay, so that the table of both is the second; alone, Ash's would be the first.
    expect(made.aims!.keep!.games).toEqual([
      [2, -1],
      [-1, 0],
      [2, -1],
    ]);
    expect(made.aims!.keep!.worth).toBeCloseTo(0.15 * seat, 12);
    const alone = withWishes(plain, gameIds, context({ keep: [new Map([['ash', 'relay']])], keepShare: 1 }));
    expect(alone.aims!.keep).toEqual({
      games: [
        [1, -1],
        [-1, -1],
        [-1, -1],
      ],
      worth: expect.closeTo(seat, 12),
    });
  });
});

describe('waiting', () => {
  it('is half of the round with two in turn and three quarters with four', () => {
    expect(waitingAt({ seats: 2, waiting: 0.5 }, 2)).toBeCloseTo(0.5, 12);
    expect(waitingAt({ seats: 2, waiting: 0.5 }, 4)).toBeCloseTo(0.75, 12);
    expect(waitingAt({ seats: 3, waiting: 0 }, 6)).toBeCloseTo(0, 12);
  });
  it('makes tables small enough, where anybody counted', () => {
    const turns = { counted: { seats: 2, waiting: 0.5 } } as never;
    const nobody = {} as never;
    expect(mostForWait([turns], 6, undefined)).toBe(6);
    expect(mostForWait([turns], 6, 0.5)).toBe(2);
    expect(mostForWait([turns, nobody], 6, 0.67)).toBe(3);
    expect(mostForWait([turns], 6, 0.75)).toBe(4);
    expect(mostForWait([nobody], 6, 0.5)).toBe(6);
  });
});
