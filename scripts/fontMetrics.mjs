import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

/** Writes `src/core/print/fontMetrics.ts` from the bundled faces; a test holds the two together. */
const fontkit = createRequire(import.meta.url)('@pdf-lib/fontkit');
const andika = (part, weight) => `node_modules/@fontsource/andika/files/andika-${part}-${weight}-normal.woff`;
const parts = ['latin', 'latin-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese'];
const second = (weight) => `node_modules/dejavu-fonts-ttf/ttf/DejaVuSans${weight === 700 ? '-Bold' : ''}.ttf`;
/** As `src/core/print/secondFace.ts` has it. */
const spans = [...readFileSync('src/core/print/secondFace.ts', 'utf8').matchAll(/\[(0x[\da-f]+), (0x[\da-f]+)\]/g)].map((m) => [
  Number(m[1]),
  Number(m[2]),
]);
const math = 'node_modules/@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff';
const open = (file) => fontkit.create(readFileSync(file));

/** Thousandths of an em by letter. */
function widthsOf(files) {
  const widths = new Map();
  for (const file of files) {
    const font = open(file);
    for (const c of font.characterSet) {
      if (file.includes('DejaVu') && !spans.some(([first, last]) => c >= first && c <= last)) continue;
      if (!widths.has(c)) widths.set(c, Math.round((font.glyphForCodePoint(c).advanceWidth / font.unitsPerEm) * 1000));
    }
  }
  return widths;
}
const plain = widthsOf([...parts.map((p) => andika(p, 400)), second(400), math]);
const bold = widthsOf([...parts.map((p) => andika(p, 700)), second(700), math]);

/** Hebrew and Arabic run from right to left and join: a face that has single letters of them for formulas cannot write words. */
const needsShaping = (c) => c >= 0x590 && c <= 0x8ff;

/** Letters in runs without a gap: where each begins, then the widths. */
function runs(widths) {
  const codes = [...widths.keys()].filter((c) => c >= 32 && c <= 0x2fff && !needsShaping(c)).sort((a, b) => a - b);
  const found = [];
  for (const c of codes) {
    const last = found.at(-1);
    if (last && last[0] + last.length - 1 === c) last.push(widths.get(c));
    else found.push([c, widths.get(c)]);
  }
  return found;
}
writeFileSync(
  'src/core/print/fontMetrics.ts',
  `/**
 * Widths of letters in thousandths of an em, in runs of [first letter, widths …]: Andika, then DejaVu Sans and the mathematical face
 * for what it has not. Made by scripts/fontMetrics.mjs from the bundled files; do not edit.
 */
export const plainWidths: readonly (readonly number[])[] = ${JSON.stringify(runs(plain))};

export const boldWidths: readonly (readonly number[])[] = ${JSON.stringify(runs(bold))};
`,
);
