import { describe, expect, it } from 'vitest';
import { groupPages, type GroupSheet } from './groupPages';

const cell = (height: number, seen = true, next = false) => ({ height, seen, next });
const sheet = (skills: number): GroupSheet => ({
  title: 'Lower lamps',
  day: '2026-11-20',
  learners: ['Wren', 'Moth'],
  skills: Array.from({ length: skills }, (_, i) => `Skill ${i + 1}`),
  cells: [0, 1].map(() => Array.from({ length: skills }, (_, i) => cell(i / skills, i % 2 === 0, i === 0))),
  together: [{ game: 'Two Lamps', seats: ['Wren for “pairs of ten”', 'Moth for “make a ten”'] }],
});

describe('printed pages of a group', () => {
  it('draws every skill once and keeps everything on the paper', () => {
    const pages = groupPages(sheet(90));
    expect(pages.length).toBe(4);
    const texts = pages.flatMap((p) => p.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])));
    for (let i = 2; i <= 90; i++) expect(texts.filter((t) => t === `Skill ${i}`).length).toBe(1);
    for (const p of pages)
      for (const m of p.marks) {
        const [x, y] = m.kind === 'line' ? [m.x2, m.y2] : [m.x, m.y];
        expect([x >= 0 && x <= p.widthMm, y >= 0 && y <= p.heightMm]).toEqual([true, true]);
      }
  });
  it('sets upright arms upright and flat ones flat', () => {
    const lines = groupPages({ ...sheet(1), cells: [[cell(1)], [cell(0, false)]] })[0]!.marks.filter(
      (m) => m.kind === 'line' && m.width > 0.2,
    );
    const [up, flat] = lines as { x1: number; x2: number; y1: number; y2: number; pale: boolean }[];
    expect(up!.x2).toBeCloseTo(up!.x1, 6);
    expect(up!.y2).toBeLessThan(up!.y1);
    expect([flat!.y2, flat!.pale]).toEqual([flat!.y1, true]);
  });
  it('says so when nobody is ready for the same', () => {
    expect(JSON.stringify(groupPages({ ...sheet(3), together: [] }))).toContain('Nobody is ready');
  });
});
