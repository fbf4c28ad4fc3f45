import { type Box, line, shift, text } from '../box';
import type { SheetPage } from '../sheetPage';
import { paragraph } from '../letters';
import { footEdge, leastText, margin, type Paper, papers } from '../paper';

/** A part of a page that stays together: its height, and its boxes from its own upper left corner. */
export interface Block {
  readonly height: number;
  readonly boxes: readonly Box[];
}

const footRoom = footEdge + 7;

/** Where text may stand on a page. */
export const textWidthOf = (paper: Paper): number => papers[paper].w - 2 * margin;
export const textHeightOf = (paper: Paper): number => papers[paper].h - margin - footRoom;

/** Words as a block. */
export function words(w: number, say: string, size: number, style: Parameters<typeof paragraph>[5] = {}, after = 1.5): Block {
  const p = paragraph(0, 0, w, say, size, style);
  return { height: p.height + after, boxes: p.boxes };
}
export const gap = (height: number): Block => ({ height, boxes: [] });
export const rule = (w: number): Block => ({ height: 3, boxes: [line(0, 1, w, 1, { line: 'pale', width: 0.3 })] });

/** Blocks one below the other, as one that stays together. */
export function stacked(blocks: readonly Block[]): Block {
  let y = 0;
  const boxes: Box[] = [];
  for (const b of blocks) {
    boxes.push(...shift(b.boxes, 0, y));
    y += b.height;
  }
  return { height: y, boxes };
}

/** Fills pages with blocks; one that does not fit any more begins the next page. */
export function bookPages(blocks: readonly Block[], paper: Paper, foot: string): SheetPage[] {
  const { w, h } = papers[paper];
  const room = textHeightOf(paper);
  const pages: Box[][] = [[]];
  let y = 0;
  for (const b of blocks) {
    if (y > 0 && y + b.height > room) {
      pages.push([]);
      y = 0;
    }
    pages.at(-1)!.push(...shift(b.boxes, margin, margin + y));
    y += b.height;
  }
  return pages.map((boxes, i) => ({
    width: w,
    height: h,
    side: 'front',
    boxes: [
      ...boxes,
      text(margin, h - footEdge - 4.2, w - 2 * margin, 4, `${foot} · ${i + 1} of ${pages.length}`, leastText, {
        align: 'end',
        fill: 'soft',
      }),
    ],
  }));
}
