import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { degrees, PDFDocument, type PDFFont, rgb } from 'pdf-lib';
import type { Page } from '../../core/group/groupPages';

const pointsPerMm = 72 / 25.4;
const ink = rgb(0.06, 0.19, 0.17);
const paleInk = rgb(0.55, 0.63, 0.6);
const fontFile = (weight: 400 | 700): Uint8Array =>
  readFileSync(resolve(`node_modules/@fontsource/andika/files/andika-latin-${weight}-normal.woff`));
/** Fixed, so that the same sheet gives the same bytes. */
const noDate = new Date(0);

/** Draws laid-out pages as a PDF with an embedded, very legible font; the same pages give the same bytes. */
export async function drawPages(title: string, pages: readonly Page[]): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const plain = await pdf.embedFont(fontFile(400), { subset: true });
  const bold = await pdf.embedFont(fontFile(700), { subset: true });
  pdf.setTitle(title);
  pdf.setCreationDate(noDate);
  pdf.setModificationDate(noDate);
  for (const page of pages) {
    const sheet = pdf.addPage([page.widthMm * pointsPerMm, page.heightMm * pointsPerMm]);
    const up = (y: number): number => (page.heightMm - y) * pointsPerMm;
    for (const m of page.marks) {
      if (m.kind === 'text') {
        const font = m.bold ? bold : plain;
        sheet.drawText(drawable(m.text, font), {
          x: m.x * pointsPerMm,
          y: up(m.y),
          size: m.size,
          font,
          color: ink,
          ...(m.turned ? { rotate: degrees(m.turned) } : {}),
        });
      } else if (m.kind === 'line')
        sheet.drawLine({
          start: { x: m.x1 * pointsPerMm, y: up(m.y1) },
          end: { x: m.x2 * pointsPerMm, y: up(m.y2) },
          thickness: m.width * pointsPerMm,
          color: m.pale ? paleInk : ink,
        });
      else sheet.drawCircle({ x: m.x * pointsPerMm, y: up(m.y), size: m.radius * pointsPerMm, borderColor: ink, borderWidth: 0.8 });
    }
  }
  return pdf.save();
}

/** Letters that the font does not have become a dot rather than a refusal. */
function drawable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((c) => (known.has(c.codePointAt(0)!) ? c : '·')).join('');
}
