import { describe, expect, it } from 'vitest';
import { itemsOfGames, run } from '../playing.testing';

describe('hopping by digits', () => {
  it('lands on a space with the digit in its place, further on', () => {
    for (const items of itemsOfGames('place-digit-hop', { sayDistance: true }, [{ policy: 'careful' }], 100))
      items.forEach((item, n) => {
        const drawn = items[n - 1];
        if (item.op !== 'read-numeral' || drawn?.op !== 'place-digit') return;
        expect(Math.floor(item.a / 10 ** drawn.b) % 10).toBe(drawn.a);
      });
  });
  it('has turns with nothing to do when only a place ahead counts', () => {
    const idle = (nearest: string) => run('place-digit-hop', { nearest }, 2, 400).measures['movelessShare']!;
    expect(idle('ahead')).toBeGreaterThan(idle('either-way'));
  });
});
