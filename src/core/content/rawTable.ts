/** One sheet of a file as it lies there: rows of cells as text, whatever they mean. */
export interface RawTable {
  /** Name of the sheet; empty where a file is but one. */
  readonly name: string;
  readonly rows: readonly RawRow[];
  /** What was read otherwise than it stands, or not at all. */
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
}

export interface RawRow {
  /** As the owner’s program counts it, the first being 1. */
  readonly row: number;
  readonly cells: readonly string[];
}

/** A column that a file may have. */
export interface ColumnSpec {
  readonly name: string;
  /** Words people put at its head. */
  readonly headers: readonly string[];
  /** How far its cells look like it, 0 … 1, for columns without a name that is known. */
  readonly looks?: (cells: readonly string[]) => number;
  /** Blank often means "as above" here. */
  readonly saidOnce?: boolean;
}

/** How a sheet is to be read: guessed first, mended by its owner. */
export interface TableChoice {
  readonly table: string;
  readonly use: boolean;
  /** Row that names the columns; 0 where none does. */
  readonly headerRow: number;
  /** Our column for each of the sheet's, in order; null for one that is kept in the notes. */
  readonly columns: readonly (string | null)[];
  /** Places of columns in which a blank means what stands above. */
  readonly asAbove: readonly number[];
}
