import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coinsIn, coinsUpTo, type Country, lengthIn, priceIn, saidIn } from './country';

/** Made up for the test: nothing here is known to the app. */
const island: Country = {
  id: 'island',
  title: 'An island',
  coins: [1, 4, 12, 60],
  money: { sign: 'sh', before: false, parts: 'shells', point: ',' },
  ruler: 'inches',
  paper: 'letter',
  dates: 'month-first',
  coinMm: [20, 22, 21, 25],
  words: { lamp: 'torch', 'signal box': 'look-out', 'lamp and oil': 'torch and tar', colour: 'color' },
};

describe('a country', () => {
  it('writes prices its own way', () => {
    expect(priceIn(island, 325)).toBe('3,25 sh');
    expect(priceIn({ ...island, money: { ...island.money, sign: '$', before: true, point: '.' } }, 1200)).toBe('$12.00');
  });
  it('measures by its ruler: an inch is 2.54 cm', () => {
    expect(lengthIn(island, 60)).toBe('24 inches');
    expect(lengthIn({ ...island, ruler: 'centimetres' }, 60)).toBe('60 cm');
  });
  it('exchanges a coin that is not in use for the nearest that is still free', () => {
    expect(coinsIn(island, [1, 5, 10])).toEqual([1, 4, 12]);
    expect(coinsIn(island, [1, 4])).toEqual([1, 4]);
    // Five would be four, but four is asked for already: twelve is nearer than one.
    expect(coinsIn(island, [4, 5])).toEqual([4, 12]);
    expect(coinsUpTo(island, 12)).toEqual([1, 4, 12]);
  });
  it('never leaves a coin that is not in use, and as many sorts as can be', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 100 }), { minLength: 1, maxLength: 6 }), (asked) => {
        const coins = coinsIn(island, asked);
        expect(coins.every((c) => island.coins.includes(c))).toBe(true);
        expect(coins).toHaveLength(Math.min(asked.length, island.coins.length));
      }),
    );
  });
  it('says whole words its own way, longest phrases first, and keeps capitals and titles', () => {
    expect(saidIn(island, 'Take a lamp to the signal box.')).toBe('Take a torch to the look-out.');
    expect(saidIn(island, 'Lamp and Oil')).toBe('Torch and Tar');
    expect(saidIn(island, 'Tales from the Signal Box')).toBe('Tales from the Look-out');
    expect(saidIn(island, 'Lamps, clamp, colours')).toBe('Lamps, clamp, colours');
    expect(saidIn({ ...island, words: {} }, 'A lamp')).toBe('A lamp');
  });
});
