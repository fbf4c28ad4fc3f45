import { describe, expect, it } from 'vitest';
import { groupPdf } from './groupPdf';

const sheet = {
  title: 'Lower lamps',
  day: '2026-11-20',
  learners: ['Wren', 'Żuk'],
  skills: ['Make a ten', '½ − ¼'],
  cells: [
    [
      { height: 1, seen: true, next: false },
      { height: 0, seen: false, next: true },
    ],
    [
      { height: 0.5, seen: true, next: true },
      { height: 0.2, seen: false, next: false },
    ],
  ],
  together: [],
};

describe('a group map as PDF', () => {
  it('is a PDF, and the same bytes for the same sheet', async () => {
    const [one, two] = [await groupPdf(sheet), await groupPdf(sheet)];
    expect(new TextDecoder().decode(one.slice(0, 5))).toBe('%PDF-');
    expect(Buffer.compare(one, two)).toBe(0);
    expect(one.length).toBeLessThan(200_000);
  });
});
