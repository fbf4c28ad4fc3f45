import fontkit from '@pdf-lib/fontkit';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PDFDocument, PDFFont } from 'pdf-lib';
import { missingLetters } from '../../core/print/letters';

type Weight = 400 | 700;
/** Parts of one face in the order in which a letter is looked for; signs that it has not come from a face for mathematics. */
const parts: readonly ((weight: Weight) => string)[] = [
  ...['latin', 'latin-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese'].map(
    (part) => (weight: Weight) => `andika/files/andika-${part}-${weight}-normal.woff`,
  ),
  () => 'noto-sans-math/files/noto-sans-math-latin-400-normal.woff',
];
/** Where the faces are installed, below the directory of packages. */
const faces = 'node_modules/@fontsource';

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
function faceFile(path: string): FaceFile {
  let file = read.get(path);
  if (!file) {
    const bytes = readFileSync(path);
    file = { bytes, letters: new Set(fontkit.create(bytes).characterSet.filter(printable)) };
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
      const file = part(weight);
      const { bytes, letters } = faceFile(join(root, faces, file));
      const useful = [...missing].filter((c) => letters.has(c));
      if (fonts.length > 0 && useful.length === 0) continue;
      const customName = `${tagOf([i, weight, ...used])}+${file.startsWith('andika') ? 'Andika' : 'NotoSansMath'}-${weight === 400 ? 'Regular' : 'Bold'}`;
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
