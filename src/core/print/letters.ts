import { mmPerPoint, type Box, capHeight, text } from './box';
import { boldWidths, plainWidths } from './fontMetrics';

const tableOf = (runs: readonly (readonly number[])[]): ReadonlyMap<number, number> =>
  new Map(runs.flatMap(([first, ...widths]) => widths.map((w, i) => [first! + i, w] as const)));
let plain: ReadonlyMap<number, number> | null = null;
let bold: ReadonlyMap<number, number> | null = null;
const widths = (heavy: boolean): ReadonlyMap<number, number> => (heavy ? (bold ??= tableOf(boldWidths)) : (plain ??= tableOf(plainWidths)));

/** Width of a letter no face has, in thousandths of an em. */
const unknownWidth = 600;

/** Width of a line of text in millimetres. */
export function textWidth(words: string, size: number, heavy = false): number {
  const table = widths(heavy);
  let sum = 0;
  for (const c of words) sum += table.get(c.codePointAt(0)!) ?? unknownWidth;
  return (sum / 1000) * size * mmPerPoint;
}

/** Letters that no bundled face has, once each. */
export const missingLetters = (words: string): string[] => [
  ...new Set([...words].filter((c) => !/\s/.test(c) && !widths(false).has(c.codePointAt(0)!))),
];

/** The largest size in points, up to `most`, at which the words fit a width and their capitals a height, both in millimetres. */
export function sizeFor(words: string, w: number, h: number, most = 400, heavy = false): number {
  const wide = textWidth(words, 1, heavy);
  return Math.min(most, h / (mmPerPoint * capHeight), wide > 0 ? w / wide : most);
}

/** Height of figures and capitals at a size, in millimetres. */
export const figureHeight = (size: number): number => size * mmPerPoint * capHeight;

/** One line as large as its box allows. */
export const fitted = (
  x: number,
  y: number,
  w: number,
  h: number,
  words: string,
  style: { readonly bold?: boolean; readonly most?: number; readonly fill?: Box['fill']; readonly align?: Box['align'] } = {},
): Box => {
  const { most, ...rest } = style;
  return text(x, y, w, h, words, sizeFor(words, w, h, most, style.bold), rest);
};

/** Words cut to a width, with three dots where something is left out. */
export function clipped(words: string, w: number, size: number, heavy = false): string {
  if (textWidth(words, size, heavy) <= w) return words;
  let n = words.length;
  while (n > 1 && textWidth(`${words.slice(0, n).trimEnd()}…`, size, heavy) > w) n--;
  return `${words.slice(0, n).trimEnd()}…`;
}

/** Signs that join what stands on either side of them: a sum broken over two lines reads as two sums. */
const joining = /^[+−×÷=<>≤≥≠±(]+$/u;
const opens = /^[([]+$/u;
const isOpen = (piece: string): boolean => (piece.match(/\(/g)?.length ?? 0) > (piece.match(/\)/g)?.length ?? 0);

/** A line in the pieces that may stand on lines of their own: words, and sums whole. // => unbroken('6 boxes, 2 × (1 + 1) each') is ['6', 'boxes,', '2 × (1 + 1)', 'each'] */
export function unbroken(words: string): string[] {
  const pieces: string[] = [];
  let open = false;
  for (const word of words.split(' ').filter(Boolean)) {
    const before = pieces.at(-1);
    const figures = /[\d?_□)]/u;
    const joins: boolean =
      before !== undefined && ((joining.test(word) && figures.test(before)) || open || isOpen(before) || opens.test(before));
    if (joins) pieces[pieces.length - 1] = `${before} ${word}`;
    else pieces.push(word);
    // What follows a sign belongs to it.
    open = joining.test(word) && joins;
  }
  return pieces;
}

/** Words in lines that are no wider than `w` millimetres; a sum stays on one line, and what is wider alone is broken. */
export function wrapped(words: string, w: number, size: number, heavy = false): string[] {
  const lines: string[] = [];
  for (const part of words.split('\n')) {
    let now = '';
    for (const word of unbroken(part)) {
      const next = now ? `${now} ${word}` : word;
      if (textWidth(next, size, heavy) <= w) {
        now = next;
        continue;
      }
      if (now) lines.push(now);
      now = word;
      while (textWidth(now, size, heavy) > w && now.length > 1) {
        let n = now.length - 1;
        while (n > 1 && textWidth(now.slice(0, n), size, heavy) > w) n--;
        lines.push(now.slice(0, n));
        now = now.slice(n);
      }
    }
    lines.push(now);
  }
  return lines;
}

/** Room between the feet of two lines, in ems (common practice, no source). */
const leading = 1.35;

/** A paragraph from its upper left corner, and how high it is. */
export function paragraph(
  x: number,
  y: number,
  w: number,
  words: string,
  size: number,
  style: Pick<Box, 'bold' | 'align' | 'fill' | 'frame'> = {},
): { readonly boxes: Box[]; readonly height: number } {
  const step = size * mmPerPoint * leading;
  const lines = wrapped(words, w, size, style.bold);
  return {
    boxes: lines.map((words, i) => text(x, y + i * step, w, step, words, size, { align: 'start', ...style })),
    height: lines.length * step,
  };
}

/** A paragraph in the middle of its box, as large as it may be without breaking a word. */
export function boxedParagraph(
  x: number,
  y: number,
  w: number,
  h: number,
  words: string,
  most: number,
  least: number,
  style: Pick<Box, 'bold' | 'align' | 'fill' | 'frame'> = {},
): Box[] {
  const longest = Math.max(
    ...words
      .split('\n')
      .flatMap(unbroken)
      .map((word) => textWidth(word, 1, style.bold)),
  );
  // A hair less than the widest word, which would be broken for a rounded thousandth.
  const fits = (w / longest) * 0.999;
  let size = Math.max(Math.min(least, fits), Math.min(most, fits));
  while (size > least && paragraph(0, 0, w, words, size, style).height > h) size -= 0.5;
  const p = paragraph(x, y, w, words, size, { align: 'middle', ...style });
  return p.boxes.map((b) => ({ ...b, y: b.y + (h - p.height) / 2 }));
}
