import { bookPages, gap, textWidthOf, words } from './pack/bookPages';
import { body, small } from './pack/letterSizes';
import { inInk } from './inks';
import { drawingOf, filledSheets, pieceSheet } from './pieceSheets';
import { footOf } from './sheetFoot';
import type { Drawn, Pieces, SheetKind } from './sheetKind';
import type { SheetPage, SheetRequest } from './sheetPage';

/** Shorter than this, on average, answers stand side by side. */
const shortLine = 26;

/** Whether something stands on the backs of pieces, beside the mark of their range. */
const hasBacks = (set: Pieces, asked: SheetRequest): boolean =>
  set.back !== undefined && set.count > 0 && set.back(0, drawingOf(asked, set.w, set.h)).length > 0;

/**
 * Answers on pages of their own, where they would be on no paper else: a list where there is one in words, else the backs as they
 * would have been printed. None where backs are printed, where only lost pieces are, and on blank sheets.
 */
export function answerPages(
  kind: Pick<SheetKind, 'title'>,
  drawn: Drawn,
  key: readonly string[] | null,
  asked: SheetRequest,
  seed: number,
): SheetPage[] {
  if (asked.form === 'blank' || asked.only) return [];
  const backed = (drawn.pieces ?? []).filter((p) => hasBacks(p, asked));
  if (asked.duplex !== 'none' && backed.length > 0) return [];
  const whose = [kind.title, asked.label].filter(Boolean).join(' · ');
  if (key && key.length > 0) {
    const w = textWidthOf(asked.paper);
    const short = key.reduce((n, line) => n + line.length, 0) / key.length < shortLine;
    return bookPages(
      [
        words(w, `Answers: ${whose}`, body, { bold: true }, 2),
        ...(short ? rowsOf(key).map((row) => words(w, row, small, {}, 0.6)) : key.map((line) => words(w, line, small, {}, 0.6))),
        gap(2),
      ],
      asked.paper,
      `${whose} · seed ${seed} · answers`,
    );
  }
  const pages = backed.flatMap((set) => {
    const { back, ...rest } = set;
    const answers: Pieces = { ...rest, face: back!, marked: false };
    const once = { ...asked, copies: 1 };
    return (filledSheets(answers, once) ?? []).map((sheet) => pieceSheet(answers, sheet, once, 'front'));
  });
  return pages.map((p, i) => ({
    ...p,
    boxes: inInk([...p.boxes, ...footOf({ title: `Answers: ${kind.title}` }, asked, seed, i + 1, pages.length)], asked.ink),
  }));
}

/** Some short answers a line. */
function rowsOf(key: readonly string[]): string[] {
  const aRow = 6;
  return Array.from({ length: Math.ceil(key.length / aRow) }, (_, i) => key.slice(i * aRow, (i + 1) * aRow).join('   ·   '));
}
