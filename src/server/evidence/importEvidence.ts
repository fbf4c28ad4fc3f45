import { readCsv } from '../../adapters/csv/readCsv';
import { graphInUse } from '../../contract/graphInUse';
import {
  type EvidenceContext,
  evidenceColumnOf,
  type EvidenceReading,
  readEvidence,
  readStatements,
} from '../../core/content/readEvidence';
import { plainWords } from '../../core/content/cells';
import type { Db } from '../db/db';
import { kinds } from '../db/schema';
import { ProblemError, refuse } from '../http/problemError';
import { allLearners } from '../learners/learnerStore';
import { addEvidence, evidenceOf, helpWithoutThings } from './evidenceStore';

/** Shows what a file of observations would bring; with `commit` brings all of it, or nothing. */
export function importEvidence(
  db: Db,
  bytes: Uint8Array,
  commit: boolean,
  today: string,
  now: string,
): EvidenceReading & { committed: boolean; added: number } {
  const context: EvidenceContext = {
    graph: graphInUse(),
    learners: new Map(
      allLearners(db).flatMap((l) => [
        [l.nickname.toLowerCase(), l.id],
        [l.id.toLowerCase(), l.id],
      ]),
    ),
    today,
    supports: supportsByWords(db),
  };
  const text = new TextDecoder()
    .decode(bytes.slice(0, 64))
    .trimStart()
    .replace(/^\uFEFF/, '');
  const json = text.startsWith('{') || text.startsWith('[');
  const reading = withoutKnown(db, json ? readStatements(parsed(bytes), context) : fromCsv(bytes, context));
  if (!commit) return { committed: false, added: 0, ...reading };
  const first = reading.problems[0];
  if (first)
    throw new ProblemError({ ...first, message: `${first.message} Nothing was brought in.`, detail: { problems: reading.problems } }, 422);
  if (reading.drafts.length > 0)
    addEvidence(
      db,
      reading.drafts.map(({ row: _, learner, at, skill, result, correct, total, how, support }) => ({
        learner,
        at,
        skill,
        kind: total === null ? ('statement' as const) : ('check-in' as const),
        source: json ? ('xapi' as const) : ('csv' as const),
        ...(result ? { result } : {}),
        ...(correct === null ? {} : { correct }),
        ...(total === null ? {} : { total }),
        ...(how ? { how } : {}),
        ...(support ? { support } : {}),
      })),
      today,
      now,
    );
  return { committed: true, added: reading.drafts.length, ...reading };
}

/** Tools by their ids, titles and other names, and help that is no thing. */
function supportsByWords(db: Db): ReadonlyMap<string, string> {
  const things = db
    .select()
    .from(kinds)
    .all()
    .flatMap((k) => [k.id, k.title, ...k.alsoCalled].map((words) => [plainWords(words), k.id] as const));
  return new Map([...helpWithoutThings.map((id) => [plainWords(id), id] as const), ...things]);
}

/** Leaves out what is on record already, so that one file brought in twice counts once. */
function withoutKnown(db: Db, reading: EvidenceReading): EvidenceReading {
  const key = (
    e: { at: string; skill: string; result: string | null; correct: number | null; total: number | null },
    learner: string,
  ): string => [learner, e.at, e.skill, e.result, e.correct, e.total].join('|');
  const known = new Map<string, number>();
  for (const learner of new Set(reading.drafts.map((d) => d.learner)))
    for (const row of evidenceOf(db, learner)) known.set(key(row, learner), (known.get(key(row, learner)) ?? 0) + 1);
  const remarks = [...reading.remarks];
  const drafts = reading.drafts.filter((d) => {
    const left = known.get(key(d, d.learner)) ?? 0;
    if (left === 0) return true;
    known.set(key(d, d.learner), left - 1);
    remarks.push({ row: d.row, message: 'It is on record already, so it is left out.' });
    return false;
  });
  return { ...reading, drafts, remarks: remarks.sort((x, y) => x.row - y.row) };
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
