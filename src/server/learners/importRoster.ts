import { textTables } from '../../adapters/table/readTables';
import type { RawTable } from '../../core/content/rawTable';
import { readRoster, type RosterReading, rosterSpecs } from '../../core/content/readRoster';
import type { Db } from '../db/db';
import { learners } from '../db/schema';
import { ProblemError } from '../http/problemError';
import { type ReadingWishes, sheetsOf, type TableShown } from '../shared/sheetsOf';
import { insertLearners } from './learnerStore';

export interface RosterImport extends RosterReading {
  readonly tables: readonly TableShown[];
  readonly committed: boolean;
  readonly added: number;
}

export interface RosterWishes extends ReadingWishes {
  readonly commit?: boolean;
}

/** The same for a file of separated cells. @throws ProblemError where it cannot be read */
export function importRoster(db: Db, bytes: Uint8Array, commit: boolean, today: string, now: string): RosterImport {
  const tables = textTables(bytes);
  if (!tables.ok) throw new ProblemError(tables.problem);
  return importRosterTables(db, tables.value, { commit }, today, now);
}

/** Shows what a roster would bring; with `commit` brings all of it, or nothing. */
export function importRosterTables(db: Db, raw: readonly RawTable[], wishes: RosterWishes, today: string, now: string): RosterImport {
  const { commit } = wishes;
  const { sheets, shown, missing } = sheetsOf(raw, rosterSpecs, ['nickname'], wishes);
  const read = readRoster(
    sheets.flatMap((s) => s.rows),
    today,
    db
      .select()
      .from(learners)
      .all()
      .map((l) => l.nickname),
  );
  const cellsOf = new Map(sheets.flatMap((s) => s.rows.map((r) => [r.row, { table: s.table, cells: r.cells }] as const)));
  const reading = {
    drafts: read.drafts,
    tables: shown,
    problems: [
      ...missing,
      ...read.problems.map((p) => {
        const at = cellsOf.get(p.row ?? 0);
        return { ...p, detail: { table: at?.table ?? '', game: at?.cells['nickname'] ?? '', value: at?.cells[p.field ?? ''] ?? '' } };
      }),
    ],
    remarks: [
      ...sheets.flatMap((s) => [
        ...s.remarks,
        ...(s.unread.length > 0
          ? [{ row: s.headerRow || 1, message: `Not kept of a child: ${s.unread.map((h) => `“${h}”`).join(', ')}.` }]
          : []),
      ]),
      ...read.remarks,
    ],
  };
  if (!commit) return { committed: false, added: 0, ...reading };
  const first = reading.problems[0];
  if (first)
    throw new ProblemError({ ...first, message: `${first.message} Nobody was brought in.`, detail: { problems: reading.problems } }, 422);
  db.transaction((tx) => {
    insertLearners(
      tx,
      reading.drafts.map((d) => ({ nickname: d.nickname, born: d.born, framework: d.framework, group: d.group || null })),
      today,
      now,
    );
  });
  return { committed: true, added: reading.drafts.length, ...reading };
}
