import { describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { sheetRequest } from '../../contract/sheetRequest';
import { type Box, shift } from './box';
import { layOut } from './layOut';
import { sheetKinds } from './registry';
import type { SheetPage } from './sheetPage';

function laid(sheet: string, more: object = {}) {
  const asked = sheetRequest({ sheet, duplex: 'long', ...more }, asWritten);
  if (!asked.ok) throw new Error(asked.problem.message);
  return layOut(asked.value.kind, asked.value.request);
}
function pagesOf(sheet: string, more: object = {}): readonly SheetPage[] {
  const result = laid(sheet, more);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value.pages;
}
/** What stands on each piece, from its own upper left corner, in the order in which they lie. */
const piecesOn = (pages: readonly SheetPage[], side: SheetPage['side']): Box[][] =>
  pages
    .filter((p) => p.side === side)
    .flatMap((p) => {
      const starts = p.boxes.flatMap((b, i) => (b.kind === 'card' ? [i] : []));
      return starts.map((from, i) => {
        const card = p.boxes[from]!;
        const to = starts[i + 1] ?? p.boxes.findIndex((b, j) => j > from && (b.kind === 'cut' || (b.frame && b.y > 280)));
        return shift(p.boxes.slice(from, to < 0 ? undefined : to), -card.x, -card.y);
      });
    });
const rounded = (boxes: readonly Box[]): unknown =>
  JSON.parse(JSON.stringify(boxes), (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 100) / 100 : v));

describe('the missing pieces of a set', () => {
  const cut = sheetKinds.filter((k) => {
    const result = laid(k.id);
    return result.ok && result.value.pages.some((p) => p.boxes.some((b) => b.kind === 'card'));
  });
  it.each(cut.map((k) => k.id))('of %s are the very ones that were lost, on both sides', (id) => {
    const all = pagesOf(id);
    const whole = piecesOn(all, 'front');
    const numbers = [...new Set([1, Math.ceil(whole.length / 2), whole.length])];
    const some = pagesOf(id, { only: [...numbers].reverse() });
    expect(rounded(piecesOn(some, 'front').flat())).toEqual(rounded(numbers.flatMap((n) => whole[n - 1]!)));
    const backs = piecesOn(all, 'back');
    if (backs.length === whole.length)
      expect(rounded(piecesOn(some, 'back').flat())).toEqual(rounded(numbers.flatMap((n) => backs[n - 1]!)));
    expect(some.filter((p) => p.side === 'front').length).toBeLessThanOrEqual(numbers.length);
  });
  it('are printed as often as asked, and counted', () => {
    const result = laid('number-cards', { only: [3, 7], copies: 2 });
    expect(result).toMatchObject({ ok: true, value: { pieces: 4, sheets: 1 } });
    const [page] = pagesOf('number-cards', { only: [3, 7] });
    expect(page!.boxes.map((b) => b.text).filter((t) => t?.includes('missing pieces'))).toHaveLength(1);
  });
  it('are refused in words where there are none of that number, none are ticked, or nothing is cut out', () => {
    expect(laid('number-cards', { only: [40, 41] })).toMatchObject({
      ok: false,
      problem: { field: 'only', message: expect.stringMatching(/40 pieces.*number 41/) },
    });
    expect(laid('number-cards', { only: [40] }).ok).toBe(true);
    expect(laid('number-cards', { only: [] })).toMatchObject({ ok: false, problem: { field: 'only' } });
    expect(laid('score-sheet', { only: [1] })).toMatchObject({
      ok: false,
      problem: { message: expect.stringMatching(/Nothing is cut out/) },
    });
  });
});
