import { guessColumns } from '../../core/content/guessColumns';
import { type Mended, type ReadColumns, readColumns } from '../../core/content/readColumns';
import type { ColumnSpec, RawTable, TableChoice } from '../../core/content/rawTable';
import type { Problem } from '../../core/shared/codes';

/** How a sheet is read, with what the page needs to show and mend it. */
export interface TableShown extends TableChoice {
  readonly headers: readonly string[];
  /** A few cells of each column. */
  readonly samples: readonly (readonly string[])[];
  readonly rowCount: number;
}

/** What whoever brings a file in has said about reading it. */
export interface ReadingWishes {
  readonly choices?: readonly TableChoice[];
  readonly mended?: readonly Mended[];
  readonly left?: readonly { readonly table: string; readonly row: number }[];
}

export interface Sheet extends ReadColumns {
  readonly table: string;
  readonly headerRow: number;
  /** Columns of ours that it has. */
  readonly told: ReadonlySet<string>;
}

export interface Sheets {
  /** Those that are used, without the rows that are left out. */
  readonly sheets: readonly Sheet[];
  readonly shown: readonly TableShown[];
  /** A column that is needed and could not be told; by sheet. */
  readonly missing: readonly Problem[];
}

const samplesShown = 3;

/** The sheets of a file, each read as its choice says, or as its columns look. */
export function sheetsOf(
  raw: readonly RawTable[],
  specs: readonly ColumnSpec[],
  required: readonly string[],
  wishes: ReadingWishes,
): Sheets {
  const choices = raw.map((t) => wishes.choices?.find((c) => c.table === t.name) ?? guessColumns(t, specs, required));
  const missing: Problem[] = [];
  const lacking = (i: number): string | undefined => required.find((r) => !choices[i]!.columns.includes(r));
  const sheets = raw.flatMap((table, i): Sheet[] => {
    const choice = choices[i]!;
    if (!choice.use) return [];
    const field = lacking(i);
    if (field !== undefined) {
      missing.push(columnMissing(table, choice, field));
      return [];
    }
    const read = readColumns(table, choice, wishes.mended);
    const rows = read.rows.filter((r) => !wishes.left?.some((l) => l.table === table.name && l.row === r.row));
    return [{ ...read, rows, table: table.name, headerRow: choice.headerRow, told: new Set(choice.columns.filter((c) => c !== null)) }];
  });
  if (choices.every((c) => !c.use)) missing.push(columnMissing(raw[0]!, choices[0]!, lacking(0) ?? required[0]!));
  return { sheets, shown: raw.map((t, i) => shown(t, choices[i]!)), missing };
}

const columnMissing = (table: RawTable, choice: TableChoice, field: string): Problem => {
  const row = choice.headerRow || 1;
  const first = (table.rows.find((r) => r.row === row) ?? table.rows[0])?.cells ?? [];
  return {
    code: 'missing-column',
    field,
    row,
    message: `Say which column is the ${field}: no column says so, and none could be told by its cells. It begins: ${first.join(' ').slice(0, 120)}`,
    detail: { table: table.name },
  };
};

function shown(table: RawTable, choice: TableChoice): TableShown {
  const header = table.rows.find((r) => r.row === choice.headerRow)?.cells ?? [];
  const below = table.rows.filter((r) => r.row > choice.headerRow);
  const width = Math.max(choice.columns.length, ...table.rows.map((r) => r.cells.length), 0);
  const places = Array.from({ length: width }, (_, i) => i);
  return {
    ...choice,
    columns: places.map((i) => choice.columns[i] ?? null),
    headers: places.map((i) => (header[i] ?? '').trim()),
    samples: places.map((i) =>
      below
        .map((r) => (r.cells[i] ?? '').trim())
        .filter((c) => c !== '')
        .slice(0, samplesShown),
    ),
    rowCount: below.length,
  };
}
