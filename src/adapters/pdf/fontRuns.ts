import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PDFDocument, PDFFont } from 'pdf-lib';
import { missingLetters } from '../../core/print/letters';
import { fromSecondFace } from '../../core/print/secondFace';
import { evenFontkit } from './evenFontkit';

type Weight = 400 | 700;
interface Part {
  readonly name: string;
  /** Its file below the directory of packages. */
  readonly file: (weight: Weight) => string;
}
/**
 * Parts of one face in the order in which a letter is looked for; Greek and written fractions, which it has not, come from a
 * second face, signs from one for mathematics. `scripts/fontMetrics.mjs` has the same order.
 */
const parts: readonly Part[] = [
  ...['latin', 'latin-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese'].map((part) => ({
    name: 'Andika',
    file: (weight: Weight) => `@fontsource/andika/files/andika-${part}-${weight}-normal.woff`,
  })),
  { name: 'DejaVuSans', file: (weight) => `dejavu-fonts-ttf/ttf/DejaVuSans${weight === 700 ? '-Bold' : ''}.ttf` },
  { name: 'NotoSansMath', file: () => '@fontsource/noto-sans-math/files/noto-sans-math-latin-400-normal.woff' },
];

/** Six capitals that say a face is embedded in part (ISO 32000-1, 9.6.4); the same letters give the same ones. */
function tagOf(letters: readonly number[]): string {
  let hash = 2166136261;
  for (const c of letters) hash = Math.imul(hash ^ c, 16777619) >>> 0;
  return Array.from({ length: 6 }, () => {
    const letter = String.fromCharCode(65 + (hash % 26));
    hash = Math.floor(hash / 26) ^ (hash << 3);
    hash >>>= 0;
    return letter;
  }).join('');
}

/** What layouts reckon with: a face may have single letters of a script that it cannot write. */
const printable = (c: number): boolean => missingLetters(String.fromCodePoint(c)).length === 0;

interface FaceFile {
  readonly bytes: Uint8Array;
  readonly letters: ReadonlySet<number>;
}
/** The files of faces with the letters they can write: they are the same for every sheet. */
const read = new Map<string, FaceFile>();
function faceFile(path: string, name: string): FaceFile {
  let file = read.get(path);
  if (!file) {
    const bytes = readFileSync(path);
    const own = evenFontkit.create(bytes).characterSet.filter(printable);
    file = { bytes, letters: new Set(name === 'DejaVuSans' ? own.filter(fromSecondFace) : own) };
    read.set(path, file);
  }
  return file;
}

/** A face that embeds only the parts a document needs. */
export class Face {
  private constructor(private readonly fonts: readonly { readonly font: PDFFont; readonly letters: ReadonlySet<number> }[]) {}

  /** Embeds the parts that the texts need; the first always, for digits and signs. `root` holds the installed packages. */
  static async of(pdf: PDFDocument, root: string, weight: Weight, texts: readonly string[]): Promise<Face> {
    const fonts: { font: PDFFont; letters: ReadonlySet<number> }[] = [];
    const missing = new Set(texts.flatMap((t) => [...t].map((c) => c.codePointAt(0)!)));
    const used = [...missing].sort((a, b) => a - b);
    for (const [i, part] of parts.entries()) {
      if (fonts.length > 0 && missing.size === 0) break;
      const { bytes, letters } = faceFile(join(root, 'node_modules', part.file(weight)), part.name);
      const useful = [...missing].filter((c) => letters.has(c));
      if (fonts.length > 0 && useful.length === 0) continue;
      const customName = `${tagOf([i, weight, ...used])}+${part.name}-${weight === 400 ? 'Regular' : 'Bold'}`;
      const font = await pdf.embedFont(bytes, { subset: true, customName });
      for (const c of useful) missing.delete(c);
      fonts.push({ font, letters });
    }
    return new Face(fonts);
  }

  /** The text in runs of one font each; letters that no part has become a dot rather than a refusal. */
  runs(text: string): { readonly font: PDFFont; readonly text: string }[] {
    const found: { font: PDFFont; text: string }[] = [];
    for (const c of text) {
      const own = this.fonts.find((f) => f.letters.has(c.codePointAt(0)!));
      const font = (own ?? this.fonts[0]!).font;
      const letter = own ? c : '·';
      const last = found.at(-1);
      if (last?.font === font) last.text += letter;
      else found.push({ font, text: letter });
    }
    return found;
  }
}
