import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asWritten, countries } from '../../contract/countries';
import { capHeight, text as textBox } from '../../core/print/box';
import { layOut, type SheetLayout } from '../../core/print/layOut';
import { type SheetPage, type SheetRequest } from '../../core/print/sheetPage';
import { missingLetters, textWidth } from '../../core/print/letters';
import { blankEdge, paperIds, papers } from '../../core/print/paper';
import { sheetKindById, sheetKinds } from '../../core/print/registry';
import { sheetPdf } from './sheetPdf';

// Read back with Poppler's tools, which share no code with what wrote the files.
const pointsPerMm = 72 / 25.4;
const dpi = 150;
const mmOf = (pixels: number): number => (pixels / dpi) * 25.4;
let place = '';
beforeAll(() => (place = mkdtempSync(join(tmpdir(), 'sheets-'))));
afterAll(() => rmSync(place, { recursive: true, force: true }));

function poppler(tool: string, ...args: string[]): string {
  try {
    return execFileSync(tool, args, { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024, stdio: ['ignore', 'pipe', 'ignore'] });
  } catch (e) {
    throw new Error(`${tool} of poppler-utils is needed to read sheets back; npm test installs it where it may (${String(e)})`, {
      cause: e,
    });
  }
}
const usual: SheetRequest = {
  parameters: {},
  paper: 'a4',
  seed: 41,
  ink: 'colour',
  duplex: 'long',
  copies: 1,
  form: 'usual',
  mark: 'lamp',
  gutter: 0,
  label: 'Sheet of checks',
  country: asWritten,
};
function laid(id: string, more: Partial<SheetRequest> = {}): SheetLayout {
  const result = layOut(sheetKindById(id)!, { ...usual, ...more });
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
}
async function written(name: string, pages: readonly SheetPage[]): Promise<string> {
  const file = join(place, `${name}.pdf`);
  writeFileSync(file, await sheetPdf(name, pages, '.'));
  return file;
}

/** A grey picture of a page: bytes from 0 (black) to 255. */
function pictureOf(file: string): { width: number; height: number; at: (x: number, y: number) => number } {
  const bytes = readFileSync(file);
  const [, width, height] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 40))!.map(Number) as [number, number, number];
  const start = bytes.length - width * height;
  return { width, height, at: (x, y) => bytes[start + y * width + x]! };
}

describe.each(paperIds)('sheets on %s, read back by another program', (paper) => {
  const { w, h } = papers[paper];
  const kinds = sheetKinds.map((k) => ({ id: k.id, pages: laid(k.id, { paper }).pages }));
  let file = '';
  beforeAll(async () => {
    file = await written(
      `all-${paper}`,
      kinds.map((k) => k.pages[0]!),
    );
    poppler('pdftoppm', '-r', String(dpi), '-gray', file, join(place, `p-${paper}`));
  });
  const page = (i: number): string => join(place, `p-${paper}-${String(i + 1).padStart(String(kinds.length).length, '0')}.pgm`);

  it('have the size of the paper, to a point', () => {
    const sizes = [...poppler('pdfinfo', '-f', '1', '-l', String(kinds.length), file).matchAll(/Page +\d+ size: +([\d.]+) x ([\d.]+)/g)];
    expect(sizes.length).toBe(kinds.length);
    for (const [, pw, ph] of sizes) {
      expect(Math.abs(Number(pw) - w * pointsPerMm)).toBeLessThan(1);
      expect(Math.abs(Number(ph) - h * pointsPerMm)).toBeLessThan(1);
    }
  });
  it('embed every face, as the part of it that is used', () => {
    const fonts = poppler('pdffonts', file).trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThan(1);
    for (const line of fonts) expect(line).toMatch(/^[A-Z]{6}\+.* yes yes yes /);
  });
  it('are tagged: what is read aloud comes in order, in English, and the paper is called by its largest words', () => {
    expect(poppler('pdfinfo', file)).toMatch(/Tagged: +yes/);
    const tree = poppler('pdfinfo', '-struct-text', file);
    expect(tree.match(/^ *Sect/gm)?.length).toBe(kinds.length);
    expect(tree.match(/^ *H1/gm)?.length).toBe(1);
    const words = kinds[0]!.pages[0]!.boxes.flatMap((b) => (b.text ? [b.text] : []));
    expect(tree.match(/^ *(P|H1)/gm)!.length).toBeGreaterThan(words.length);
  });
  it('hold their words, so that a reader finds them', () => {
    kinds.forEach((k, i) => {
      const text = poppler('pdftotext', '-f', String(i + 1), '-l', String(i + 1), file, '-').replace(/\s+/g, '');
      expect(text).not.toContain('\uFFFD');
      const asked = k.pages[0]!.boxes.flatMap((b) => (b.text && !b.turned ? [b.text.replace(/\s+/g, '')] : []));
      for (const words of asked.slice(0, 6)) expect([k.id, words, text.includes(words)]).toEqual([k.id, words, true]);
    });
  });
  it('leave five millimetres at every edge white', () => {
    const edge = Math.floor((blankEdge / 25.4) * dpi) - 1;
    kinds.forEach((k, i) => {
      const picture = pictureOf(page(i));
      expect(Math.abs(mmOf(picture.width) - w)).toBeLessThan(0.3);
      let dark = 0;
      for (let y = 0; y < picture.height; y++)
        for (let x = 0; x < picture.width; x++)
          if ((x < edge || y < edge || x >= picture.width - edge || y >= picture.height - edge) && picture.at(x, y) < 250) dark++;
      expect([k.id, dark]).toEqual([k.id, 0]);
    });
  });
  it('show the marks to cut at where the cards end, to three tenths of a millimetre', () => {
    let sheets = 0;
    kinds.forEach((k, i) => {
      const marks = k.pages[0]!.boxes.filter((b) => b.kind === 'cut' && b.w === 0);
      if (marks.length === 0) return;
      sheets++;
      const top = Math.min(...marks.map((b) => b.y));
      const wanted = [...new Set(marks.map((b) => b.x))].sort((a, b) => a - b);
      const picture = pictureOf(page(i));
      const row = Math.round(((top + 1.5) / 25.4) * dpi);
      const found: number[] = [];
      for (let x = 0; x < picture.width; x++) {
        if (picture.at(x, row) > 200) continue;
        const from = x;
        while (picture.at(x, row) <= 200) x++;
        found.push(mmOf((from + x) / 2));
      }
      expect([k.id, found.length]).toEqual([k.id, wanted.length]);
      wanted.forEach((x, n) => expect(Math.abs(found[n]! - x), `${k.id} mark ${n}`).toBeLessThan(0.3));
    });
    expect(sheets).toBeGreaterThan(20);
  });
});

describe('a sheet on paper', () => {
  it('has each answer on the back of its own question, turned about either edge, to half a millimetre', async () => {
    for (const duplex of ['long', 'short'] as const) {
      const sheet = laid('call-cards', { duplex, parameters: { operation: 'multiply', low: 2, high: 5 } });
      const file = await written(`back-${duplex}`, sheet.pages.slice(0, 2));
      const words = (page: number): { x: number; y: number; text: string }[] =>
        [
          ...poppler('pdftotext', '-bbox', '-f', String(page), '-l', String(page), file, '-').matchAll(
            /xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">([^<]+)</g,
          ),
        ].map((m) => ({
          x: (Number(m[1]) + Number(m[3])) / 2 / pointsPerMm,
          y: (Number(m[2]) + Number(m[4])) / 2 / pointsPerMm,
          text: m[5]!,
        }));
      const cards = sheet.pages[0]!.boxes.filter((b) => b.kind === 'card');
      const { w, h } = papers.a4;
      const back = words(2);
      for (const [n, card] of cards.entries()) {
        const [cx, cy] = [card.x + card.w / 2, card.y + card.h / 2];
        const [bx, by] = duplex === 'long' ? [w - cx, cy] : [cx, h - cy];
        const answer = sheet.key![n]!.split(' = ')[1]!;
        const near = back
          .filter((word) => word.text === answer)
          .sort((p, q) => Math.hypot(p.x - bx, p.y - by) - Math.hypot(q.x - bx, q.y - by))[0]!;
        // Across the card the answer stands in the middle; up and down a box of letters has room for those that hang.
        expect(Math.abs(near.x - bx), `${duplex} ${answer}`).toBeLessThan(0.5);
        expect(Math.abs(near.y - by), `${duplex} ${answer}`).toBeLessThan(4);
      }
    }
  });
  it('has the same bytes every time, and only those', async () => {
    const { pages } = laid('target-cards');
    const [one, two] = [await sheetPdf('a', pages, '.'), await sheetPdf('a', pages, '.')];
    expect(Buffer.from(one).equals(Buffer.from(two))).toBe(true);
    const other = await sheetPdf('a', laid('target-cards', { seed: 99 }).pages, '.');
    expect(Buffer.from(one).equals(Buffer.from(other))).toBe(false);
  });
  it('prints other alphabets and the signs of mathematics', async () => {
    const file = await written('signs', laid('number-cards', { label: 'Żuk Ёж ½ √ ≤ ≥ ≠ × ÷ −' }).pages.slice(0, 1));
    const text = poppler('pdftotext', file, '-');
    for (const sign of ['Żuk', 'Ёж', '√', '≤', '≥', '≠', '×', '÷', '−']) expect(text).toContain(sign);
  });
  it('puts dots for letters of a script that no face can write, and no single letters of it', async () => {
    const name = textBox(20, 20, 60, 10, 'باب', 20);
    const file = await written('script', [{ width: 210, height: 297, side: 'front', boxes: [name] }]);
    expect(poppler('pdftotext', file, '-').trim()).toBe('···');
  });
  it('has money of the country it is made for', async () => {
    for (const country of countries) {
      const sheet = laid('play-money', { country, paper: country.paper });
      const text = poppler('pdftotext', await written(`money-${country.id}`, sheet.pages), '-');
      expect(text).toContain(country.id === 'uk' ? '50p' : '10¢');
      expect(sheet.pieces).toBe(6 * country.coins.length);
    }
  });
});

describe('the widths that layouts are reckoned with', () => {
  it('are those of the faces themselves', () => {
    const face = fontkit.create(readFileSync('node_modules/@fontsource/andika/files/andika-latin-700-normal.woff'));
    for (const words of ['Number cards', '7 + 8 = 15', 'Wren’s', '100 − 37', 'ÄÖÜ éß']) {
      const units = [...words].reduce((sum, c) => sum + face.glyphForCodePoint(c.codePointAt(0)!).advanceWidth, 0);
      expect(textWidth(words, 10, true)).toBeCloseTo((units / face.unitsPerEm) * 10 * (25.4 / 72), 1);
    }
    expect(capHeight).toBeCloseTo(face.capHeight / face.unitsPerEm, 6);
    expect(missingLetters('Wren Żuk Ёж √ 山 ☃ 山')).toEqual(['山', '☃']);
    // The mathematical face has single Arabic letters, which do not join to words.
    expect(missingLetters('باب')).toEqual(['ب', 'ا']);
  });
});
