import type { Problem } from '../shared/codes';
import { bornOfGrade, readBirthMonth } from './birthMonth';
import { cleanName, nameKey, shortened } from './names';
import { columnByHeader } from './guessColumns';
import type { CsvRow } from './readCatalogue';
import type { ColumnSpec } from './rawTable';

export interface LearnerDraft {
  readonly row: number;
  readonly nickname: string;
  /** Birth month; from a grade it is the middle of the usual year. */
  readonly born: string;
  readonly bornFrom: 'month' | 'grade';
  readonly framework: 'us' | 'england';
  readonly group: string;
}

export interface RosterReading {
  readonly drafts: readonly LearnerDraft[];
  readonly problems: readonly Problem[];
  readonly remarks: readonly { readonly row: number; readonly message: string }[];
}

/** Columns of a roster. */
export const rosterSpecs: readonly ColumnSpec[] = [
  {
    name: 'nickname',
    headers: ['nickname', 'name', 'learner', 'child', 'initials', 'student', 'pupil', 'first name', 'given name', 'kid', 'who'],
  },
  { name: 'born', headers: ['born', 'birth month', 'birth', 'birthday', 'birth date', 'month of birth', 'date of birth', 'dob'] },
  { name: 'grade', headers: ['grade', 'grade level', 'gr', 'level'] },
  { name: 'year', headers: ['year', 'school year', 'year group', 'yr'] },
  { name: 'framework', headers: ['framework', 'norms'] },
  { name: 'group', headers: ['group', 'table', 'class', 'family', 'set', 'team'] },
];

export const rosterColumnOf = (header: string): string | null => columnByHeader(header, rosterSpecs);

/** Whether a day with slashes can be read in two ways. */
const twoWays = (text: string): boolean => /^\d{1,2}\/\d{1,2}\/\d{4}$/.test(text.trim()) && readBirthMonth(text) === null;

/** Youngest and oldest a learner may be, in years. */
const youngest = 2;
const oldest = 19;

export function checkBorn(born: string, today: string): string | null {
  const age = Number(today.slice(0, 4)) - Number(born.slice(0, 4)) + (Number(today.slice(5, 7)) - Number(born.slice(5, 7))) / 12;
  if (age < 0) return `${born} lies in the future.`;
  if (age < youngest || age > oldest) return `Born ${born} is ${Math.floor(age)} years old; learners here are ${youngest} to ${oldest}.`;
  return null;
}

export function readRoster(rows: readonly CsvRow[], today: string, existing: readonly string[]): RosterReading {
  const drafts: LearnerDraft[] = [];
  const problems: Problem[] = [];
  const remarks: { row: number; message: string }[] = [];
  const seen = new Map<string, number>();
  const known = new Set(existing.map(nameKey));
  for (const { row, cells } of rows) {
    const cell = (name: string): string => (cells[name] ?? '').trim();
    const before = problems.length;
    const fault = (field: string, code: Problem['code'], message: string): void =>
      void problems.push({ code, field, row, message: shortened(`Row ${row}, ${field}: ${message}`) });
    const nickname = cleanName(cell('nickname'));
    const key = nameKey(nickname) || nickname;
    if (nickname === '') fault('nickname', 'malformed', 'The learner has no nickname.');
    else if (nickname.length > 40) fault('nickname', 'out-of-range', 'A nickname has at most 40 letters.');
    const earlier = seen.get(key);
    if (nickname && earlier !== undefined)
      fault('nickname', 'duplicate', `"${nickname}" stands in row ${earlier} already. Give one of them another nickname.`);
    if (known.has(key)) {
      remarks.push({ row, message: `"${nickname}" is here already; left as is.` });
      continue;
    }
    seen.set(key, row);
    const schooling = cell('grade') || cell('year');
    const born = cell('born')
      ? readBirthMonth(cell('born'))
      : schooling
        ? bornOfGrade(schooling, today, cell('grade') ? 'grade' : 'year')
        : null;
    if (!born) {
      if (twoWays(cell('born'))) fault('born', 'malformed', `"${cell('born')}" can be read in two ways. Write the month like Sep 2019.`);
      else if (cell('born')) fault('born', 'malformed', `"${cell('born')}" is not a month. Write Sep 2019 or 2019-09.`);
      else if (schooling) fault(cell('grade') ? 'grade' : 'year', 'malformed', `"${schooling}" is not a grade. Write K or 1 to 8.`);
      else fault('born', 'malformed', 'A birth month or a grade is needed.');
    } else {
      const wrong = checkBorn(born, today);
      if (wrong) fault('born', 'out-of-range', wrong);
    }
    const framework = cell('framework').toLowerCase() || 'us';
    if (framework !== 'us' && framework !== 'england')
      fault('framework', 'unknown-value', `"${cell('framework')}" is not a set of norms. Write us or england.`);
    if (problems.length > before) continue;
    if (!cell('born')) remarks.push({ row, message: `Birth month guessed from the grade: ${born}. Set it when you know it.` });
    drafts.push({
      row,
      nickname,
      born: born!,
      bornFrom: cell('born') ? 'month' : 'grade',
      framework: framework as 'us' | 'england',
      group: cell('group'),
    });
  }
  return { drafts, problems, remarks };
}
