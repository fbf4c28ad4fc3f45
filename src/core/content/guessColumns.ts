import { distance } from 'fastest-levenshtein';
import { plainWords } from './cells';
import type { ColumnSpec, RawRow, RawTable, TableChoice } from './rawTable';

/** Rows from the top in which the names of the columns are looked for. */
const looksInto = 15;
/** Cells of a column that are looked at. */
const sampled = 60;
/** From this share of blanks on, a column that is said once is filled down. */
const blanksFrom = 0.3;
/** A column without a known name is taken for what its cells look like from here on. */
const looksFrom = 0.6;
/** One letter wrong in a word of this length is a slip. */
const longEnough = 5;

/** The column that a header means, by its words, one slip of the finger allowed. */
export function columnByHeader(header: string, specs: readonly ColumnSpec[]): string | null {
  const words = plainWords(header);
  if (words === '') return null;
  const exact = specs.find((s) => s.headers.some((h) => plainWords(h) === words));
  if (exact) return exact.name;
  if (words.length < longEnough) return null;
  return specs.find((s) => s.headers.some((h) => h.length >= longEnough && distance(plainWords(h), words) === 1))?.name ?? null;
}

/**
 * Guesses how a sheet is to be read: the row that names the columns (title rows above it are left out), what each column
 * is, by its name or else by what its cells look like, and in which columns a blank means "as above".
 * @param required columns without which there is nothing to read; a sheet without one of them is left out at first
 */
export function guessColumns(table: RawTable, specs: readonly ColumnSpec[], required: readonly string[]): TableChoice {
  const header = headerOf(table, specs);
  const width = Math.max(0, ...table.rows.map((r) => r.cells.length));
  const below = rowsBelow(table, header?.row ?? 0);
  const columns: (string | null)[] = Array.from({ length: width }, () => null);
  const taken = new Set<string>();
  for (let i = 0; header && i < width; i++) {
    const name = columnByHeader(header.cells[i] ?? '', specs);
    if (name === null || taken.has(name)) continue;
    columns[i] = name;
    taken.add(name);
  }
  for (const spec of specs) {
    if (!spec.looks || taken.has(spec.name)) continue;
    const free = columns.flatMap((name, i) => (name === null && !namedOtherwise(header, i, spec, required) ? [i] : []));
    const looks = free.map((i) => ({ i, looks: spec.looks!(cellsOf(below, i)) })).sort((x, y) => y.looks - x.looks);
    const best = looks[0];
    if (!best || best.looks < looksFrom) continue;
    columns[best.i] = spec.name;
    taken.add(spec.name);
  }
  const once = columns.flatMap((name, i) => (saidOnce(name, header?.cells[i] ?? '', specs) ? [i] : []));
  // Whoever leaves one such column blank for "as above" leaves the others so too.
  const grouped = once.some((i) => blankShare(below, i, columns, required) >= blanksFrom);
  const asAbove = grouped ? once.filter((i) => blankShare(below, i, columns, required) > 0) : [];
  return { table: table.name, use: required.every((r) => taken.has(r)), headerRow: header?.row ?? 0, columns, asAbove };
}

/** A column that has a name of its own is not taken for another by its cells, unless nothing goes without that one. */
const namedOtherwise = (header: RawRow | null, i: number, spec: ColumnSpec, required: readonly string[]): boolean =>
  (header?.cells[i] ?? '').trim() !== '' && !required.includes(spec.name);

/** The row near the top that names most columns; null where none names any. */
function headerOf(table: RawTable, specs: readonly ColumnSpec[]): RawRow | null {
  let best: { row: RawRow; named: number } | null = null;
  for (const row of table.rows.slice(0, looksInto)) {
    const named = new Set(row.cells.map((c) => columnByHeader(c, specs)).filter((n) => n !== null)).size;
    // A title that says "games" is one cell among many blanks; the first of two alike is the header.
    if (named > (best?.named ?? 0) && (named > 1 || row.cells.filter((c) => c.trim() !== '').length === 1 || table.rows[0] === row))
      best = { row, named };
  }
  return best?.row ?? null;
}

const rowsBelow = (table: RawTable, headerRow: number): readonly RawRow[] => table.rows.filter((r) => r.row > headerRow);

const cellsOf = (rows: readonly RawRow[], i: number): string[] =>
  rows
    .slice(0, sampled)
    .map((r) => (r.cells[i] ?? '').trim())
    .filter((c) => c !== '');

/** Headers of columns that are said once for many rows, beside those of ours. */
const saidOnceWords = /^(?:w(?:ee)?k|unit|term|standards?(?: s)?|codes?|topic|strand|theme|module|chapter)\b/;

const saidOnce = (name: string | null, header: string, specs: readonly ColumnSpec[]): boolean =>
  name === null ? saidOnceWords.test(plainWords(header)) : (specs.find((s) => s.name === name)?.saidOnce ?? false);

/** Share of the rows that name a game and leave a column blank; none where its first is blank, since nothing stands above that. */
function blankShare(rows: readonly RawRow[], i: number, columns: readonly (string | null)[], required: readonly string[]): number {
  const key = columns.findIndex((c) => c === required[0]);
  const named = rows.filter((r) => key < 0 || (r.cells[key] ?? '').trim() !== '');
  if (named.length < 3 || (named[0]!.cells[i] ?? '').trim() === '') return 0;
  return named.filter((r) => (r.cells[i] ?? '').trim() === '').length / named.length;
}
