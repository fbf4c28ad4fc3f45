import { type Box, line, mm, rect, shift, upsideDown } from './box';
import { blankEdge, footEdge, papers } from './paper';
import { hueOf, markBoxes, type RangeMark } from './rangeMarks';
import { type Drawing, type Pieces } from './sheetKind';
import type { SheetPage, SheetRequest } from './sheetPage';

const markLength = 3;
const markGap = 0.8;
/** Room above the first row and below the last one: cut marks and the line at the foot. */
const topRoom = blankEdge + markLength + markGap + 0.2;
const footRoom = footEdge + 8.4;

export const drawingOf = (asked: SheetRequest, w: number, h: number): Drawing => ({
  paper: asked.paper,
  large: asked.form === 'large',
  twoSided: asked.duplex !== 'none',
  country: asked.country,
  w,
  h,
});

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly w: number;
  readonly h: number;
  readonly gutter: number;
  readonly x: number;
  readonly y: number;
}

/** How much larger pieces are in the large form. */
const largeBy = 1.45;

function gridOf(set: Pick<Pieces, 'w' | 'h'>, asked: Pick<SheetRequest, 'paper' | 'form' | 'gutter'>): Grid | null {
  const { w: width, h: height } = papers[asked.paper];
  const side = blankEdge + markLength + markGap;
  const roomW = width - 2 * side;
  const roomH = height - topRoom - footRoom;
  const grow = asked.form === 'large' ? Math.min(largeBy, roomW / set.w, roomH / set.h) : 1;
  const [w, h] = [mm(set.w * grow), mm(set.h * grow)];
  const columns = Math.floor((roomW + asked.gutter + 0.001) / (w + asked.gutter));
  const rows = Math.floor((roomH + asked.gutter + 0.001) / (h + asked.gutter));
  if (columns < 1 || rows < 1) return null;
  const across = columns * w + (columns - 1) * asked.gutter;
  const down = rows * h + (rows - 1) * asked.gutter;
  return { columns, rows, w, h, gutter: asked.gutter, x: mm((width - across) / 2), y: mm(topRoom + (roomH - down) / 2) };
}

/** A sheet of paper filled with pieces. */
export interface FilledSheet {
  readonly grid: Grid;
  /** The piece in its upper left corner, and how many follow. */
  readonly first: number;
  readonly here: number;
  readonly cuts: number;
}

/** The sheets that a set fills; null where a piece is larger than the paper. */
export function filledSheets(
  set: Pick<Pieces, 'w' | 'h' | 'count'>,
  asked: Pick<SheetRequest, 'paper' | 'copies' | 'form' | 'gutter'>,
): FilledSheet[] | null {
  const grid = gridOf(set, asked);
  if (!grid) return null;
  const count = set.count * asked.copies;
  const aPage = grid.columns * grid.rows;
  return Array.from({ length: Math.ceil(count / aPage) }, (_, i) => {
    const here = Math.min(aPage, count - i * aPage);
    return { grid, first: i * aPage, here, cuts: cutsOf(grid, Math.ceil(here / grid.columns)) };
  });
}

/** Cuts from edge to edge of the paper; with room between the pieces each of them has four of its own. */
const cutsOf = (g: Grid, rows: number): number => (g.gutter > 0 ? 2 * g.columns + 2 * rows : g.columns + 1 + rows + 1);

/** A sheet of pieces, from its front or from its back. */
export function pieceSheet(set: Pieces, { grid: g, first, here }: FilledSheet, asked: SheetRequest, side: SheetPage['side']): SheetPage {
  const { w: width, h: height } = papers[asked.paper];
  const boxes: Box[] = [];
  const at = drawingOf(asked, g.w, g.h);
  const xs = new Set<number>();
  const ys = new Set<number>();
  for (let i = 0; i < here; i++) {
    const n = (first + i) % set.count;
    const x = mm(g.x + (i % g.columns) * (g.w + g.gutter));
    const y = mm(g.y + Math.floor(i / g.columns) * (g.h + g.gutter));
    for (const edge of [x, mm(x + g.w)]) xs.add(edge);
    for (const edge of [y, mm(y + g.h)]) ys.add(edge);
    if (side === 'front') {
      boxes.push({ kind: 'card', x, y, w: g.w, h: g.h, frame: true });
      if (set.outlined !== false) boxes.push(rect(x, y, g.w, g.h, { line: 'pale', width: 0.15, frame: true }));
      boxes.push(...shift([...set.face(n, at), ...(set.marked ? cornerMarks(asked.mark, g) : [])], x, y));
    } else {
      const face = backOf(set, n, asked, at, g);
      // A sheet turned about its long edge shows each column on the other side; about its short edge, each row.
      const long = asked.duplex === 'long';
      const [bx, by] = long ? [mm(width - x - g.w), y] : [x, mm(height - y - g.h)];
      boxes.push({ kind: 'card', x: bx, y: by, w: g.w, h: g.h, frame: true });
      boxes.push(...shift(long ? face : upsideDown(face, g.w, g.h), bx, by));
    }
  }
  if (side === 'front') boxes.push(...cutMarks(xs, ys));
  return { width, height, side, boxes };
}

/** The mark of a range in two corners, right way up from both sides of a table. */
function cornerMarks(mark: RangeMark, g: Pick<Grid, 'w' | 'h'>): Box[] {
  const s = Math.min(6, g.w / 9);
  const one = markBoxes(mark, 3, 3, s);
  return [...one, ...upsideDown(one, g.w, g.h)];
}

function backOf(set: Pieces, n: number, asked: SheetRequest, at: Drawing, g: Grid): Box[] {
  const own = set.back!(n, at);
  if (asked.mark === 'none') return own;
  // Where the face has no room for it, the mark stands in a corner of the back.
  if (!set.marked) return [...own, ...markBoxes(asked.mark, 4, g.h - 10, Math.min(6, g.h / 6))];
  const s = Math.min(g.w, g.h) * 0.3;
  return [
    rect(3, 3, g.w - 6, g.h - 6, { line: hueOf[asked.mark], width: 0.6, frame: true }),
    ...markBoxes(asked.mark, (g.w - s) / 2, (g.h - s) / 2, s),
    ...own,
  ];
}

function cutMarks(xs: ReadonlySet<number>, ys: ReadonlySet<number>): Box[] {
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const style = { line: 'soft', width: 0.2, frame: true } as const;
  const cut = (x1: number, y1: number, x2: number, y2: number): Box => ({ ...line(x1, y1, x2, y2, style), kind: 'cut' });
  return [
    ...[...xs].flatMap((x) => [
      cut(x, top - markGap - markLength, x, top - markGap),
      cut(x, bottom + markGap, x, bottom + markGap + markLength),
    ]),
    ...[...ys].flatMap((y) => [
      cut(left - markGap - markLength, y, left - markGap, y),
      cut(right + markGap, y, right + markGap + markLength, y),
    ]),
  ];
}
