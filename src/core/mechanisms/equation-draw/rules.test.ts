import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { findEquations, newFound, WILD } from './rules';

const all = Uint8Array.from([1, 1, 1, 1]);

describe('equations in a hand', () => {
  it('are true, and are found when there are any', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 3, maxLength: 7 }), fc.boolean(), (cards, four) => {
        const p = { ...DEFAULTS, terms: four ? ('three-or-four' as const) : ('three' as const) };
        const hand = Int32Array.from(cards);
        const found = newFound();
        findEquations(p, hand, hand.length, all, found);
        const any = cards.some((x, i) =>
          cards.some((y, j) => cards.some((z, k) => i !== j && j !== k && i !== k && (x + y === z || x * y === z))),
        );
        if (any) expect(found.count).toBeGreaterThan(0);
        if (found.count === 0) return;
        const value = [found.a + found.b, found.a - found.b, found.a * found.b, found.a / found.b][found.op];
        expect(value).toBe(found.result);
        const places = [...found.used.slice(0, found.extra >= 0 ? 4 : 3)];
        expect(new Set(places).size).toBe(places.length);
        const other = places.slice(2).reduce((sum, at) => sum + hand[at]!, 0);
        expect(other).toBe(found.result);
      }),
    );
  });
  it('may use a card that stands for any number', () => {
    const found = newFound();
    findEquations(DEFAULTS, Int32Array.from([3, 9, WILD]), 3, all, found);
    expect(found.count).toBeGreaterThan(0);
  });
  it('give each player their own operations', () => {
    const r = run('equation-draw', {}, [{ parameters: { operations: ['multiply'] } }, { parameters: { operations: ['add'] } }], 300);
    expect(r.items.filter((i) => i.seat === 1).every((i) => i.op === 'add' || i.op === 'compose')).toBe(true);
  });
});
