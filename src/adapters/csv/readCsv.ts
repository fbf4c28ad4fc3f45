import { CsvError, parse } from 'csv-parse/sync';
import { fail, ok, type Result } from '../../core/shared/codes';
import { unguardCell } from '../../core/content/guardCell';
import type { CsvRow } from '../../core/content/readCatalogue';
import type { RawRow } from '../../core/content/rawTable';
import { type Encoding, readText } from './readText';

export const limitBytes = 2 * 1024 * 1024;
const limitRows = 20_000;
const limitColumns = 200;
const limitCell = 10_000;

export interface CsvTable {
  readonly headers: readonly string[];
  readonly rows: readonly CsvRow[];
  /** How the file was read where that is not plain UTF-8. */
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
}

interface Parsed {
  readonly record: string[];
  readonly info: { readonly lines: number };
}

/** Rows of cells as they stand, the names of the columns among them. */
export interface CsvCells {
  readonly rows: readonly RawRow[];
  readonly remarks: CsvTable['remarks'];
}

/**
 * Reads separated cells (RFC 4180) as spreadsheets save them: UTF-8, UTF-16 or Windows-1252; commas, semicolons or tabs, or what a
 * first line `sep=;` says; any line ends, also mixed; rows that stop early or end in empty cells. Work is linear in the file.
 */
export function csvCells(bytes: Uint8Array): Result<CsvCells> {
  if (bytes.length > limitBytes)
    return fail({
      code: 'too-large',
      field: 'file',
      message: `The file is ${(bytes.length / 1e6).toFixed(1)} MB; a list of games or learners has less than 2 MB. Nothing was read.`,
    });
  if (bytes.length === 0) return fail({ code: 'not-csv', field: 'file', message: 'The file is empty.' });
  const decoded = readText(bytes);
  if (!decoded.ok) return decoded;
  const { text, delimiter, linesBefore } = dialectOf(decoded.value.text);
  let records: Parsed[];
  try {
    records = parse(text, {
      delimiter,
      bom: true,
      info: true,
      relax_column_count: true,
      skip_empty_lines: true,
      trim: false,
      record_delimiter: ['\r\n', '\n', '\r'],
      max_record_size: 1_000_000,
    }) as unknown as Parsed[];
  } catch (error) {
    const line = error instanceof CsvError ? (error as unknown as { lines?: number }).lines : undefined;
    return fail({
      code: 'not-csv',
      field: 'file',
      ...(line ? { row: line + linesBefore } : {}),
      message: `Line ${line ? line + linesBefore : '?'} cannot be read as CSV: a quotation mark is open or out of place.`,
    });
  }
  if (records.length === 0) return fail({ code: 'not-csv', field: 'file', message: 'The file holds no rows.' });
  if (records.length > limitRows + 1)
    return fail({ code: 'too-large', field: 'file', message: `The file has ${records.length - 1} rows; at most ${limitRows} are read.` });
  const rows: RawRow[] = [];
  // The parser counts a line break of two letters inside a cell as two lines.
  let counted = 0;
  for (const { record, info } of records) {
    counted += windowsBreaks(record);
    const row = info.lines + linesBefore - counted - breaksIn(record);
    // Spreadsheets drop empty cells at the end of a row.
    const cells = record.slice(0, record.length - trailing(record));
    if (cells.length === 0 && rows.length > 0) continue;
    if (cells.length > limitColumns)
      return fail({
        code: 'too-large',
        field: 'file',
        row,
        message:
          rows.length === 0
            ? `The first line names ${cells.length} columns; at most ${limitColumns} are read.`
            : `Row ${row} has ${cells.length} cells; at most ${limitColumns} are read.`,
      });
    const long = cells.findIndex((c) => c.length > limitCell);
    if (long >= 0)
      return fail({
        code: 'too-large',
        field: rows[0]?.cells[long] ?? 'row',
        row,
        message: `Row ${row}, ${rows[0]?.cells[long] ?? `column ${long + 1}`}: more than ${limitCell} letters in one cell. Shorten it.`,
      });
    rows.push({ row, cells: cells.map(unguardCell) });
  }
  return ok({ rows, remarks: remarksOf(decoded.value.encoding) });
}

/**
 * Reads a CSV file whose first line names the columns. `columnOf` names our column for a header; unknown headers are kept
 * as typed.
 */
export function readCsv(bytes: Uint8Array, columnOf: (header: string) => string | null, required: readonly string[]): Result<CsvTable> {
  const read = csvCells(bytes);
  if (!read.ok) return read;
  const [first, ...rest] = read.value.rows;
  const headers = first!.cells.map((h) => columnOf(h) ?? h.trim());
  const missing = required.filter((name) => !headers.includes(name));
  if (missing.length > 0)
    return fail({
      code: 'missing-column',
      field: missing[0]!,
      row: first!.row,
      message: `The first line must name the columns; "${missing[0]}" is missing. It reads: ${first!.cells.join(' ').slice(0, 120)}`,
    });
  const twice = headers.find((h, i) => h !== '' && headers.indexOf(h) !== i);
  if (twice) return fail({ code: 'duplicate', field: twice, row: first!.row, message: `The column "${twice}" is there twice.` });
  const wide = rest.find((r) => r.cells.length > headers.length);
  if (wide)
    return fail({
      code: 'not-csv',
      field: 'row',
      row: wide.row,
      message: `Row ${wide.row} has ${wide.cells.length} cells where the first line has ${headers.length}. A comma may need quotation marks around its cell.`,
    });
  const rows = rest
    .filter((r) => r.cells.some((c) => c.trim() !== ''))
    .map(({ row, cells }): CsvRow => ({ row, cells: Object.fromEntries(headers.map((h, i) => [h, cells[i] ?? ''])) }));
  return ok({ headers, rows, remarks: read.value.remarks });
}

const howOften = (record: readonly string[], what: RegExp): number =>
  record.reduce((sum, cell) => sum + (cell.match(what)?.length ?? 0), 0);
const windowsBreaks = (record: readonly string[]): number => howOften(record, /\r\n/g);
/** Lines that a row goes on for after its first. */
const breaksIn = (record: readonly string[]): number => howOften(record, /\r\n|\r|\n/g);

/** Empty cells at the end of a row. */
function trailing(record: readonly string[]): number {
  let n = 0;
  while (n < record.length && record[record.length - 1 - n]!.trim() === '') n++;
  return n;
}

const delimiters = [',', ';', '\t', '|'] as const;

/** What separates cells: as the first line says, else what it holds most of outside quotation marks. */
function dialectOf(whole: string): { text: string; delimiter: string; linesBefore: number } {
  const text = whole.replace(/^\uFEFF/, '');
  const end = text.search(/[\r\n]/);
  const firstLine = end < 0 ? text : text.slice(0, end);
  const said = /^"?sep=(.)"?[,;\t|]*$/i.exec(firstLine.trim() === '' ? firstLine : firstLine.trimEnd());
  if (said) return { text: text.slice(end < 0 ? text.length : end).replace(/^\r?\n|^\r/, ''), delimiter: said[1]!, linesBefore: 1 };
  const counts = new Map<string, number>(delimiters.map((d) => [d, 0]));
  let quoted = false;
  for (const c of firstLine) {
    if (c === '"') quoted = !quoted;
    else if (!quoted && counts.has(c)) counts.set(c, counts.get(c)! + 1);
  }
  const best = delimiters.reduce((x, y) => (counts.get(y)! > counts.get(x)! ? y : x));
  return { text, delimiter: best, linesBefore: 0 };
}

const nameOf: Readonly<Record<Exclude<Encoding, 'utf-8'>, string>> = {
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'utf-32le': 'UTF-32',
  'utf-32be': 'UTF-32',
  'windows-1252': 'Windows-1252',
  macintosh: 'Mac OS Roman',
};

function remarksOf(encoding: Encoding): CsvTable['remarks'] {
  if (encoding === 'utf-8') return [];
  const name = nameOf[encoding];
  return [{ row: 1, message: `The file is written in ${name}. Look whether accents came through.` }];
}
