import { fail, ok, type Problem, type Result } from '../shared/codes';
import { createRng } from '../shared/rng';
import type { Country } from '../play/country';
import { type Box, line, mm, rect, shift, text, upsideDown } from './box';
import { inInk, type Ink } from './inks';
import { clipped, missingLetters } from './letters';
import { blankEdge, pageArea, type Paper, papers } from './paper';
import { hueOf, markBoxes, type RangeMark } from './rangeMarks';
import { taught, taughtWords, type Teaching, teachingFaults } from './teachingDeck';
import type { Drawing, Drawn, Form, Pieces, SheetKind } from './sheetKind';

export const duplexes = ['none', 'long', 'short'] as const;
export type Duplex = (typeof duplexes)[number];

export interface SheetRequest {
  readonly parameters: object;
  readonly paper: Paper;
  readonly seed: number;
  readonly ink: Ink;
  readonly duplex: Duplex;
  readonly copies: number;
  readonly form: Form;
  readonly mark: RangeMark;
  /** Millimetres between cards; 0 lets one cut part two of them. */
  readonly gutter: number;
  /** Whose set it is, in small letters at the foot. */
  readonly label: string;
  readonly country: Country;
}

export interface SheetPage {
  readonly width: number;
  readonly height: number;
  readonly side: 'front' | 'back';
  readonly boxes: readonly Box[];
}

export interface SheetLayout {
  readonly kind: string;
  readonly title: string;
  readonly pages: readonly SheetPage[];
  readonly key: readonly string[] | null;
  readonly verified: true;
  /** What was looked at before it was drawn. */
  readonly checked: string;
  /** The seed that was used, which is the asked one or a later one that gives what was promised. */
  readonly seed: number;
  readonly pieces: number;
  readonly sheets: number;
  readonly cuts: number;
}

/** Most that is made in one go. */
export const mostPieces = 1200;
export const mostPages = 150;
/** Seeds tried before a set is refused. */
const tries = 12;

const markLength = 3;
const markGap = 0.8;
/** Room above the first row and below the last one: cut marks and the line at the foot. */
const topRoom = blankEdge + markLength + markGap + 0.2;
const footRoom = blankEdge + 8.4;

/**
 * Lays out a sheet: makes its content, judges it, and draws it as boxes in millimetres. The same request gives the same boxes.
 * What cannot be made is refused with the reason.
 */
export function layOut<P extends object, M>(kind: SheetKind<P, M>, asked: SheetRequest): Result<SheetLayout> {
  const parameters = { ...kind.example, ...asked.parameters } as P;
  const problem = kind.check?.(parameters) ?? unprintable([...wordsIn(parameters), asked.label]);
  if (problem) return fail(problem);
  let last: string[] = [];
  for (let n = 0; n < tries; n++) {
    const seed = asked.seed + n;
    const made = kind.make(parameters, { rng: createRng(seed, 17), country: asked.country });
    last = kind.verify(made, parameters);
    if (last.length > 0) continue;
    const told = teachingOf(kind, made, parameters, seed);
    if (!told.ok) return told;
    const drawn = withTeaching(kind.draw(made, parameters), told.value);
    const laid = drawPages(kind, drawn, asked, seed);
    if (!laid.ok) return laid;
    return ok({
      kind: kind.id,
      title: kind.title,
      key: told.value
        ? [...taughtWords(told.value.turns), ...(kind.key?.(made, parameters) ?? [])]
        : (kind.key?.(made, parameters) ?? null),
      verified: true,
      checked: kind.checked(made, parameters),
      seed,
      ...laid.value,
    });
  }
  return fail({ code: 'impossible-parameters', message: `${kind.title} cannot be made of these numbers: ${last[0]!}` });
}

/** The order that teaches the game, where it is asked for; looked at before it is drawn. */
function teachingOf<P extends object, M>(kind: SheetKind<P, M>, made: M, parameters: P, seed: number): Result<Teaching | null> {
  if (!kind.teaches || (parameters as { readonly teach?: boolean }).teach !== true) return ok(null);
  const found = kind.teaches(made, parameters, createRng(seed, 23));
  const [wrong] = found ? teachingFaults(found, kind.draw(made, parameters).pieces![0]!.count) : [];
  if (found && !wrong) return ok(found);
  const message = wrong ?? 'All these cards play alike, so that no order shows more than another. Print them without numbers on the backs.';
  return fail({ code: 'impossible-parameters', message, field: 'parameters.teach' });
}

function withTeaching(drawn: Drawn, told: Teaching | null): Drawn {
  if (!told) return drawn;
  const [first, ...rest] = drawn.pieces!;
  return { ...drawn, pieces: [taught(first!, told), ...rest] };
}

const tooMany = (message: string): { ok: false; problem: Problem } => fail({ code: 'too-large', message, field: 'parameters' });

function drawPages(
  kind: Pick<SheetKind, 'title' | 'id'>,
  drawn: Drawn,
  asked: SheetRequest,
  seed: number,
): Result<Pick<SheetLayout, 'pages' | 'pieces' | 'sheets' | 'cuts'>> {
  const pages: SheetPage[] = [];
  let pieces = 0;
  let cuts = 0;
  for (const set of drawn.pieces ?? []) {
    const count = set.count * asked.copies;
    if (pieces + count > mostPieces)
      return tooMany(
        `That makes ${pieces + count} pieces; ${mostPieces} are the most of one go. Take fewer copies or a smaller range, and print twice.`,
      );
    const grid = gridOf(set, asked);
    if (!grid) return tooMany(`A piece of ${set.w} by ${set.h} mm does not fit on ${papers[asked.paper].title}.`);
    pieces += count;
    const aPage = grid.columns * grid.rows;
    for (let first = 0; first < count; first += aPage) {
      const here = Math.min(aPage, count - first);
      const rows = Math.ceil(here / grid.columns);
      cuts += cutsOf(grid, rows);
      pages.push(pieceSheet(set, grid, asked, first, here, 'front'));
      if (set.back && asked.duplex !== 'none') pages.push(pieceSheet(set, grid, asked, first, here, 'back'));
    }
  }
  if (drawn.whole) {
    const { whole } = drawn;
    const area = pageArea(asked.paper);
    const at = drawingOf(asked, area.w, area.h);
    if (pages.length + whole.count * asked.copies > mostPages)
      return tooMany(`That makes ${pages.length + whole.count * asked.copies} pages; ${mostPages} are the most of one go.`);
    for (let c = 0; c < asked.copies; c++)
      for (let n = 0; n < whole.count; n++) {
        const sheet = { width: papers[asked.paper].w, height: papers[asked.paper].h };
        pages.push({ ...sheet, side: 'front', boxes: shift(whole.page(n, at), area.x, area.y) });
        if (whole.back) pages.push({ ...sheet, side: 'back', boxes: shift(whole.back(n, at), area.x, area.y) });
      }
  }
  if (pages.length > mostPages) return tooMany(`That makes ${pages.length} pages; ${mostPages} are the most of one go.`);
  const fronts = pages.filter((p) => p.side === 'front').length;
  let sheet = 0;
  const finished = pages.map((p): SheetPage => {
    if (p.side === 'front') sheet++;
    const shown = asked.form === 'blank' ? p.boxes.filter((b) => b.frame || b.kind === 'cut' || b.kind === 'card') : p.boxes;
    const foot = p.side === 'front' ? footOf(kind, asked, seed, sheet, fronts) : [];
    return { ...p, boxes: inInk([...shown, ...foot], asked.ink) };
  });
  const missing = [...new Set(finished.flatMap((p) => p.boxes.flatMap((b) => (b.text ? missingLetters(b.text) : []))))];
  if (missing.length > 0) return fail(lettersProblem(missing));
  return ok({ pages: finished, pieces: pieces || fronts, sheets: fronts, cuts });
}

const drawingOf = (asked: SheetRequest, w: number, h: number): Drawing => ({
  paper: asked.paper,
  large: asked.form === 'large',
  twoSided: asked.duplex !== 'none',
  country: asked.country,
  w,
  h,
});

/** Sheets, pieces to cut apart and cuts of what would be drawn; pages that stay whole have no pieces. */
export function pagesOf(
  drawn: Drawn,
  asked: Pick<SheetRequest, 'paper' | 'copies' | 'form' | 'gutter'>,
): { readonly sheets: number; readonly pieces: number; readonly cuts: number } {
  let [sheets, pieces, cuts] = [0, 0, 0];
  for (const set of drawn.pieces ?? []) {
    const grid = gridOf(set, asked);
    if (!grid) continue;
    const count = set.count * asked.copies;
    const aPage = grid.columns * grid.rows;
    pieces += count;
    for (let first = 0; first < count; first += aPage) {
      sheets++;
      cuts += cutsOf(grid, Math.ceil(Math.min(aPage, count - first) / grid.columns));
    }
  }
  return { sheets: sheets + (drawn.whole?.count ?? 0) * asked.copies, pieces, cuts };
}

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

/** Cuts from edge to edge of the paper; with room between the pieces each of them has four of its own. */
const cutsOf = (g: Grid, rows: number): number => (g.gutter > 0 ? 2 * g.columns + 2 * rows : g.columns + 1 + rows + 1);

function pieceSheet(set: Pieces, g: Grid, asked: SheetRequest, first: number, here: number, side: SheetPage['side']): SheetPage {
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

const rulerMm = 50;
const inchMm = 25.4;

/** The check ruler, and what the sheet is so that a lost one can be printed again. */
function footOf(kind: Pick<SheetKind, 'title'>, asked: SheetRequest, seed: number, sheet: number, of: number): Box[] {
  const { w, h } = papers[asked.paper];
  const x = 14;
  const y = h - blankEdge - 1;
  const style = { line: 'soft', width: 0.25, frame: true } as const;
  const ticks = Array.from({ length: 6 }, (_, i) => line(x + 10 * i, y, x + 10 * i, y - (i % 5 === 0 ? 2 : 1.2), style));
  const inches = [0, 1, 2].map((i) => line(x + inchMm * i, y, x + inchMm * i, y + 0.9, style));
  const words = [kind.title, asked.label, `seed ${seed}`, `${sheet} of ${of}`].filter(Boolean).join(' · ');
  const size = 7;
  return [
    line(x, y, x + Math.max(rulerMm, 2 * inchMm), y, style),
    ...ticks,
    ...inches,
    text(x + 2 * inchMm + 1.5, y - 2.6, 40, 3, '50 mm · 2 in', size, { align: 'start', fill: 'soft', frame: true }),
    text(w - 14 - 110, y - 2.6, 110, 3, clipped(words, 108, size), size, { align: 'end', fill: 'soft', frame: true }),
  ];
}

const lettersProblem = (letters: readonly string[]): Problem => ({
  code: 'out-of-range',
  field: 'parameters',
  message: `No bundled face can print ${letters.slice(0, 5).join(' ')}. Write it in Latin or Cyrillic letters.`,
});

function unprintable(words: readonly string[]): Problem | null {
  const missing = [...new Set(words.flatMap(missingLetters))];
  return missing.length > 0 ? lettersProblem(missing) : null;
}

function wordsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(wordsIn);
  return value && typeof value === 'object' ? Object.values(value).flatMap(wordsIn) : [];
}
