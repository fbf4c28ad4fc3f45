import { type Box, baselineOf } from './box';
import { figureHeight, textWidth } from './letters';
import { leastText } from './paper';
import type { SheetPage } from './sheetPage';

/** Letters may come so near to one another, in millimetres, before they count as lying over each other. */
const nearMm = 0.3;

interface Extent {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly foot: number;
  readonly words: string;
}

/** Where the figures and capitals of a line stand; null for one that stands aslant. */
function extentOf(b: Box): Extent | null {
  const turned = b.turned ?? 0;
  if (turned % 180 !== 0) return null;
  const wide = textWidth(b.text!, b.size!, b.bold);
  const align = b.align ?? 'middle';
  const start = align === 'start' ? b.x : align === 'end' ? b.x + b.w - wide : b.x + (b.w - wide) / 2;
  const left = turned === 180 ? 2 * b.x + b.w - start - wide : start;
  const high = figureHeight(b.size!);
  const base = baselineOf({ ...b, size: b.size! });
  const foot = turned === 180 ? 2 * b.y + b.h - base + high : base;
  return { left, right: left + wide, top: foot - high, foot, words: b.text! };
}

/**
 * What is wrong with the letters of drawn pages, measured on the boxes: too small to be read, or over one another. Empty where all is
 * well. Cost: the square of the lines of a page.
 */
export function letterFaults(pages: readonly SheetPage[]): string[] {
  for (const page of pages) {
    const lines = page.boxes.filter((b) => b.kind === 'text' && b.text!.trim() !== '');
    const small = lines.find((b) => b.size! < leastText - 0.05);
    if (small) return [`“${small.text}” would be ${small.size!.toFixed(1)} points high; below ${leastText} it cannot be read.`];
    const extents = lines.flatMap((b) => extentOf(b) ?? []);
    extents.sort((x, y) => x.top - y.top);
    for (let i = 0; i < extents.length; i++)
      for (let j = i + 1; j < extents.length; j++) {
        const [a, b] = [extents[i]!, extents[j]!];
        if (b.top > a.foot - nearMm) break;
        if (Math.min(a.right, b.right) - Math.max(a.left, b.left) > nearMm)
          return [`“${a.words}” and “${b.words}” would lie over one another.`];
      }
  }
  return [];
}
