import { describe, expect, it } from 'vitest';
import { itemsOfGames, run } from '../playing.testing';

describe('the market stall', () => {
  it('never spends more than the purse holds, and gives true change', () => {
    for (const items of itemsOfGames('money-race', { purse: 6 }, [{ policy: 'typical' }], 100)) {
      for (const i of items) if (i.op === 'add-decimal') expect(i.result).toBeLessThanOrEqual(6000);
      for (const i of items) if (i.op === 'subtract-decimal') expect(i.result).toBeGreaterThanOrEqual(0);
    }
  });
  it('leaves less to who looks for the dearest that can be paid', () => {
    const left = (policy: 'careful' | 'random'): number => run('money-race', {}, [{ policy }], 400).measures['moneyLeft']!;
    expect(left('careful')).toBeLessThan(left('random'));
  });
  it('buys more things when that is the aim', () => {
    const score = (aim: string): number =>
      run('money-race', { aim, turns: 12 }, [{ policy: 'careful' }], 100)
        .items.filter((i) => i.op === 'subtract-decimal')
        .reduce((n, i) => n + i.count, 0);
    expect(score('buys-most-things')).toBeGreaterThan(score('spends-nearest-to-all'));
  });
});
