import { describe, expect, it } from 'vitest';
import { fewestCoins } from '../../../mechanisms/match-sets/halves';
import { coinsOf } from './halvesShown';

describe('coins on a card', () => {
  it('are the fewest that make the amount, also where taking the largest first is not', () => {
    expect(coinsOf(30, [1, 10, 25])).toEqual([10, 10, 10]);
    expect(coinsOf(0, [1, 2])).toEqual([]);
  });

  it('make the amount with as many coins as the match was played with', () => {
    for (const coins of [
      [1, 2, 5, 10, 20, 50, 100],
      [1, 5, 10, 25],
      [1, 10, 25],
      [1, 7, 10],
    ])
      for (let n = 1; n <= 120; n++) {
        const laid = coinsOf(n, coins);
        expect([n, laid.reduce((a, c) => a + c, 0), laid.length]).toEqual([n, n, fewestCoins(n, coins)]);
      }
  });
});
