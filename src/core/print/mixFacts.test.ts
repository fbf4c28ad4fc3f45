import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { type Fact, mixFacts } from './mixFacts';

const facts = (n: number, from = 0): Fact[] => Array.from({ length: n }, (_, i) => [from + i, 7]);

describe('facts for a set of one’s own', () => {
  it('are two known to each that is to be practised, the first of each list before the others', () => {
    expect(mixFacts(facts(9), facts(30, 100), [])).toEqual([...facts(6), ...facts(12, 100)]);
    expect(mixFacts(facts(2), facts(30, 100), [])).toEqual([...facts(2), ...facts(4, 100)]);
  });
  it('are filled up with easy ones where too few are known, and never hold one twice', () => {
    expect(mixFacts(facts(2), facts(1, 100), facts(9, 200))).toEqual([...facts(2), [100, 7], ...facts(3, 200)]);
    expect(mixFacts(facts(3), facts(3), facts(9, 200))).toEqual([...facts(3), ...facts(6, 200)]);
    expect(mixFacts([], facts(9), facts(9))).toEqual([]);
  });
  it('hold what was asked, no more than so many, and at most a third that is new', () => {
    const list = fc.array(fc.tuple(fc.nat(12), fc.nat(12)), { maxLength: 40 });
    fc.assert(
      fc.property(list, list, list, fc.integer({ min: 3, max: 40 }), (practise, known, easy, most) => {
        const mixed = mixFacts(practise, known, easy, most);
        expect(mixed.length).toBeLessThanOrEqual(most);
        expect(new Set(mixed.map(String)).size).toBe(mixed.length);
        const fresh = mixed.filter((f) => practise.some((p) => String(p) === String(f)));
        if (practise.length > 0) expect(fresh.length).toBeGreaterThan(0);
        expect(fresh.length).toBeLessThanOrEqual(Math.max(1, Math.floor(most / 3)));
        for (const f of mixed) expect([...practise, ...known, ...easy].map(String)).toContain(String(f));
      }),
    );
  });
});
