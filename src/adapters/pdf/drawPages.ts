import { degrees, PDFDocument, type PDFPage, rgb } from 'pdf-lib';
import type { Mark, Page } from '../../core/group/groupPages';
import { evenFontkit } from './evenFontkit';
import { Face } from './fontRuns';
import { Tagged } from './tagged';

const pointsPerMm = 72 / 25.4;
const ink = rgb(0.06, 0.19, 0.17);
const paleInk = rgb(0.55, 0.63, 0.6);
/** Fixed, so that the same sheet gives the same bytes. */
const noDate = new Date(0);

type Text = Extract<Mark, { kind: 'text' }>;

/**
 * Draws laid-out pages as a PDF with an embedded, very legible face, falling back over its parts for other scripts; the same
 * pages give the same bytes. `root` is the directory that holds the installed packages.
 */
export async function drawPages(title: string, pages: readonly Page[], root: string): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(evenFontkit);
  const textsOf = (bold: boolean): string[] =>
    pages.flatMap((p) => p.marks.flatMap((m) => (m.kind === 'text' && (m.bold ?? false) === bold ? [m.text] : [])));
  const plain = await Face.of(pdf, root, 400, textsOf(false));
  const bold = await Face.of(pdf, root, 700, textsOf(true));
  pdf.setTitle(title);
  pdf.setLanguage('en');
  pdf.setCreationDate(noDate);
  pdf.setModificationDate(noDate);
  const tagged = new Tagged(pdf);
  for (const [n, page] of pages.entries()) {
    const sheet = pdf.addPage([page.widthMm * pointsPerMm, page.heightMm * pointsPerMm]);
    const up = (y: number): number => (page.heightMm - y) * pointsPerMm;
    tagged.begin(sheet);
    for (const [i, m] of page.marks.entries()) {
      if (m.kind === 'text') tagged.read(n + i === 0 ? 'H1' : 'P', m.text, () => drawText(sheet, m, m.bold ? bold : plain, up(m.y)));
      else if (m.kind === 'line')
        tagged.decorate(() =>
          sheet.drawLine({
            start: { x: m.x1 * pointsPerMm, y: up(m.y1) },
            end: { x: m.x2 * pointsPerMm, y: up(m.y2) },
            thickness: m.width * pointsPerMm,
            color: m.pale ? paleInk : ink,
          }),
        );
      else
        tagged.decorate(() =>
          sheet.drawCircle({ x: m.x * pointsPerMm, y: up(m.y), size: m.radius * pointsPerMm, borderColor: ink, borderWidth: 0.8 }),
        );
    }
  }
  tagged.end();
  return pdf.save();
}

/** Run after run along the line, which may be turned. */
function drawText(sheet: PDFPage, m: Text, face: Face, y: number): void {
  const angle = ((m.turned ?? 0) * Math.PI) / 180;
  let along = 0;
  for (const run of face.runs(m.text)) {
    sheet.drawText(run.text, {
      x: m.x * pointsPerMm + along * Math.cos(angle),
      y: y + along * Math.sin(angle),
      size: m.size,
      font: run.font,
      color: ink,
      ...(m.turned ? { rotate: degrees(m.turned) } : {}),
    });
    along += run.font.widthOfTextAtSize(run.text, m.size);
  }
}
