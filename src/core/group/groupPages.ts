/** What a printed group map shows. */
export interface GroupSheet {
  readonly title: string;
  /** A4 when left out. */
  readonly paper?: 'a4' | 'letter';
  readonly day: string;
  readonly learners: readonly string[];
  readonly skills: readonly string[];
  readonly cells: readonly (readonly { readonly height: number; readonly seen: boolean; readonly next: boolean }[])[];
  readonly together: readonly { readonly game: string; readonly seats: readonly string[] }[];
}

/** Something drawn on a page, in millimetres from its top left corner. */
export type Mark =
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly text: string;
      readonly turned?: number;
      readonly bold?: boolean;
    }
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
      readonly width: number;
      readonly pale: boolean;
    }
  | { readonly kind: 'ring'; readonly x: number; readonly y: number; readonly radius: number };

export interface Page {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marks: readonly Mark[];
}

const papers = { a4: { widthMm: 210, heightMm: 297 }, letter: { widthMm: 215.9, heightMm: 279.4 } } as const;
const marginMm = 14;
const headMm = 44;
const rowMm = 6.2;
const nameMm = 62;
const armMm = 4.2;

/** Lays a group map out on A4 or US Letter pages: skills down, learners across, an arm for each; those ready for the same at the end. */
export function groupPages(sheet: GroupSheet): Page[] {
  const paper = papers[sheet.paper ?? 'a4'];
  const perPage = Math.floor((paper.heightMm - marginMm * 2 - headMm) / rowMm);
  const columnMm = Math.min(11, (paper.widthMm - marginMm * 2 - nameMm) / Math.max(1, sheet.learners.length));
  const pages: Page[] = [];
  for (let from = 0; from < Math.max(1, sheet.skills.length); from += perPage) {
    const marks: Mark[] = heading(sheet, 'Who knows what');
    sheet.learners.forEach((name, l) =>
      marks.push({
        kind: 'text',
        x: marginMm + nameMm + l * columnMm + columnMm / 2,
        y: marginMm + headMm - 4,
        size: 9,
        text: name,
        turned: 60,
      }),
    );
    sheet.skills.slice(from, from + perPage).forEach((title, i) => {
      const y = marginMm + headMm + (i + 0.7) * rowMm;
      marks.push({ kind: 'text', x: marginMm, y, size: 9, text: title });
      marks.push({ kind: 'line', x1: marginMm, y1: y + 1.6, x2: paper.widthMm - marginMm, y2: y + 1.6, width: 0.15, pale: true });
      sheet.learners.forEach((_, l) =>
        marks.push(...arm(sheet.cells[l]![from + i]!, marginMm + nameMm + l * columnMm + columnMm / 2 - 1, y + 0.4)),
      );
    });
    pages.push({ ...paper, marks });
  }
  pages.push(togetherPage(sheet));
  return pages;
}

/** An arm from its post: flat not yet, upright on their own; pale where it is assumed, ringed where it is good next. */
function arm(cell: GroupSheet['cells'][number][number], x: number, y: number): Mark[] {
  const angle = (Math.PI / 2) * Math.min(1, Math.max(0, cell.height));
  const line: Mark = {
    kind: 'line',
    x1: x,
    y1: y,
    x2: x + armMm * Math.cos(angle),
    y2: y - armMm * Math.sin(angle),
    width: cell.seen ? 0.9 : 0.35,
    pale: !cell.seen,
  };
  return cell.next && cell.seen ? [line, { kind: 'ring', x, y, radius: 1.1 }] : [line];
}

const heading = (sheet: GroupSheet, words: string): Mark[] => [
  { kind: 'text', x: marginMm, y: marginMm + 5, size: 16, text: words, bold: true },
  { kind: 'text', x: marginMm, y: marginMm + 11, size: 10, text: `${sheet.title}, ${sheet.day}` },
  {
    kind: 'text',
    x: marginMm,
    y: marginMm + 16,
    size: 8,
    text: 'Flat: not yet. Upright: on their own. Thin: assumed, nobody saw it. Ring: good next.',
  },
];

function togetherPage(sheet: GroupSheet): Page {
  const paper = papers[sheet.paper ?? 'a4'];
  const lines = sheet.together.flatMap((t) => t.seats.map((seat, i) => ({ game: i === 0 ? t.game : null, seat })));
  const most = Math.floor((paper.heightMm - marginMm * 2 - 30) / 6);
  const marks = heading(sheet, 'Who can sit together, and for which game');
  if (lines.length === 0)
    marks.push({ kind: 'text', x: marginMm, y: marginMm + 28, size: 10, text: 'Nobody is ready for the same just now.' });
  lines.slice(0, most).forEach(({ game, seat }, i) => {
    const y = marginMm + 28 + i * 6;
    if (game) marks.push({ kind: 'text', x: marginMm, y, size: 10, text: game, bold: true });
    marks.push({ kind: 'text', x: marginMm + 60, y, size: 10, text: seat });
  });
  return { ...paper, marks };
}
