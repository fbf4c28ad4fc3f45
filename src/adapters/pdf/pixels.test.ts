import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFiumLibrary } from '@hyzyla/pdfium';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Box, text as textBox } from '../../core/print/box';
import { layOut } from '../../core/print/layOut';
import { sheetKinds } from '../../core/print/registry';
import { type SheetPage } from '../../core/print/sheetPage';
import { sheetPdf } from './sheetPdf';
import { usualRequest } from '../../core/print/usualRequest.testing';

// What is on paper is what can be seen there: letters that a reader of text finds may still be blank. Two programs that share
// no code with what wrote the file nor with one another make pictures of it: Poppler, and the engine of Chromium.
const dpi = 100;
const pixelsPerMm = dpi / 25.4;
interface Picture {
  readonly width: number;
  readonly height: number;
  /** From 0 (black) to 255. */
  readonly grey: (x: number, y: number) => number;
}
let place = '';
let pdfium: PDFiumLibrary;
beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'pixels-'));
  pdfium = await PDFiumLibrary.init();
});
afterAll(() => {
  pdfium.destroy();
  rmSync(place, { recursive: true, force: true });
});

function byPoppler(file: Uint8Array, pages: number): Picture[] {
  const path = join(place, 'sheet.pdf');
  writeFileSync(path, file);
  execFileSync('pdftoppm', ['-r', String(dpi), '-gray', path, join(place, 'page')], { stdio: 'ignore' });
  return Array.from({ length: pages }, (_, i) => {
    const bytes = readFileSync(join(place, `page-${String(i + 1).padStart(String(pages).length, '0')}.pgm`));
    const [, w, h] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 40))!.map(Number) as [number, number, number];
    const start = bytes.length - w * h;
    return { width: w, height: h, grey: (x, y) => bytes[start + y * w + x] ?? 255 };
  });
}
async function byChromium(file: Uint8Array): Promise<Picture[]> {
  const document = await pdfium.loadDocument(Buffer.from(file));
  const pictures: Picture[] = [];
  for (const page of document.pages()) {
    const { data, width, height } = await page.render({ scale: dpi / 72, render: 'bitmap' });
    const bytes = Uint8Array.from(data);
    // Four bytes a pixel, the green one stands for grey; what is clear is paper.
    pictures.push({
      width,
      height,
      grey: (x, y) => (bytes[4 * (y * width + x) + 3] === 0 ? 255 : (bytes[4 * (y * width + x) + 1] ?? 255)),
    });
  }
  document.destroy();
  return pictures;
}
const both = async (file: Uint8Array, pages: number): Promise<readonly (readonly [string, Picture[]])[]> => [
  ['Poppler', byPoppler(file, pages)],
  ['Chromium', await byChromium(file)],
];

/** How much lighter the lightest pixel of a box is than the darkest. */
function contrast(picture: Picture, b: Pick<Box, 'x' | 'y' | 'w' | 'h'>): number {
  let [low, high] = [255, 0];
  const [x1, x2] = [b.x, b.x + b.w].map((v) => Math.round(v * pixelsPerMm)) as [number, number];
  const [y1, y2] = [b.y, b.y + b.h].map((v) => Math.round(v * pixelsPerMm)) as [number, number];
  for (let y = y1; y <= y2; y++)
    for (let x = x1; x <= x2; x++) {
      const g = picture.grey(x, y);
      if (g < low) low = g;
      if (g > high) high = g;
    }
  return high - low;
}

describe('signs on paper', () => {
  const signs = [...'√≥≠≤≈±π→←↑↓⇒⋅∙∞∑∠△★✓✗⅓⅔⅛½¼¾‰×÷−ΩΞΔαβθΑΣ∷⩽έάόΝΙΚΟΣйЖńßğ'];
  const page = (words: readonly string[], bold: boolean): SheetPage => ({
    width: 210,
    height: 297,
    side: 'front',
    boxes: words.map((w, i) => textBox(15 + (i % 8) * 22, 15 + Math.floor(i / 8) * 22, 18, 18, w, 26, { bold })),
  });
  const seen = async (pages: readonly SheetPage[]): Promise<void> => {
    for (const [program, pictures] of await both(await sheetPdf('signs', pages, '.'), pages.length))
      pages.forEach((p, i) => {
        for (const b of p.boxes) expect([program, b.text, contrast(pictures[i]!, b) > 90]).toEqual([program, b.text, true]);
      });
  };
  it('are dark in two programs, all together, plain and bold', () => seen([page(signs, false), page(signs, true)]));
  it.each(['√', '≥', '≠', 'π', '→', '⅓', 'έ'])('%s is dark when it is the only one', (sign) => seen([page([sign], true)]));
  it.each([[['≥', '≤']], [['√', '≠', '≥']], [['√49', 'a ≥ b', '5 ≠ 6', 'π ≈ 3', '3 → 4', 'ΝΙΚΟΣ', 'Νίκος']]])(
    '%s are dark beside one another',
    (words) => seen([page(words, false)]),
  );
});

describe('every kind of sheet', () => {
  it('shows each of its words in two programs', async () => {
    const pages = sheetKinds.map((kind) => {
      const laid = layOut(kind, usualRequest);
      if (!laid.ok) throw new Error(laid.problem.message);
      return laid.value.pages[0]!;
    });
    for (const [program, pictures] of await both(await sheetPdf('all', pages, '.'), pages.length))
      pages.forEach((p, i) => {
        for (const b of p.boxes)
          if (b.kind === 'text' && !b.turned && b.text!.trim() !== '')
            expect([program, sheetKinds[i]!.id, b.text, contrast(pictures[i]!, b) > 40]).toEqual([
              program,
              sheetKinds[i]!.id,
              b.text,
              true,
            ]);
      });
  });
});
