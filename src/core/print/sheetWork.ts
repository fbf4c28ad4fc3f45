import type { PrepStep } from '../materials/gettingReady';
import type { SheetNeed } from '../mechanisms/mechanism';
import type { Country } from '../play/country';
import { createRng } from '../shared/rng';
import { pagesOf } from './layOut';
import { sheetKindById } from './registry';

/** Minutes of work (common practice, no source): a page to print, a piece to cut, cards to sort and bag. */
const printPage = 0.3;
const cutPiece = 0.2;
const bagging = 1;

/** What a set takes: sheets out of the printer, pieces to cut apart (0 for whole pages), cuts from edge to edge. */
export interface SheetWork {
  readonly sheets: number;
  readonly pieces: number;
  readonly cuts: number;
  /** Its cards can be numbered so that the first turns show each rule. */
  readonly teaches: boolean;
}

/** Work of needs that were asked for before; a library asks for the same ones again and again. */
const known = new Map<string, SheetWork>();
const mostKnown = 4000;

/** Counts what a need makes, on the paper of a country, without drawing it. */
export function workOf(need: SheetNeed, country: Country): SheetWork | null {
  const kind = sheetKindById(need.sheet);
  if (!kind || need.copies === 0) return null;
  const key = JSON.stringify([need, country.id]);
  let work = known.get(key);
  if (!work) {
    const parameters = { ...kind.example, ...need.data };
    // What would be refused is no work; the desk says why.
    if (kind.check?.(parameters)) return null;
    const made = kind.make(parameters, { rng: createRng(1, 17), country });
    const counted = pagesOf(kind.draw(made, parameters), { paper: country.paper, copies: need.copies, form: 'usual', gutter: 0 });
    work = { ...counted, teaches: (kind.teaches?.(made, parameters, createRng(1, 23)) ?? null) !== null };
    if (known.size >= mostKnown) known.clear();
    known.set(key, work);
  }
  return work;
}

/** Minutes to print, cut and sort, about. */
export const minutesOfWork = (work: readonly Omit<SheetWork, 'teaches'>[]): number => {
  const sum = (of: 'sheets' | 'pieces'): number => work.reduce((n, w) => n + w[of], 0);
  return printPage * sum('sheets') + cutPiece * sum('pieces') + (sum('pieces') > 0 ? bagging : 0);
};

/**
 * What has to be done once so that these sheets are there: printing, cutting, bagging, each with
 * its minutes (whole, at least one). Sheets without copies cost nothing.
 */
export function preparationFor(sheets: readonly SheetNeed[], country: Country): PrepStep[] {
  const works = sheets.flatMap((s) => {
    const work = workOf(s, country);
    return work ? [{ ...work, title: sheetKindById(s.sheet)!.title.toLowerCase() }] : [];
  });
  const pages = works.reduce((n, w) => n + w.sheets, 0);
  const pieces = works.reduce((n, w) => n + w.pieces, 0);
  const named = (some: typeof works): string => [...new Set(some.map((w) => w.title))].join(', ');
  const steps: PrepStep[] = [];
  if (pages > 0)
    steps.push({
      sort: 'print',
      what: `${pages} ${pages === 1 ? 'page' : 'pages'}: ${named(works)}`,
      minutes: Math.max(1, Math.round(printPage * pages)),
    });
  if (pieces > 1) {
    steps.push({
      sort: 'cut',
      what: `${pieces} pieces: ${named(works.filter((w) => w.pieces > 0))}`,
      minutes: Math.max(1, Math.round(cutPiece * pieces)),
    });
    steps.push({ sort: 'bag', what: '', minutes: bagging });
  }
  return steps;
}
