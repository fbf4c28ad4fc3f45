import { type Box, line, rect, shift, text } from '../box';
import type { SheetPage } from '../sheetPage';
import { boxedParagraph, clipped, fitted } from '../letters';
import { leastText, type Paper, papers } from '../paper';
import { markBoxes, type RangeMark } from '../rangeMarks';

/** Dark squares of a code by row and column. */
export type Code = readonly (readonly boolean[])[];

export interface Label {
  readonly title: string;
  /** What lies in it, with counts. */
  readonly contents: readonly string[];
  /** A code that opens its page; null where no address is set at which anybody else could open it. */
  readonly code: Code | null;
  /** Where its page is found by hand. */
  readonly find: string;
  /** The mark of the range whose set lies in it; none where the game is of one range. */
  readonly mark: RangeMark;
}

const large = { w: 180, h: 84 } as const;
const bag = { w: 90, h: 50 } as const;
const top = 14;
/** White squares that a code needs round it to be read (ISO/IEC 18004: four). */
const quiet = 4;

function codeBoxes(code: Code, x: number, y: number, s: number): Box[] {
  const unit = s / (code.length + 2 * quiet);
  return code.flatMap((row, r) =>
    row.flatMap((dark, c) =>
      dark ? [rect(x + (c + quiet) * unit, y + (r + quiet) * unit, unit * 1.01, unit * 1.01, { fill: 'ink' })] : [],
    ),
  );
}

function label(l: Label, { w, h }: { readonly w: number; readonly h: number }): Box[] {
  const code = l.code ? Math.min(h - 6, w * 0.36) : 0;
  const room = w - code - 10;
  const listed = l.contents.length > 8 ? [...l.contents.slice(0, 8), `and ${l.contents.length - 8} more`] : l.contents;
  return [
    rect(0, 0, w, h, { line: 'pale', width: 0.2 }),
    fitted(5, 4, room, h * 0.24, l.title, { bold: true, most: 34, align: 'start' }),
    line(5, h * 0.31, 5 + room, h * 0.31, { line: 'soft', width: 0.3 }),
    ...boxedParagraph(
      l.mark === 'none' ? 5 : 18,
      h * 0.34,
      room - (l.mark === 'none' ? 0 : 13),
      h * (l.code ? 0.6 : 0.48),
      listed.join('\n'),
      13,
      leastText,
      {
        align: 'start',
      },
    ),
    ...markBoxes(l.mark, 5, h - 13, 10),
    ...(l.code
      ? codeBoxes(l.code, w - code - 3, (h - code) / 2, code)
      : [text(5 + (l.mark === 'none' ? 0 : 13), h - 8, room - 13, 5, clipped(l.find, room - 14, 9), 9, { align: 'start', fill: 'soft' })]),
  ];
}

/** Labels for a bin and the bags in it: the large one first, small ones two in a row. */
export function labelPages(bin: Label, bags: readonly Label[], paper: Paper): SheetPage[] {
  const { w, h } = papers[paper];
  const left = (w - large.w) / 2;
  const pages: Box[][] = [shift(label(bin, large), left, top)];
  let y = top + large.h;
  bags.forEach((b, i) => {
    if (i % 2 === 0 && i > 0) y += bag.h;
    if (i % 2 === 0 && y + bag.h > h - top) {
      pages.push([]);
      y = top;
    }
    pages.at(-1)!.push(...shift(label(b, bag), left + (i % 2) * bag.w, y));
  });
  return pages.map((boxes) => ({ width: w, height: h, side: 'front', boxes }));
}
