import { describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById, mechanisms } from '../mechanisms/registry';
import { preparationOf, versionFacts } from '../mechanisms/versionFacts';
import { preparationFor, sheetWork } from './sheetWork';

describe('what has to be made', () => {
  it('is known for every sheet a family asks for', () => {
    for (const m of mechanisms)
      for (const s of m.sheets(m.defaults, Math.max(2, m.seats.min)))
        expect([s.sheet, sheetWork[s.sheet] !== undefined]).toEqual([s.sheet, true]);
  });
  it('takes longer the more pieces there are, and nothing where there is nothing to print', () => {
    expect(preparationFor([])).toEqual([]);
    expect(preparationFor([{ sheet: 'slot-row', copies: 0, data: {} }])).toEqual([]);
    const cards = (n: number): number =>
      preparationFor([{ sheet: 'chain-cards', copies: 1, data: { cards: n } }]).reduce((sum, s) => sum + s.minutes, 0);
    expect(cards(36)).toBeGreaterThan(cards(12));
    expect(preparationFor([{ sheet: 'chain-cards', copies: 1, data: { cards: 16 } }]).map((s) => [s.sort, s.what])).toEqual([
      ['print', '2 pages: chain cards'],
      ['cut', '16 pieces: chain cards'],
      ['bag', ''],
    ]);
    // A board is printed and not cut.
    expect(preparationFor([{ sheet: 'track-board', copies: 1, data: {} }]).map((s) => s.sort)).toEqual(['print']);
  });
  it('asks for no cards to be cut that a usual deck has', () => {
    const m = mechanismById('compare-cards')!;
    expect(preparationOf(m, {}, 3)).toEqual([]);
    expect(preparationOf(m, { lowest: -10 }, 3).map((s) => s.sort)).toEqual(['print', 'cut', 'bag']);
  });
  it('differs from version to version, as who must be there does', () => {
    const facts = shippedLibrary.flatMap((g) =>
      g.variants.map((v) => versionFacts(mechanismById(g.mechanism)!, v.parameters, 3, v.ages, asWritten)),
    );
    expect(new Set(facts.map((f) => f.preparationMinutes)).size).toBeGreaterThan(8);
    for (const is of ['alone', 'nearby', 'needed']) expect(facts.filter((f) => f.presence.is === is).length).toBeGreaterThan(20);
    for (const f of facts) expect(f.preparationMinutes).toBeLessThanOrEqual(40);
  });
});
