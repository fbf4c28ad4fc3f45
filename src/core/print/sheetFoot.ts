import { type Box, line, text } from './box';
import { clipped } from './letters';
import { footEdge, leastText, papers } from './paper';
import type { SheetKind } from './sheetKind';
import type { SheetRequest } from './sheetPage';

const rulerMm = 50;
const inchMm = 25.4;

/** The check ruler, and what the sheet is so that a lost one can be printed again. */
export function footOf(kind: Pick<SheetKind, 'title'>, asked: SheetRequest, seed: number, sheet: number, of: number): Box[] {
  const { w, h } = papers[asked.paper];
  const x = 14;
  const y = h - footEdge - 1;
  const style = { line: 'soft', width: 0.25, frame: true } as const;
  const ticks = Array.from({ length: 6 }, (_, i) => line(x + 10 * i, y, x + 10 * i, y - (i % 5 === 0 ? 2 : 1.2), style));
  const inches = [0, 1, 2].map((i) => line(x + inchMm * i, y, x + inchMm * i, y + 0.9, style));
  const words = [kind.title, asked.label, `seed ${seed}`, asked.only ? 'missing pieces' : '', `${sheet} of ${of}`]
    .filter(Boolean)
    .join(' · ');
  const size = leastText;
  return [
    line(x, y, x + Math.max(rulerMm, 2 * inchMm), y, style),
    ...ticks,
    ...inches,
    text(x + 2 * inchMm + 1.5, y - 2.8, 40, 3.4, '50 mm · 2 in', size, { align: 'start', fill: 'soft', frame: true }),
    text(w - 14 - 106, y - 2.8, 106, 3.4, clipped(words, 105, size), size, { align: 'end', fill: 'soft', frame: true }),
  ];
}
