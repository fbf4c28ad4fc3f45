import { stringify } from 'csv-stringify/sync';
import { guardCell } from '../../core/content/guardCell';

/** Rows as CSV (RFC 4180), the first row naming the columns; with the mark by which spreadsheets know UTF-8. */
export const writeCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  `\uFEFF${stringify(
    rows.map((r) => r.map((cell) => (typeof cell === 'string' ? guardCell(cell) : cell))),
    // A single line feed inside a cell is no end of a row, but most readers take it for one.
    { record_delimiter: 'windows', quoted_match: /[\r\n]/ },
  )}`;
