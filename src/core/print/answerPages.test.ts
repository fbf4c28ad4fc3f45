import { describe, expect, it } from 'vitest';
import { layOut, type SheetLayout } from './layOut';
import { sheetKinds } from './registry';
import type { SheetRequest } from './sheetPage';
import { usualRequest } from './usualRequest.testing';

const usual: SheetRequest = { ...usualRequest, mark: 'kite', label: 'Lamps' };
const laid = (kind: (typeof sheetKinds)[number], more: Partial<SheetRequest> = {}): SheetLayout => {
  const result = layOut(kind, { ...usual, ...more });
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};
const wordsOf = (pages: SheetLayout['pages']): string => pages.flatMap((p) => p.boxes.flatMap((b) => b.text ?? [])).join(' ');
/** Backs on which something stands beside frames and the mark of a range. */
const saysOnBacks = (s: SheetLayout): boolean =>
  wordsOf(s.pages.filter((p) => p.side === 'back' && p.boxes.some((b) => b.kind === 'card'))) !== '';

describe('answers on paper', () => {
  it.each(sheetKinds.map((k) => [k.id, k] as const))(
    'of %s come either on backs or on pages of their own, and on one of them',
    (_, kind) => {
      const [alone, backed] = [laid(kind), laid(kind, { duplex: 'long' })];
      // Backs of whole pages are printed however cards are backed.
      // Pieces of a board carry nothing but their number on the back.
      if (kind.id === 'number-board') return expect(alone.answers).toEqual([]);
      const always = alone.pages.some((page) => page.side === 'back');
      if (always) return expect(backed.pages.some((page) => page.side === 'back')).toBe(true);
      const hasAnswers = alone.key !== null || saysOnBacks(backed);
      if (hasAnswers) expect(alone.answers.length).toBeGreaterThan(0);
      if (saysOnBacks(backed)) expect(backed.answers).toEqual([]);
      else if (alone.key) expect(backed.answers.length).toBeGreaterThan(0);
      for (const line of alone.key ?? [])
        expect(wordsOf(alone.answers).replace(/\s+/g, '')).toContain(line.split(' ').slice(0, 3).join('').slice(0, 12));
      expect(laid(kind, { form: 'blank' }).answers).toEqual([]);
      if (hasAnswers) expect(wordsOf(alone.answers)).toMatch(/Answers|answers/);
    },
  );
  it('of strips and halves, which no words tell, are their backs', () => {
    for (const id of ['pattern-strips', 'mirror-cards']) {
      const sheet = laid(sheetKinds.find((k) => k.id === id)!);
      expect([id, sheet.key, sheet.answers.length > 0]).toEqual([id, null, true]);
      expect(sheet.answers[0]!.boxes.filter((b) => b.kind === 'card').length).toBeGreaterThan(3);
    }
  });
});
