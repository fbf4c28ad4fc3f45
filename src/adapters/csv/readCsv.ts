import { CsvError, parse } from 'csv-parse/sync';
import { fail, ok, type Result } from '../../core/shared/codes';
import { unguardCell } from '../../core/content/guardCell';
import type { CsvRow } from '../../core/content/readCatalogue';
import { readText } from './readText';

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

/**
 * Reads a CSV file (RFC 4180) as spreadsheets save it: UTF-8, UTF-16 or Windows-1252; commas, semicolons or tabs, or what a first
 * line `sep=;` says; any line ends, also mixed; rows that stop early or end in empty cells. `columnOf` names our column for a
 * header; unknown headers are kept as typed. Work is linear in the file.
 */
export function readCsv(bytes: Uint8Array, columnOf: (header: string) => string | null, required: readonly string[]): Result<CsvTable> {
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
  const first = records[0]!.record;
  const named = first.length - trailing(first);
  if (named > limitColumns)
    return fail({
      code: 'too-large',
      field: 'file',
      row: 1,
      message: `The first line names ${named} columns; at most ${limitColumns} are read.`,
    });
  const headers = first.slice(0, named).map((h) => columnOf(h) ?? h.trim());
  const missing = required.filter((name) => !headers.includes(name));
  if (missing.length > 0)
    return fail({
      code: 'missing-column',
      field: missing[0]!,
      row: 1 + linesBefore,
      message: `The first line must name the columns; "${missing[0]}" is missing. It reads: ${first.join(' ').slice(0, 120)}`,
    });
  const twice = headers.find((h, i) => h !== '' && headers.indexOf(h) !== i);
  if (twice) return fail({ code: 'duplicate', field: twice, row: 1 + linesBefore, message: `The column "${twice}" is there twice.` });
  const rows: CsvRow[] = [];
  // The parser counts a line break of two letters inside a cell as two lines.
  let counted = windowsBreaks(first);
  for (const { record, info } of records.slice(1)) {
    counted += windowsBreaks(record);
    const row = info.lines + linesBefore - counted - breaksIn(record);
    if (record.every((c) => c.trim() === '')) continue;
    const cells = record.length - trailing(record);
    if (cells > headers.length)
      return fail({
        code: 'not-csv',
        field: 'row',
        row,
        message: `Row ${row} has ${cells} cells where the first line has ${headers.length}. A comma may need quotation marks around its cell.`,
      });
    const long = record.findIndex((c) => c.length > limitCell);
    if (long >= 0)
      return fail({
        code: 'too-large',
        field: headers[long] ?? 'row',
        row,
        message: `Row ${row}, ${headers[long]}: more than ${limitCell} letters in one cell. Shorten it.`,
      });
    // Spreadsheets drop empty cells at the end of a row.
    rows.push({ row, cells: Object.fromEntries(headers.map((h, i) => [h, unguardCell(record[i] ?? '')])) });
  }
  return ok({ headers, rows, remarks: remarksOf(decoded.value.encoding) });
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

function remarksOf(encoding: string): CsvTable['remarks'] {
  if (encoding === 'utf-8') return [];
  const name = encoding === 'windows-1252' ? 'Windows-1252' : 'UTF-16';
  return [{ row: 1, message: `The file is written in ${name}. Look whether accents came through.` }];
}
