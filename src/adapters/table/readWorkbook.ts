import type { CellValue, Worksheet } from 'exceljs';
import { fail, ok, type Result } from '../../core/shared/codes';
import { unguardCell } from '../../core/content/guardCell';
import type { RawRow, RawTable } from '../../core/content/rawTable';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { boundedSheet, columnOf, lettersOf } from './boundedSheet';
import { isZip, zipEntries } from './zip';

const mostBytes = 4 * 1024 * 1024;
const mostSheets = 40;
const mostRows = 20_000;
const mostColumns = 200;
const mostLetters = 10_000;
/** Cells of one sheet, the empty ones too. */
const mostCells = 400_000;
/** Places merged into one, of one sheet. */
const mostMerged = 20_000;
const damaged = 'This workbook cannot be read: it is damaged or locked. Save it anew, without a password, and choose it again.';
const sheetPart = /^\/?xl\/worksheets\/[^/]+\.xml$/i;

/**
 * Reads a workbook (XLSX, ECMA-376) sheet by sheet as text. Sizes inside the zip are bounded before it is opened; formulas
 * give their last result, macros are never looked at, a merged cell is what it shows at each of its places.
 */
export async function readWorkbook(bytes: Uint8Array): Promise<Result<readonly RawTable[]>> {
  if (!isZip(bytes)) return fail({ code: 'not-csv', field: 'file', message: 'This is no workbook.' });
  if (bytes.length > mostBytes)
    return fail({
      code: 'too-large',
      field: 'file',
      message: `The file is ${(bytes.length / 1e6).toFixed(1)} MB; a list of games or learners has less than 4 MB. Nothing was read.`,
    });
  const entries = zipEntries(bytes);
  if (!entries.ok) return entries;
  const names = entries.value.map((e) => e.name);
  if (!names.some((n) => n.replace(/^\//, '') === 'xl/workbook.xml'))
    return fail({ code: 'not-csv', field: 'file', message: 'This zip holds no workbook that can be read. Choose an .xlsx or a CSV file.' });
  const bounded = boundedParts(bytes);
  if (!bounded.ok) return bounded;
  const { default: exceljs } = await import('exceljs');
  const book = new exceljs.Workbook();
  try {
    const file = bounded.value;
    await book.xlsx.load(file.buffer.slice(file.byteOffset, file.byteOffset + file.byteLength) as ArrayBuffer);
  } catch {
    return fail({ code: 'not-csv', field: 'file', message: damaged });
  }
  const macros = names.some((n) => /vbaProject\.bin$/i.test(n));
  const sheets = book.worksheets.filter((s) => s.state === 'visible').slice(0, mostSheets);
  const tables: RawTable[] = [];
  for (const sheet of sheets) {
    if (sheet.actualRowCount === 0) continue;
    if (sheet.rowCount > mostRows * 10 || sheet.actualRowCount > mostRows)
      return fail({
        code: 'too-large',
        field: 'file',
        message: `“${sheet.name}” has ${sheet.actualRowCount} rows; at most ${mostRows} are read.`,
      });
    const table = tableOf(sheet);
    if (!table.ok) return table;
    tables.push(
      macros && tables.length === 0
        ? { ...table.value, remarks: [{ row: 1, message: 'The file holds macros; they were not looked at.' }, ...table.value.remarks] }
        : table.value,
    );
  }
  if (tables.length === 0) return fail({ code: 'not-csv', field: 'file', message: 'The workbook holds no rows.' });
  return ok(tables);
}

/**
 * The workbook with every place written out, or why it is not opened: its reader makes a cell for each place up to the
 * farthest one named, so one row numbered a thousand million would keep it for ever.
 */
function boundedParts(bytes: Uint8Array): Result<Uint8Array> {
  let changed = false;
  try {
    const parts = unzipSync(bytes);
    for (const [name, content] of Object.entries(parts)) {
      if (!sheetPart.test(name)) continue;
      const text = strFromU8(content);
      const sheet = boundedSheet(text);
      const far = tooFar(name, sheet.lastRow, sheet.lastColumn, sheet.cells) ?? mergedTooFar(name, text);
      if (far) return fail({ code: 'too-large', field: 'file', message: far });
      if (sheet.text === text) continue;
      changed = true;
      parts[name] = strToU8(sheet.text);
    }
    return ok(changed ? zipSync(parts, { level: 0 }) : bytes);
  } catch {
    return fail({ code: 'not-csv', field: 'file', message: damaged });
  }
}

const number = (n: number): string => n.toLocaleString('en');

function tooFar(part: string, lastRow: number, lastColumn: number, cells: number): string | null {
  const sheet = `A sheet of this workbook (${part.split('/').at(-1)})`;
  if (lastRow > mostRows * 10)
    return `${sheet} has a row numbered ${number(lastRow)}; at most ${number(mostRows)} rows are read. Remove the rows below the list, save it, and choose it again.`;
  if (lastColumn > mostColumns * 10)
    return `${sheet} has a cell in column ${lettersOf(lastColumn)} (${number(lastColumn)}); at most ${mostColumns} columns are read. Remove the columns beside the list, save it, and choose it again.`;
  if (cells > mostCells)
    return `${sheet} has ${number(cells)} cells; at most ${number(mostCells)} are read. Remove what does not belong to the list.`;
  return null;
}

/** Merged places are made one by one too. */
function mergedTooFar(part: string, text: string): string | null {
  let places = 0;
  for (const [, from, fromRow, to, toRow] of text.matchAll(/<(?:\w+:)?mergeCell\b[^>]*\bref="\$?([A-Z]+)\$?(\d+):\$?([A-Z]+)\$?(\d+)"/g))
    places += (Math.abs(columnOf(to!) - columnOf(from!)) + 1) * (Math.abs(Number(toRow) - Number(fromRow)) + 1);
  return places > mostMerged
    ? `A sheet of this workbook (${part.split('/').at(-1)}) merges ${number(places)} cells; at most ${number(mostMerged)} are read. Unmerge them and choose it again.`
    : null;
}

function tableOf(sheet: Worksheet): Result<RawTable> {
  const rows: RawRow[] = [];
  let formulas = 0;
  let widest = 0;
  let problem: Result<RawTable> | null = null;
  sheet.eachRow({ includeEmpty: false }, (row, number) => {
    if (problem) return;
    const cells: string[] = [];
    row.eachCell({ includeEmpty: false }, (cell, column) => {
      const text = unguardCell(textOf(cell.value, () => formulas++));
      if (text.trim() === '') return;
      if (column > mostColumns) {
        widest = Math.max(widest, column);
        return;
      }
      while (cells.length < column) cells.push('');
      cells[column - 1] = text;
      if (text.length > mostLetters)
        problem ??= fail({
          code: 'too-large',
          field: 'row',
          row: number,
          message: `“${sheet.name}”, row ${number}, ${cell.address}: more than ${mostLetters} letters in one cell. Shorten it.`,
        });
    });
    if (cells.length > 0) rows.push({ row: number, cells });
  });
  if (problem) return problem;
  if (widest > 0)
    return fail({ code: 'too-large', field: 'file', message: `“${sheet.name}” has ${widest} columns; at most ${mostColumns} are read.` });
  const remarks =
    formulas > 0
      ? [{ row: 1, message: `${formulas} ${formulas === 1 ? 'cell holds a formula' : 'cells hold formulas'}; the last result was read.` }]
      : [];
  return ok({ name: sheet.name, rows, remarks });
}

/** A cell as text; a day as YYYY-MM-DD, since the column will say whether it was meant as one. */
function textOf(value: CellValue, onFormula: () => void): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'string') return value;
  if (typeof value === 'number') return String(Number(value.toPrecision(15)));
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (value instanceof Date) return Number.isNaN(value.getTime()) ? '' : value.toISOString().slice(0, 10);
  if ('richText' in value) return value.richText.map((r) => r.text).join('');
  if ('hyperlink' in value) return typeof value.text === 'string' ? value.text : textOf(value.text as CellValue, onFormula);
  if ('formula' in value || 'sharedFormula' in value) {
    onFormula();
    return textOf((value as { result?: CellValue }).result ?? null, () => undefined);
  }
  // An error such as a division by zero says nothing.
  return '';
}
