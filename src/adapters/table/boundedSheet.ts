import { SaxesParser } from 'saxes';

/** The last row and column that a workbook can have (ECMA-376: 1,048,576 rows, XFD). */
const lastRow = 1_048_576;
const lastColumn = 16_384;

/** How far a sheet reaches, and its text with the places of rows and cells written out. */
export interface BoundedSheet {
  readonly text: string;
  readonly lastRow: number;
  readonly lastColumn: number;
  readonly cells: number;
}

/** Column number of a reference such as `AB12`; 0 where it is none. */
export function columnOf(reference: string): number {
  const letters = /^([A-Z]{1,4})\d*$/.exec(reference)?.[1];
  return letters ? [...letters].reduce((n, l) => n * 26 + l.charCodeAt(0) - 64, 0) : 0;
}

/** Letters of a column number. `lettersOf(28)` // => 'AB' */
export function lettersOf(column: number): string {
  let letters = '';
  for (let n = column; n > 0; n = Math.floor((n - 1) / 26)) letters = String.fromCharCode(65 + ((n - 1) % 26)) + letters;
  return letters;
}

/**
 * Reads a worksheet part once, in a stream, and says how far it reaches, without making a cell of it. Rows and cells may
 * leave their place out (it is optional in ECMA-376, 18.3.1.4 and 18.3.1.73): the next one is meant then, and written
 * in, since the reader of workbooks wants it. Work is linear in the text, whatever numbers stand in it.
 * @throws Error where it is no XML, or a place lies outside of what a workbook has
 */
export function boundedSheet(text: string): BoundedSheet {
  const parser = new SaxesParser();
  const added: { at: number; text: string }[] = [];
  let row = 0;
  let column = 0;
  let farRow = 0;
  let farColumn = 0;
  let cells = 0;
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', (tag) => {
    const name = tag.name.replace(/^.*:/, '');
    if (name !== 'row' && name !== 'c') return;
    const said = tag.attributes['r'] as string | undefined;
    if (name === 'row') {
      row = said === undefined ? row + 1 : Number(said);
      column = 0;
      if (!Number.isInteger(row) || row < 1) throw new Error('A row has no number.');
      farRow = Math.max(farRow, row);
    } else {
      column = said === undefined ? column + 1 : columnOf(said);
      if (column < 1) throw new Error('A cell has no place.');
      farColumn = Math.max(farColumn, column);
      cells++;
    }
    if (said === undefined)
      added.push({
        at: parser.position - (tag.isSelfClosing ? 2 : 1),
        text: ` r="${name === 'row' ? row : `${lettersOf(column)}${row}`}"`,
      });
  });
  parser.write(text).close();
  if (farRow > lastRow || farColumn > lastColumn) {
    // Told by whoever asks, with the number that stands there.
    return { text: '', lastRow: farRow, lastColumn: farColumn, cells };
  }
  let whole = '';
  let from = 0;
  for (const { at, text: more } of added) {
    whole += text.slice(from, at) + more;
    from = at;
  }
  return { text: added.length === 0 ? text : whole + text.slice(from), lastRow: farRow, lastColumn: farColumn, cells };
}
