import { stringify } from 'csv-stringify/sync';

/** A cell that a spreadsheet would take for a formula is kept as text. */
const safe = (cell: string | number): string | number => (typeof cell === 'string' && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell);

/** Rows as CSV (RFC 4180), the first row naming the columns. */
export const writeCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  stringify(
    rows.map((r) => r.map(safe)),
    { record_delimiter: 'windows' },
  );
