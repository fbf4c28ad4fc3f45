import { writeCsv } from '../../adapters/csv/writeCsv';
import type { Db } from '../db/db';
import { allLearners, groupOf } from './learnerStore';

/** Everybody, as a list that comes back in; notes go out by themselves (`evidenceCsv`). */
export function rosterCsv(db: Db, today: string): string {
  const rows = allLearners(db).map((l) => [l.nickname, l.born, groupOf(db, l.id, today) ?? '', l.framework]);
  return writeCsv([['Nickname', 'Birth month', 'Group', 'Framework'], ...rows]);
}
