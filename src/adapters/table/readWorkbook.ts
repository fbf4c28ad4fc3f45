import type { CellValue, Worksheet } from 'exceljs';
import { fail, ok, type Result } from '../../core/shared/codes';
import { unguardCell } from '../../core/content/guardCell';
import type { RawRow, RawTable } from '../../core/content/rawTable';
import { isZip, zipEntries } from './zip';

const mostBytes = 4 * 1024 * 1024;
const mostSheets = 40;
const mostRows = 20_000;
const mostColumns = 200;
const mostLetters = 10_000;

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
  const { default: exceljs } = await import('exceljs');
  const book = new exceljs.Workbook();
  try {
    await book.xlsx.load(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer);
  } catch {
    return fail({
      code: 'not-csv',
      field: 'file',
      message: 'This workbook cannot be read: it is damaged or locked. Save it anew, without a password, and choose it again.',
    });
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
