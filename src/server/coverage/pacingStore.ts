import { eq } from 'drizzle-orm';
import type { Body, Kept } from '../../contract/wire/route';
import type { coverageWire, PacingWire } from '../../contract/wire/coverage';
import { pacingSpecs, readPacing } from '../../core/content/readPacing';
import { groupBy } from '../../core/recommend/recommend';
import type { PacedWeek } from '../../core/recommend/leaning';
import type { Problem } from '../../core/shared/codes';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { pacing, type UndoStep } from '../db/schema';
import { frameworkItems, frameworkList } from '../frameworks/frameworkStore';
import { notFound } from '../http/problemError';
import { bytesOf } from '../shared/filePart';
import { readTables } from '../shared/readTables';
import { sheetsOf } from '../shared/sheetsOf';
import { currentTerm } from '../term/termNow';
import { recordChange } from '../undo/undo';

type PacingRow = typeof pacing.$inferSelect;
const keyOf = ({ week, framework, identifier }: Pick<PacingRow, 'week' | 'framework' | 'identifier'>) => ({ week, framework, identifier });

const rowsOf = (db: Db, framework?: string): PacingRow[] =>
  db
    .select()
    .from(pacing)
    .where(framework === undefined ? undefined : eq(pacing.framework, framework))
    .all()
    .sort((x, y) => (x.week < y.week ? -1 : x.week > y.week ? 1 : x.position - y.position));

/** Weeks of all lists with the steps that stand for their codes, as plans lean to them; a framework of the owner's own is for everybody. */
export function pacingFor(db: Db, graph: SkillGraph): PacedWeek[] {
  const rows = rowsOf(db);
  if (rows.length === 0) return [];
  return [...groupBy(rows, (r) => r.framework)].flatMap(([framework, of]) => {
    const known = frameworkList(db).find((f) => f.id === framework);
    if (!known) return [];
    const skillsOf = new Map(
      frameworkItems(db, framework).map((e) => [e.identifier, e.skills.flatMap((s) => graph.indexOf.get(s.skill) ?? [])]),
    );
    return [...groupBy(of, (r) => r.week)].map(([week, codes]) => ({
      week,
      framework: known.shipped ? framework : '*',
      skills: [...new Set(codes.flatMap((c) => skillsOf.get(c.identifier) ?? []))],
    }));
  });
}

/** The list of a framework, week by week. @throws not-found */
export function pacingList(db: Db, framework: string): Kept<PacingWire> {
  const title = frameworkList(db).find((f) => f.id === framework)?.title;
  if (title === undefined) throw notFound('framework', framework);
  const codeOf = new Map(frameworkItems(db, framework).map((e) => [e.identifier, e.code]));
  return {
    framework,
    weeks: [...groupBy(rowsOf(db, framework), (r) => r.week)].map(([week, of]) => ({
      week,
      codes: of.map((r) => ({ identifier: r.identifier, code: codeOf.get(r.identifier) ?? r.identifier })),
    })),
  };
}

/** Shows what a list would bring, or with `commit` puts it in the place of the one before, undone as one; a fault changes nothing. */
export async function importPacing(
  db: Db,
  body: Body<(typeof coverageWire)['POST /imports/pacing']>,
  today: string,
): Promise<{ committed: boolean; weeks: number; codes: number; problems: Problem[]; change: string | null }> {
  const items = frameworkItems(db, pacingList(db, body.framework).framework);
  const { sheets, missing } = sheetsOf(await readTables(bytesOf(body)), pacingSpecs, ['week', 'code'], {});
  const read = readPacing(
    sheets.flatMap((s) => s.rows),
    items,
    currentTerm(db, today)?.starts ?? null,
  );
  const empty: Problem[] =
    missing.length + read.problems.length === 0 && read.codes.length === 0
      ? [{ code: 'malformed', field: 'file', message: 'There is no week with a code in it.' }]
      : [];
  const problems = [...missing, ...read.problems, ...empty];
  const weeks = new Set(read.codes.map((c) => c.week)).size;
  const told = { weeks, codes: read.codes.length, problems };
  if (!body.commit || problems.length > 0) return { committed: false, ...told, change: null };
  const rows = read.codes.map(({ week, identifier }, position) => ({ week, framework: body.framework, identifier, position }));
  return { committed: true, ...told, change: replace(db, body.framework, rows, `Brought in a pacing list of ${weeks} weeks`) };
}

/** Takes the list of a framework away, undone as one. @throws not-found */
export function forgetPacing(db: Db, framework: string): { id: string; change: string } {
  pacingList(db, framework);
  return { id: framework, change: replace(db, framework, [], 'Took a pacing list away') };
}

function replace(db: Db, framework: string, rows: readonly PacingRow[], what: string): string {
  return db.transaction((tx) => {
    const before = rowsOf(tx as unknown as Db, framework);
    tx.delete(pacing).where(eq(pacing.framework, framework)).run();
    for (const row of rows) tx.insert(pacing).values(row).run();
    const undo: UndoStep[] = [
      ...rows.map((r): UndoStep => ({ table: 'pacing', delete: keyOf(r) })),
      ...before.map((r): UndoStep => ({ table: 'pacing', put: { ...r } })),
    ];
    return recordChange(tx, what, undo);
  });
}
