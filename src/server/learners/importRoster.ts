import { readCsv } from '../../adapters/csv/readCsv';
import { readRoster, type RosterReading, rosterColumnOf } from '../../core/content/readRoster';
import type { Db } from '../db/db';
import { learners } from '../db/schema';
import { ProblemError } from '../http/problemError';
import { insertLearners } from './learnerStore';

/** Shows what a roster would bring; with `commit` brings all of it, or nothing. */
export function importRoster(
  db: Db,
  bytes: Uint8Array,
  commit: boolean,
  today: string,
  now: string,
): RosterReading & { committed: boolean; added: number } {
  const table = readCsv(bytes, rosterColumnOf, ['nickname']);
  if (!table.ok) throw new ProblemError(table.problem);
  const read = readRoster(
    table.value.rows,
    today,
    db
      .select()
      .from(learners)
      .all()
      .map((l) => l.nickname),
  );
  const reading = { ...read, remarks: [...table.value.remarks, ...read.remarks] };
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
