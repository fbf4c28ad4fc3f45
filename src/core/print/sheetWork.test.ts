import { describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById } from '../mechanisms/registry';
import { preparationOf, versionFacts } from '../mechanisms/versionFacts';
import { layOut } from './layOut';
import { sheetKinds } from './registry';
import { preparationFor, workOf } from './sheetWork';

const work = (sheet: string, data: object, copies = 1) =>
  preparationFor([{ sheet, copies, data: data as Record<string, unknown> }], asWritten);

describe('what has to be made', () => {
  it('takes longer the more pieces there are, and nothing where there is nothing to print', () => {
    expect(preparationFor([], asWritten)).toEqual([]);
    expect(work('slot-row', {}, 0)).toEqual([]);
    expect(work('no-such-sheet', {})).toEqual([]);
    const minutes = (cards: number): number => work('chain-cards', { cards, highest: 100 }).reduce((sum, s) => sum + s.minutes, 0);
    expect(minutes(36)).toBeGreaterThan(minutes(12));
    expect(work('chain-cards', { cards: 16 }).map((s) => [s.sort, s.what])).toEqual([
      ['print', '2 pages: chain cards'],
      ['cut', '16 pieces: chain cards'],
      ['bag', ''],
    ]);
    // A board is printed and not cut.
    expect(work('track-board', {}).map((s) => s.sort)).toEqual(['print']);
  });
  it('is none where the desk would refuse it', () => {
    expect(work('number-cards', { low: 9, high: 2 })).toEqual([]);
    expect(work('track-board', { start: 0, end: 900 })).toEqual([]);
  });
  it('is counted as it is laid out', () => {
    for (const kind of sheetKinds) {
      const counted = workOf({ sheet: kind.id, copies: 2, data: {} }, asWritten)!;
      const asked = {
        parameters: {},
        paper: asWritten.paper,
        seed: 1,
        ink: 'colour',
        duplex: 'none',
        copies: 2,
        form: 'usual',
        mark: 'none',
        gutter: 0,
        label: '',
        country: asWritten,
      } as const;
      const laid = layOut(kind, asked);
      if (!laid.ok) throw new Error(laid.problem.message);
      expect([kind.id, counted.sheets, counted.cuts]).toEqual([kind.id, laid.value.sheets, laid.value.cuts]);
      if (counted.pieces > 0) expect([kind.id, counted.pieces]).toEqual([kind.id, laid.value.pieces]);
    }
  });
  it('asks for no cards to be cut that a usual deck has', () => {
    const m = mechanismById('compare-cards')!;
    expect(preparationOf(m, {}, 3, asWritten)).toEqual([]);
    expect(preparationOf(m, { lowest: -10 }, 3, asWritten).map((s) => s.sort)).toEqual(['print', 'cut', 'bag']);
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
