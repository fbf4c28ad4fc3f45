import { readCsv } from '../../adapters/csv/readCsv';
import { graphInUse } from '../../contract/graphInUse';
import { type EvidenceContext, evidenceColumnOf, type EvidenceReading, readEvidence, readStatements } from '../../core/content/readEvidence';
import type { Db } from '../db/db';
import { ProblemError, refuse } from '../http/problemError';
import { allLearners } from '../learners/learnerStore';
import { addEvidence } from './evidenceStore';

/** Shows what a file of observations would bring; with `commit` brings all of it, or nothing. */
export function importEvidence(db: Db, bytes: Uint8Array, commit: boolean, today: string, now: string): EvidenceReading & { committed: boolean; added: number } {
  const context: EvidenceContext = { graph: graphInUse(), learners: new Map(allLearners(db).flatMap((l) => [[l.nickname.toLowerCase(), l.id], [l.id.toLowerCase(), l.id]])), today };
  const text = new TextDecoder().decode(bytes.slice(0, 64)).trimStart().replace(/^\uFEFF/, '');
  const json = text.startsWith('{') || text.startsWith('[');
  const reading = json ? readStatements(parsed(bytes), context) : fromCsv(bytes, context);
  if (!commit) return { committed: false, added: 0, ...reading };
  const first = reading.problems[0];
  if (first) throw new ProblemError({ ...first, message: `${first.message} Nothing was brought in.`, detail: { problems: reading.problems } }, 422);
  if (reading.drafts.length > 0)
    addEvidence(
      db,
      reading.drafts.map(({ row: _, learner, at, skill, result, correct, total, how, support }) => ({
        learner, at, skill, kind: total === null ? ('statement' as const) : ('check-in' as const), source: json ? ('xapi' as const) : ('csv' as const),
        ...(result ? { result } : {}), ...(correct === null ? {} : { correct }), ...(total === null ? {} : { total }), ...(how ? { how } : {}), ...(support ? { support } : {}),
      })),
      today,
      now,
    );
  return { committed: true, added: reading.drafts.length, ...reading };
}

function fromCsv(bytes: Uint8Array, context: EvidenceContext): EvidenceReading {
  const table = readCsv(bytes, evidenceColumnOf, ['learner', 'at', 'skill']);
  if (!table.ok) throw new ProblemError(table.problem);
  return readEvidence(table.value.rows, context);
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes).replace(/^\uFEFF/, '')) as unknown;
  } catch (error) {
    throw refuse('malformed', `This is no JSON: ${error instanceof Error ? error.message : ''}`, 'file');
  }
}
