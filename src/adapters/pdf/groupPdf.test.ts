import { describe, expect, it } from 'vitest';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument } from 'pdf-lib';
import { Face } from './fontRuns';
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
    const [one, two] = [await groupPdf(sheet, '.'), await groupPdf(sheet, '.')];
    expect(new TextDecoder().decode(one.slice(0, 5))).toBe('%PDF-');
    expect(Buffer.compare(one, two)).toBe(0);
    expect(one.length).toBeLessThan(200_000);
  });
  it('comes on A4 and on US Letter', async () => {
    const size = async (paper: 'a4' | 'letter') => (await PDFDocument.load(await groupPdf({ ...sheet, paper }, '.'))).getPage(0).getSize();
    // ISO 216 and ANSI/ASME Y14.1, in points of 1/72 inch.
    expect((await size('a4')).width).toBeCloseTo((210 / 25.4) * 72, 6);
    expect((await size('letter')).width).toBeCloseTo(8.5 * 72, 6);
    expect((await size('letter')).height).toBeCloseTo(11 * 72, 6);
  });
  it('has the letters of names in Latin, Polish, Cyrillic and Vietnamese, and embeds only the parts it needs', async () => {
    const runs = async (texts: string[]) => {
      const pdf = await PDFDocument.create();
      pdf.registerFontkit(fontkit);
      const face = await Face.of(pdf, '.', 400, texts);
      return texts.map((t) =>
        face
          .runs(t)
          .map((r) => r.text)
          .join('|'),
      );
    };
    expect(await runs(['Wren', 'Łucja', 'Дмитрий', 'Đặng'])).toEqual(['Wren', 'Ł|ucja', 'Дмитрий', expect.not.stringContaining('·')]);
    expect(await runs(['蜂'])).toEqual(['·']);
    const light = await groupPdf({ ...sheet, learners: ['Wren', 'Fern'] }, '.');
    const mixed = await groupPdf({ ...sheet, learners: ['Wren', 'Дмитрий'] }, '.');
    expect(mixed.length).toBeGreaterThan(light.length);
  });
});
