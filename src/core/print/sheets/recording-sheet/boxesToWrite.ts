import { type Box, rect, text } from '../../box';
import type { Drawing } from '../../sheetKind';
import { nameLine, nameRoom } from '../writing';

/** A page with a labelled box for each answer, and a line for a name at the top. */
export function boxesToWrite(labels: readonly string[], { w, h, large }: Drawing): Box[] {
  const columns = large ? 2 : labels.length > 12 ? 4 : 3;
  const rows = Math.ceil(labels.length / columns);
  const top = nameRoom;
  const cw = w / columns;
  const ch = Math.min(44, (h - top) / rows);
  return [
    ...nameLine(w),
    ...labels.flatMap((label, i): Box[] => {
      const [x, y] = [(i % columns) * cw + 2, top + Math.floor(i / columns) * ch + 2];
      return [
        rect(x, y, cw - 4, ch - 4, { line: 'ink', width: 0.4, frame: true }),
        text(x + 2, y + 1.5, 14, 7, label, 16, { align: 'start', bold: true, frame: true }),
      ];
    }),
  ];
}
