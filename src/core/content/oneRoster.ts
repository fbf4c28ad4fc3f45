import type { RawTable } from './rawTable';

/**
 * Rosters of the OneRoster CSV binding (1EdTech, 1.1 and 1.2; columns from memory). Only the id, the first or preferred
 * name, the grade and the class are looked at: never a password, an address, a telephone number or anything else of a
 * child or a family.
 */

/** Whether a table is a list of users of that binding. */
export const isUsers = (t: RawTable): boolean => {
  const head = headOf(t);
  return head.includes('sourcedid') && head.includes('givenname') && head.includes('enableduser');
};

const headOf = (t: RawTable): string[] =>
  (t.rows[0]?.cells ?? []).map((c) =>
    c
      .trim()
      .toLowerCase()
      .replace(/^\uFEFF/, ''),
  );

type Line = Readonly<Record<string, string>>;

function linesOf(t: RawTable | undefined): (Line & { readonly row: string })[] {
  if (!t) return [];
  const head = headOf(t);
  return t.rows.slice(1).map((r) => ({ ...Object.fromEntries(head.map((h, i) => [h, (r.cells[i] ?? '').trim()])), row: String(r.row) }));
}

const yes = (text: string | undefined): boolean => text === undefined || text === '' || /^(?:true|yes|1)$/i.test(text);
const isGone = (l: Line): boolean => /^tobedeleted$/i.test(l['status'] ?? '');

/**
 * The children of a users file as a roster of ours: nickname (two of one name get the first letter of the family name),
 * grade, class. Grown-ups, accounts that are closed and rows to be deleted are left out, and said.
 * @param files tables by name without folder, such as `users.csv`; the others may be missing
 */
export function rosterOf(files: ReadonlyMap<string, RawTable>): RawTable {
  const users = linesOf(files.get('users.csv'));
  const roles = linesOf(files.get('roles.csv'));
  const classes = new Map(linesOf(files.get('classes.csv')).map((c) => [c['sourcedid'] ?? '', c['title'] ?? '']));
  const classOf = new Map(
    linesOf(files.get('enrollments.csv'))
      .filter((e) => !isGone(e) && /^student$/i.test(e['role'] ?? ''))
      .map((e) => [e['usersourcedid'] ?? '', classes.get(e['classsourcedid'] ?? '') ?? '']),
  );
  const isStudent = (u: Line): boolean =>
    u['role'] !== undefined && u['role'] !== ''
      ? /^student$/i.test(u['role'])
      : roles.some((r) => r['usersourcedid'] === u['sourcedid'] && /^student$/i.test(r['role'] ?? '') && !isGone(r));
  const children = users.filter((u) => isStudent(u) && !isGone(u) && yes(u['enableduser']));
  const given = (u: Line): string => u['preferredgivenname'] || u['preferredfirstname'] || u['givenname'] || '';
  const alike = new Map<string, number>();
  for (const u of children) alike.set(given(u).toLowerCase(), (alike.get(given(u).toLowerCase()) ?? 0) + 1);
  const nickname = (u: Line): string =>
    (alike.get(given(u).toLowerCase()) ?? 0) > 1 ? `${given(u)} ${(u['familyname'] ?? '').slice(0, 1)}`.trim() : given(u);
  const left = users.length - children.length;
  return {
    name: 'users.csv',
    remarks: [
      { row: 1, message: 'A school roster: names, grades and classes of children were read, nothing else of it.' },
      ...(left > 0 ? [{ row: 1, message: `${left} rows of grown-ups, closed accounts or rows to be deleted were left out.` }] : []),
    ],
    rows: [
      { row: 1, cells: ['nickname', 'grade', 'group'] },
      ...children.map((u) => ({
        row: Number(u['row']),
        cells: [nickname(u), gradeOf(u['grades'] ?? ''), classOf.get(u['sourcedid'] ?? '') ?? ''],
      })),
    ],
  };
}

/** The last of the grades listed, as we write them: `KG,01` is 1. */
const gradeOf = (grades: string): string => {
  const last = grades
    .split(/[,;]/)
    .map((g) => g.trim())
    .filter(Boolean)
    .at(-1);
  return last === undefined ? '' : /^\d+$/.test(last) ? String(Number(last)) : last;
};
