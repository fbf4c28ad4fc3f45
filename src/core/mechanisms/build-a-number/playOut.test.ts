import { describe, expect, it } from 'vitest';
import { itemsOfGames, run } from '../playing.testing';

describe('building a number', () => {
  it('uses pieces that are worth the number', () => {
    for (const items of itemsOfGames(
      'build-a-number',
      { lowest: 100, highest: 999, rounds: 1, compare: false },
      [{ policy: 'careful' }],
      200,
    )) {
      const number = items.find((i) => i.op === 'read-numeral')!.a;
      expect(items.filter((i) => i.op === 'place-digit').reduce((sum, i) => sum + i.result, 0)).toBe(number);
    }
  });
  it('takes it apart into its parts, largest first', () => {
    for (const items of itemsOfGames(
      'build-a-number',
      { lowest: 100, highest: 999, rounds: 1, compare: false, form: 'expanded-form' },
      [{ policy: 'careful' }],
      200,
    )) {
      const parts = items.filter((i) => i.op === 'compose');
      const number = items[0]!.a;
      if (parts.length > 0) expect(parts[0]!.result).toBe(number);
      for (let i = 1; i < parts.length; i++) expect(parts[i]!.result).toBe(parts[i - 1]!.b);
    }
  });
  it('can trade a ten', () => {
    expect(run('build-a-number', { another: true }, 2, 100).measures['secondWays']).toBeGreaterThan(0);
  });
});
