import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { careful, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { completes, deckOf, equalFractions, possibleGroups } from './rules';

describe('asking for cards', () => {
  it('knows what belongs together', () => {
    expect(completes(DEFAULTS, [4], 6, 2)).toBe(true);
    expect(completes({ ...DEFAULTS, relation: 'differ-by', number: 3 }, [4], 7, 2)).toBe(true);
    expect(completes({ ...DEFAULTS, together: 'triples' }, [2, 3], 5, 3)).toBe(true);
    expect(completes({ ...DEFAULTS, together: 'triples', relation: 'differ-by', number: 2 }, [2, 4], 6, 3)).toBe(true);
    expect(completes({ ...DEFAULTS, together: 'triples', relation: 'differ-by', number: 2 }, [2, 4], 8, 3)).toBe(false);
    for (const forms of equalFractions) for (const [n, d] of forms) expect(n / d).toBeCloseTo(forms[0]![0] / forms[0]![1], 12);
  });
  it('lays down every pair of the deck when everything is dealt', () => {
    const r = run('ask-for-cards', { relation: 'are-equal', drawPile: false, lowest: 1, highest: 6, copies: 2 }, careful(3), 300);
    expect(r.outcomes.score.mean * 3).toBeCloseTo(6, 1);
    expect(possibleGroups({ ...DEFAULTS, relation: 'are-equal', lowest: 1, highest: 6, copies: 2 })).toBe(6);
  });
  it('practises equal fractions by their forms', () => {
    const r = run('ask-for-cards', { relation: 'are-equal-fractions', hand: 4 }, careful(2), 200);
    expect(r.items.some((i) => i.op === 'equivalent-fraction' && i.result === 1 && i.a !== i.b)).toBe(true);
  });
  it('refuses what can never be laid down', () => {
    expect(checkTable('ask-for-cards', { number: 90 }, 2)).toMatchObject({ problem: { field: 'parameters.number' } });
    expect(checkTable('ask-for-cards', { relation: 'are-equal', copies: 1 }, 2)).toMatchObject({ problem: { field: 'parameters.copies' } });
    expect(deckOf(DEFAULTS).length).toBe(44);
  });
});
