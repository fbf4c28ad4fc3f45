import { fail, ok, type Problem, type Result } from '../shared/codes';
import { createRng } from '../shared/rng';
import { shift } from './box';
import { answerPages } from './answerPages';
import { inInk } from './inks';
import { letterFaults } from './letterFaults';
import { missingLetters } from './letters';
import { onlyPieces } from './onlyPieces';
import { pageArea, papers } from './paper';
import { drawingOf, filledSheets, pieceSheet } from './pieceSheets';
import { footOf } from './sheetFoot';
import type { SheetPage, SheetRequest } from './sheetPage';
import { taught, taughtWords, teachingFaults } from './teachingDeck';
import type { Drawn, SheetKind, Teaching } from './sheetKind';

export interface SheetLayout {
  readonly kind: string;
  readonly title: string;
  readonly pages: readonly SheetPage[];
  readonly key: readonly string[] | null;
  /** Answers on pages of their own, where no printed back has them. */
  readonly answers: readonly SheetPage[];
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
    const whole = withTeaching(kind.draw(made, parameters), told.value);
    const drawn = asked.only ? onlyPieces(whole, asked.only) : ok(whole);
    if (!drawn.ok) return drawn;
    const laid = drawPages(kind, drawn.value, asked, seed);
    if (!laid.ok) return laid;
    const own = kind.key?.(made, parameters) ?? null;
    const key = told.value ? [...taughtWords(told.value.turns), ...(own ?? [])] : own;
    return ok({
      kind: kind.id,
      title: kind.title,
      key,
      answers: answerPages(kind, whole, key, asked, seed),
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
    const filled = filledSheets(set, asked);
    if (!filled) return tooMany(`A piece of ${set.w} by ${set.h} mm does not fit on ${papers[asked.paper].title}.`);
    pieces += count;
    for (const sheet of filled) {
      cuts += sheet.cuts;
      pages.push(pieceSheet(set, sheet, asked, 'front'));
      if (set.back && asked.duplex !== 'none') pages.push(pieceSheet(set, sheet, asked, 'back'));
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
  const [fault] = letterFaults(finished);
  if (fault)
    return fail({
      code: 'impossible-parameters',
      field: 'parameters',
      message: `${kind.title} cannot be drawn like this: ${fault} Take fewer on a page, or a smaller range.`,
    });
  return ok({ pages: finished, pieces: pieces || fronts, sheets: fronts, cuts });
}

/** Sheets, pieces to cut apart and cuts of what would be drawn; pages that stay whole have no pieces. */
export function pagesOf(
  drawn: Drawn,
  asked: Pick<SheetRequest, 'paper' | 'copies' | 'form' | 'gutter'>,
): { readonly sheets: number; readonly pieces: number; readonly cuts: number } {
  let [sheets, pieces, cuts] = [0, 0, 0];
  for (const set of drawn.pieces ?? []) {
    const filled = filledSheets(set, asked);
    if (!filled) continue;
    pieces += set.count * asked.copies;
    sheets += filled.length;
    cuts += filled.reduce((n, f) => n + f.cuts, 0);
  }
  return { sheets: sheets + (drawn.whole?.count ?? 0) * asked.copies, pieces, cuts };
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
