/** Where a table's card belongs: the session's number, and from 0 its round and table. */
export interface Strip {
  readonly number: number;
  readonly round: number;
  readonly table: number;
}

/** What stands on a table's card, to be typed in: session, round and table. `stripNumber({ number: 37, round: 1, table: 0 }) // => '37-2-1'` */
export const stripNumber = ({ number, round, table }: Strip): string => `${number}-${round + 1}-${table + 1}`;

/** The strip that somebody typed in, also with blanks, dots or a slash between its numbers; null where it is none. A lone number is a session. */
export function readStrip(typed: string): { readonly number: number; readonly round: number | null; readonly table: number | null } | null {
  const found = /^\s*(\d{1,6})(?:[\s./–-]+(\d{1,2})(?:[\s./–-]+(\d{1,2}))?)?\s*$/u.exec(typed);
  if (!found || found[2] === '0' || found[3] === '0') return null;
  const from1 = (n: string | undefined): number | null => (n === undefined ? null : Number(n) - 1);
  return { number: Number(found[1]), round: from1(found[2]), table: from1(found[3]) };
}
