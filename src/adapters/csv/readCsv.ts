import { CsvError, parse } from 'csv-parse/sync';
import { fail, ok, type Result } from '../../core/shared/codes';
import type { CsvRow } from '../../core/content/readCatalogue';

const limitBytes = 2 * 1024 * 1024;
const limitRows = 20_000;

export interface CsvTable {
  readonly headers: readonly string[];
  readonly rows: readonly CsvRow[];
}

/**
 * Reads a CSV file (RFC 4180) of UTF-8 bytes: with or without BOM, CRLF or LF, commas or
 * semicolons. `columnOf` names our column for a header; unknown headers are kept as typed.
 */
export function readCsv(bytes: Uint8Array, columnOf: (header: string) => string | null, required: readonly string[]): Result<CsvTable> {
  if (bytes.length > limitBytes)
    return fail({
      code: 'too-large',
      field: 'file',
      message: `The file is ${(bytes.length / 1e6).toFixed(1)} MB; a list of games or learners has less than 2 MB. Nothing was read.`,
    });
  if (bytes.length === 0) return fail({ code: 'not-csv', field: 'file', message: 'The file is empty.' });
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff))
    return fail({ code: 'wrong-encoding', field: 'file', message: 'The file is in UTF-16. Save it as "CSV UTF-8" and try again.' });
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return fail({
      code: 'wrong-encoding',
      field: 'file',
      message: `Line ${lineOfBadByte(bytes)} is not UTF-8 text. Save the file as "CSV UTF-8" and try again.`,
    });
  }
  if (text.includes('\0'))
    return fail({ code: 'not-csv', field: 'file', message: 'This is not a text file. Choose the CSV file that your spreadsheet saved.' });
  const firstLine = text.split(/\r?\n/, 1)[0]!;
  const delimiter = firstLine.split(';').length > firstLine.split(',').length ? ';' : ',';
  let records: { record: string[]; info: { lines: number } }[];
  try {
    records = parse(text, {
      delimiter,
      bom: true,
      info: true,
      relax_column_count: true,
      skip_empty_lines: true,
      trim: false,
    }) as unknown as typeof records;
  } catch (error) {
    const line = error instanceof CsvError ? (error as unknown as { lines?: number }).lines : undefined;
    return fail({
      code: 'not-csv',
      field: 'file',
      ...(line ? { row: line } : {}),
      message: `Line ${line ?? '?'} cannot be read as CSV: a quotation mark is open or out of place.`,
    });
  }
  if (records.length === 0) return fail({ code: 'not-csv', field: 'file', message: 'The file holds no rows.' });
  if (records.length > limitRows)
    return fail({ code: 'too-large', field: 'file', message: `The file has ${records.length} rows; at most ${limitRows} are read.` });
  const headers = records[0]!.record.map((h) => columnOf(h) ?? h.trim());
  const missing = required.filter((name) => !headers.includes(name));
  if (missing.length > 0)
    return fail({
      code: 'missing-column',
      field: missing[0]!,
      row: 1,
      message: `The first line must name the columns; "${missing[0]}" is missing. It reads: ${firstLine.slice(0, 120)}`,
    });
  const twice = headers.find((h, i) => h !== '' && headers.indexOf(h) !== i);
  if (twice) return fail({ code: 'duplicate', field: twice, row: 1, message: `The column "${twice}" is there twice.` });
  const rows: CsvRow[] = [];
  for (const { record, info } of records.slice(1)) {
    const row = info.lines - (record.join('').match(/\n/g)?.length ?? 0);
    if (record.every((c) => c.trim() === '')) continue;
    if (record.length !== headers.length)
      return fail({
        code: 'not-csv',
        field: 'row',
        row,
        message: `Row ${row} has ${record.length} cells where the first line has ${headers.length}. A comma may need quotation marks around its cell.`,
      });
    rows.push({ row, cells: Object.fromEntries(headers.map((h, i) => [h, record[i]!])) });
  }
  return ok({ headers, rows });
}

function lineOfBadByte(bytes: Uint8Array): number {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let line = 1;
  let start = 0;
  for (let i = 0; i <= bytes.length; i++) {
    if (i < bytes.length && bytes[i] !== 10) continue;
    try {
      decoder.decode(bytes.subarray(start, i));
    } catch {
      return line;
    }
    start = i + 1;
    line++;
  }
  return line;
}
