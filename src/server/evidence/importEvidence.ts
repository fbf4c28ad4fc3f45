import { textTables } from '../../adapters/table/readTables';
import { graphOf } from '../db/graphOf';
import type { EvidenceContext, EvidenceReading } from '../../core/content/evidenceDraft';
import type { RawTable } from '../../core/content/rawTable';
import { evidenceSpecs, readEvidence } from '../../core/content/readEvidence';
import { readStatements } from '../../core/content/readStatements';
import { plainWords } from '../../core/content/cells';
import { nameKey } from '../../core/content/names';
import { zoneHere } from '../shared/clock';
import type { Db } from '../db/db';
import { kinds, plans, variants } from '../db/schema';
import { ProblemError, refuse } from '../http/problemError';
import { type ReadingWishes, sheetsOf, type TableShown } from '../shared/sheetsOf';
import { allLearners } from '../learners/learnerStore';
import { addEvidence, evidenceOf, helpWithoutThings } from './evidenceStore';

export interface EvidenceImport extends EvidenceReading {
  readonly tables: readonly TableShown[];
  readonly committed: boolean;
  readonly added: number;
}

export interface NotesWishes extends ReadingWishes {
  readonly commit?: boolean;
}

/** Shows what a file of observations would bring; with `commit` brings all of it, or nothing. */
export function importEvidence(db: Db, bytes: Uint8Array, commit: boolean, today: string, now: string): EvidenceImport {
  if (isJson(bytes)) return importNotes(db, { statements: parsed(bytes) }, { commit }, today, now);
  const tables = textTables(bytes);
  if (!tables.ok) throw new ProblemError(tables.problem);
  return importNotes(db, { tables: tables.value }, { commit }, today, now);
}

/** The same for what was read of a file: the sheets of it, or statements. */
export function importNotes(
  db: Db,
  file: { readonly tables: readonly RawTable[] } | { readonly statements: unknown },
  wishes: NotesWishes,
  today: string,
  now: string,
): EvidenceImport {
  const { commit } = wishes;
  const people = allLearners(db);
  const context: EvidenceContext = {
    graph: graphOf(db),
    learners: new Map(
      // A nickname goes before an id that happens to read the same.
      [...people.map((l) => [nameKey(l.id), l.id] as const), ...people.map((l) => [nameKey(l.nickname) || l.nickname, l.id] as const)],
    ),
    today,
    zone: zoneHere(),
    supports: supportsByWords(db),
    variants: new Set(
      db
        .select({ id: variants.id })
        .from(variants)
        .all()
        .map((v) => v.id),
    ),
    sessions: new Set(
      db
        .select({ id: plans.id })
        .from(plans)
        .all()
        .map((p) => p.id),
    ),
  };
  const json = 'statements' in file;
  const { tables, ...read } = json ? { tables: [], ...readStatements(file.statements, context) } : fromTables(file.tables, context, wishes);
  const reading = { ...withoutKnown(db, read), tables };
  if (!commit) return { committed: false, added: 0, ...reading };
  const first = reading.problems[0];
  if (first)
    throw new ProblemError({ ...first, message: `${first.message} Nothing was brought in.`, detail: { problems: reading.problems } }, 422);
  if (reading.drafts.length > 0)
    addEvidence(
      db,
      reading.drafts.map(({ row: _, result, correct, total, how, support, seconds, variant, session, items, ...rest }) => ({
        ...rest,
        items: [...items],
        source: json ? ('xapi' as const) : ('csv' as const),
        ...(result ? { result } : {}),
        ...(correct === null ? {} : { correct }),
        ...(total === null ? {} : { total }),
        ...(how ? { how } : {}),
        ...(support ? { support } : {}),
        ...(seconds === null ? {} : { seconds }),
        ...(variant ? { variant } : {}),
        ...(session ? { session } : {}),
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

function fromTables(
  raw: readonly RawTable[],
  context: EvidenceContext,
  wishes: ReadingWishes,
): EvidenceReading & { readonly tables: readonly TableShown[] } {
  const { sheets, shown, missing } = sheetsOf(raw, evidenceSpecs, ['learner', 'at', 'skill'], wishes);
  const reading = readEvidence(
    sheets.flatMap((s) => s.rows),
    context,
  );
  const cellsOf = new Map(sheets.flatMap((s) => s.rows.map((r) => [r.row, { table: s.table, cells: r.cells }] as const)));
  return {
    ...reading,
    tables: shown,
    problems: [
      ...missing,
      ...reading.problems.map((p) => {
        const at = cellsOf.get(p.row ?? 0);
        return { ...p, detail: { table: at?.table ?? '', game: at?.cells['learner'] ?? '', value: at?.cells[p.field ?? ''] ?? '' } };
      }),
    ],
    remarks: [...sheets.flatMap((s) => s.remarks), ...reading.remarks],
  };
}

/** Whether a file holds statements rather than cells. */
export function isJson(bytes: Uint8Array): boolean {
  const text = new TextDecoder()
    .decode(bytes.slice(0, 64))
    .trimStart()
    .replace(/^\uFEFF/, '');
  return text.startsWith('{') || text.startsWith('[');
}

export function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder().decode(bytes).replace(/^\uFEFF/, '')) as unknown;
  } catch (error) {
    throw refuse('malformed', `This is no JSON: ${error instanceof Error ? error.message : ''}`, 'file');
  }
}
