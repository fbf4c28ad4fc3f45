import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coveragePages, type PrintedStandard } from './coveragePages';
import { coverageStates } from './standardsCovered';

const standard = (i: number, more: Partial<PrintedStandard> = {}): PrintedStandard => ({
  code: `K.CC.A.${i}`,
  band: 'K',
  statement: `Count things number ${i}`,
  state: 'none',
  best: '',
  ready: 0,
  ...more,
});
const textOf = (pages: ReturnType<typeof coveragePages>, page: number): string =>
  pages[page]!.marks.map((m) => (m.kind === 'text' ? m.text : '')).join('\n');

describe('coverage on two pages', () => {
  it('counts every state and says what the letters mean', () => {
    const pages = coveragePages({
      title: 'US style',
      day: '2026-11-29',
      compared: 2,
      standards: [standard(1), standard(2, { state: 'there' }), standard(3, { state: 'seen', band: '1' })],
    });
    expect(textOf(pages, 0)).toContain('2 of 3 expectations have a game');
    expect(textOf(pages, 0)).toContain('– no game (1)');
    expect(textOf(pages, 0)).toContain('K  1/2');
    expect(textOf(pages, 0)).toContain('n K.CC.A.3');
    expect(textOf(pages, 1)).toContain('Without a game: 1');
    expect(textOf(pages, 1)).toContain('2 of 3 codes were compared');
  });
  it('puts those first for which most children are ready', () => {
    const pages = coveragePages({
      title: 'x',
      day: 'd',
      compared: null,
      standards: [standard(1), standard(2, { ready: 3 }), standard(3, { ready: 1 })],
    });
    const told = textOf(pages, 1);
    expect(told.indexOf('number 2')).toBeLessThan(told.indexOf('number 3'));
    expect(told.indexOf('number 3')).toBeLessThan(told.indexOf('number 1'));
    expect(told).toContain('3 children are ready');
  });
  it('is two pages and stays inside its margins, however many there are and however long they are', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            code: fc.string({ maxLength: 40 }),
            band: fc.constantFrom('K', '1', '2', '3', '4', '5', '6'),
            statement: fc.string({ maxLength: 400 }),
            state: fc.constantFrom(...coverageStates),
            best: fc.string(),
            ready: fc.nat(40),
          }),
          { maxLength: 300 },
        ),
        fc.constantFrom('a4' as const, 'letter' as const),
        (standards, paper) => {
          const pages = coveragePages({ title: 't'.repeat(200), day: '2026-11-29', paper, standards, compared: 0 });
          expect(pages).toHaveLength(2);
          for (const p of pages)
            for (const m of p.marks)
              if (m.kind === 'text') {
                expect(m.x).toBeGreaterThanOrEqual(14);
                expect(m.y).toBeLessThanOrEqual(p.heightMm - 10);
                expect(m.text.length * m.size * 0.19).toBeLessThanOrEqual(p.widthMm - 14 - m.x + m.size);
              }
        },
      ),
      { numRuns: 40 },
    );
  });
});
