import { degrees, LineCapStyle, PDFDocument, type PDFPage, type RGB, rgb } from 'pdf-lib';
import { baselineOf, type Box, type Tone } from '../../core/print/box';
import type { SheetPage } from '../../core/print/sheetPage';
import { tones } from '../../core/print/tones';
import { evenFontkit } from './evenFontkit';
import { Face } from './fontRuns';
import { Tagged } from './tagged';

const pointsPerMm = 72 / 25.4;
/** Fixed, so that the same sheet gives the same bytes. */
const noDate = new Date(0);

const colours = new Map<Tone, RGB>();
function colourOf(tone: Tone): RGB {
  let found = colours.get(tone);
  if (!found) {
    const n = Number.parseInt(tones[tone].slice(1), 16);
    found = rgb((n >> 16) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255);
    colours.set(tone, found);
  }
  return found;
}

/**
 * Draws laid-out sheets, true to the millimetre, with embedded subset faces; the same sheets give the same bytes. `root` is the
 * directory that holds the installed packages.
 */
export async function sheetPdf(title: string, pages: readonly SheetPage[], root: string): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(evenFontkit);
  const textsOf = (bold: boolean): string[] => [
    ...new Set(pages.flatMap((p) => p.boxes.flatMap((b) => (b.text !== undefined && (b.bold ?? false) === bold ? [b.text] : [])))),
  ];
  const [plainTexts, boldTexts] = [textsOf(false), textsOf(true)];
  const plain = plainTexts.length > 0 ? await Face.of(pdf, root, 400, plainTexts) : null;
  const bold = boldTexts.length > 0 ? await Face.of(pdf, root, 700, boldTexts) : null;
  pdf.setTitle(title);
  pdf.setLanguage('en');
  pdf.setCreationDate(noDate);
  pdf.setModificationDate(noDate);
  const tagged = new Tagged(pdf);
  // The largest words of the first page are what the paper is called.
  const [first] = pages;
  const largest = first?.boxes.reduce<Box | null>((best, b) => (b.kind === 'text' && b.size! > (best?.size ?? 0) ? b : best), null);
  for (const page of pages) {
    const sheet = pdf.addPage([page.width * pointsPerMm, page.height * pointsPerMm]);
    tagged.begin(sheet);
    for (const b of page.boxes) {
      if (b.kind !== 'text') tagged.decorate(() => drawShape(sheet, b, page.height));
      else tagged.read(b === largest ? 'H1' : 'P', b.text!, () => drawText(sheet, b, (b.bold ? bold : plain)!, page.height));
    }
  }
  tagged.end();
  return pdf.save();
}

function drawShape(sheet: PDFPage, b: Box, height: number): void {
  if (!b.fill && !b.line) return;
  const style = {
    ...(b.fill ? { color: colourOf(b.fill) } : {}),
    ...(b.line ? { borderColor: colourOf(b.line), borderWidth: (b.width ?? 0.3) * pointsPerMm } : {}),
    ...(b.dashed ? { borderDashArray: [1.4 * pointsPerMm, 1 * pointsPerMm] } : {}),
  };
  if (b.kind === 'rect')
    sheet.drawRectangle({
      x: b.x * pointsPerMm,
      y: (height - b.y - b.h) * pointsPerMm,
      width: b.w * pointsPerMm,
      height: b.h * pointsPerMm,
      ...style,
    });
  else if (b.kind === 'ellipse')
    sheet.drawEllipse({
      x: (b.x + b.w / 2) * pointsPerMm,
      y: (height - b.y - b.h / 2) * pointsPerMm,
      xScale: (b.w / 2) * pointsPerMm,
      yScale: (b.h / 2) * pointsPerMm,
      ...style,
    });
  else if (b.points) {
    const at = b.points.map(([x, y]) => `${(x * pointsPerMm).toFixed(3)} ${(y * pointsPerMm).toFixed(3)}`);
    // Paths count downward from the upper edge of the paper.
    sheet.drawSvgPath(`M ${at.join(' L ')}${b.closed ? ' Z' : ''}`, {
      x: 0,
      y: height * pointsPerMm,
      borderLineCap: LineCapStyle.Butt,
      ...style,
    });
  }
}

/** Run after run along the line, which may be turned about the middle of its box. */
function drawText(sheet: PDFPage, b: Box, face: Face, height: number): void {
  const size = b.size!;
  const runs = face.runs(b.text!);
  const wide = runs.reduce((sum, r) => sum + r.font.widthOfTextAtSize(r.text, size), 0) / pointsPerMm;
  const align = b.align ?? 'middle';
  let x = align === 'start' ? b.x : align === 'end' ? b.x + b.w - wide : b.x + (b.w - wide) / 2;
  const y = baselineOf({ ...b, size });
  const turned = b.turned ?? 0;
  const a = (turned * Math.PI) / 180;
  const [cx, cy] = [b.x + b.w / 2, b.y + b.h / 2];
  for (const run of runs) {
    const [dx, dy] = [x - cx, y - cy];
    sheet.drawText(run.text, {
      x: (cx + dx * Math.cos(a) - dy * Math.sin(a)) * pointsPerMm,
      y: (height - (cy + dx * Math.sin(a) + dy * Math.cos(a))) * pointsPerMm,
      size,
      font: run.font,
      color: colourOf(b.fill ?? 'ink'),
      ...(turned ? { rotate: degrees(-turned) } : {}),
    });
    x += run.font.widthOfTextAtSize(run.text, size) / pointsPerMm;
  }
}
