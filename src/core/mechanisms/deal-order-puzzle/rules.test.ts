import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULTS, type DealOrderParameters } from './parameters';
import { arrangement, comesOutInOrder, dealOrder } from './rules';

const any = fc.record({
  cards: fc.integer({ min: 4, max: 30 }),
  under: fc.integer({ min: 0, max: 6 }),
  starts: fc.constantFrom<DealOrderParameters['starts']>('dealt', 'put-under'),
  pattern: fc.constantFrom<DealOrderParameters['pattern']>('always-as-many', 'one-more-each-time'),
  direction: fc.constantFrom<DealOrderParameters['direction']>('rising', 'falling'),
});

describe('the arrangement', () => {
  it('comes out in order for any number of cards and any deal', () => {
    fc.assert(
      fc.property(any, (more) => {
        const p: DealOrderParameters = { ...DEFAULTS, ...more };
        const packet = arrangement(p);
        expect([...packet].sort((x, y) => x - y)).toEqual(Array.from({ length: p.cards }, (_, i) => (i + 1) * p.step));
        expect(comesOutInOrder(p, packet)).toBe(true);
        // Two cards changed, and it no longer does.
        [packet[0], packet[1]] = [packet[1]!, packet[0]!];
        expect(comesOutInOrder(p, packet)).toBe(false);
      }),
    );
  });
  it('of six cards, one under between deals, is 1 4 2 6 3 5', () => {
    expect(arrangement({ ...DEFAULTS, cards: 6 })).toEqual([1, 4, 2, 6, 3, 5]);
  });
  it('leaves for last the place that the counting-out rhyme leaves (Josephus; two at a time, n = 2^m + l: place 2l + 1)', () => {
    for (let n = 4; n <= 30; n++) {
      const l = n - 2 ** Math.floor(Math.log2(n));
      expect(dealOrder({ ...DEFAULTS, cards: n, starts: 'put-under' }).at(-1)! + 1).toBe(2 * l + 1);
    }
  });
});
