import type { CsvRow } from './readCatalogue';
import type { RawTable, TableChoice } from './rawTable';

export interface ReadColumns {
  readonly rows: readonly CsvRow[];
  /** Columns of the file that are none of ours, as they are headed. */
  readonly unread: readonly string[];
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
}

/** A cell that its owner mends on the page. */
export interface Mended {
  readonly table: string;
  readonly row: number;
  readonly column: string;
  readonly value: string;
}

const fewRows = 4;

/** Rows of a sheet by the names of our columns, as its choice says; blanks filled down where they mean "as above". */
export function readColumns(table: RawTable, choice: TableChoice, mended: readonly Mended[] = []): ReadColumns {
  const header = table.rows.find((r) => r.row === choice.headerRow);
  const names = namesOf(choice, header?.cells ?? []);
  const above = new Map<number, string>();
  const filled = new Set<number>();
  const rows: CsvRow[] = [];
  for (const { row, cells } of table.rows) {
    if (row <= choice.headerRow || cells.every((c) => c.trim() === '')) continue;
    // Numbers alone count what stands above; they belong to no group.
    const counts = cells.every((c) => /^\s*(?:\d+(?:[.,]\d+)?)?\s*$/.test(c));
    const own = names.map((name, i) => {
      const text = cells[i] ?? '';
      if (counts || !choice.asAbove.includes(i)) return [name, text] as const;
      if (text.trim() !== '') above.set(i, text);
      else if (above.has(i)) filled.add(i);
      return [name, text.trim() === '' ? (above.get(i) ?? '') : text] as const;
    });
    const here = Object.fromEntries(own.filter(([name]) => name !== ''));
    for (const m of mended) if (m.table === table.name && m.row === row) here[m.column] = m.value;
    rows.push({ row, cells: here });
  }
  const unread = names.filter((name, i) => name !== '' && choice.columns[i] === null);
  const remarks = [...table.remarks];
  const aboveHeader = table.rows.filter((r) => r.row < choice.headerRow && r.cells.some((c) => c.trim() !== '')).map((r) => r.row);
  if (aboveHeader.length > 0)
    remarks.push({
      row: aboveHeader[0]!,
      message:
        aboveHeader.length === 1
          ? 'This row stands above the names of the columns; it was not read.'
          : `Rows ${aboveHeader.slice(0, fewRows).join(', ')}${aboveHeader.length > fewRows ? ' …' : ''} stand above the names of the columns; they were not read.`,
    });
  if (filled.size > 0)
    remarks.push({
      row: choice.headerRow || 1,
      message: `A blank means “as above” in ${[...filled].map((i) => `“${(header?.cells[i] ?? names[i] ?? '').trim()}”`).join(', ')}.`,
    });
  return { rows, unread, remarks };
}

/** Names of the columns: ours, or what stands at their head, each once; a column without both is not read. */
function namesOf(choice: TableChoice, headers: readonly string[]): string[] {
  const width = Math.max(choice.columns.length, headers.length);
  const used = new Set(choice.columns.filter((c) => c !== null));
  return Array.from({ length: width }, (_, i) => {
    const ours = choice.columns[i];
    if (ours) return ours;
    const base = (headers[i] ?? '').trim();
    if (base === '') return choice.headerRow === 0 ? `Column ${i + 1}` : '';
    let name = base;
    for (let n = 2; used.has(name); n++) name = `${base} (${n})`;
    used.add(name);
    return name;
  });
}
