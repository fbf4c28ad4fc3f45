/** What a spreadsheet would take for a formula. */
const formula = /^[=+\-@\t\r]/;

/** A cell that a spreadsheet would take for a formula, kept as text by a mark before it. // => guardCell('=Max') is "'=Max" */
export const guardCell = (cell: string): string => (formula.test(cell) || /^'+[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell);

/** The cell as it was before `guardCell`; other cells stay. // => unguardCell("'=Max") is '=Max' */
export const unguardCell = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
