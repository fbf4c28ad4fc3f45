import type { Problem } from '../shared/codes';
import { plainWords } from './cells';
import { cleanName, nameKey, shortened } from './names';
import type { CsvRow } from './readCatalogue';

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

const columns: Readonly<Record<string, readonly string[]>> = {
  nickname: ['nickname', 'name', 'learner', 'child', 'initials'],
  born: ['born', 'birth month', 'birth', 'birthday', 'birth date', 'month of birth'],
  grade: ['grade'],
  year: ['year', 'school year', 'year group'],
  framework: ['framework', 'norms'],
  group: ['group', 'table', 'class'],
};

export function rosterColumnOf(header: string): string | null {
  const words = plainWords(header);
  return Object.entries(columns).find(([, names]) => names.some((n) => plainWords(n) === words))?.[0] ?? null;
}

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * A birth month as people and spreadsheets write it: `2019-09`, `2019-09-14`, `09/2019`, `Sep 2019`, `Sep-19` (what a spreadsheet
 * makes of 2019-09), `14.09.2019`, and days with slashes where only one reading is possible. Null for anything else.
 */
export function readBirthMonth(text: string): string | null {
  const cell = text.trim().toLowerCase();
  const asMonth = (year: number, month: number): string | null =>
    year >= 1900 && year <= 2999 && month >= 1 && month <= 12 ? `${year}-${String(month).padStart(2, '0')}` : null;
  const iso = /^(\d{4})[-/.](\d{1,2})(?:[-/.]\d{1,2})?$/.exec(cell);
  if (iso) return asMonth(Number(iso[1]), Number(iso[2]));
  const short = /^(\d{1,2})[/.-](\d{4})$/.exec(cell);
  if (short) return asMonth(Number(short[2]), Number(short[1]));
  const worded = /^(?:\d{1,2}\.? )?([a-z]{3})[a-z]{0,7}\.?[ -](\d{4}|\d{2})$/.exec(cell);
  if (worded) return asMonth(worded[2]!.length === 2 ? 2000 + Number(worded[2]) : Number(worded[2]), months.indexOf(worded[1]!) + 1);
  const whole = /^(\d{1,2})([/.])(\d{1,2})\2(\d{4})$/.exec(cell);
  if (!whole) return null;
  const [first, second, year] = [Number(whole[1]), Number(whole[3]), Number(whole[4])];
  // With dots the day comes first; with slashes it depends on the country, so only a number beyond twelve decides.
  if (whole[2] === '.' || first > 12) return first <= 31 ? asMonth(year, second) : null;
  return second > 12 && second <= 31 ? asMonth(year, first) : first === second ? asMonth(year, first) : null;
}

/** Whether a day with slashes can be read in two ways. */
const twoWays = (text: string): boolean => /^\d{1,2}\/\d{1,2}\/\d{4}$/.test(text.trim()) && readBirthMonth(text) === null;

/** Age at the start of the school year: US grade n (K is 0), and England's year n (R is 0). */
const startAge = { grade: 5, year: 4 } as const;

/**
 * Birth month for a US grade in a school year that starts in September: grade n is age n + 5 to n + 6 at its start, England's
 * year n is n + 4 to n + 5; the middle of those born is in March. // => bornOfGrade('1', '2026-11-10') is '2020-03'
 */
export function bornOfGrade(grade: string, today: string, sort: 'grade' | 'year' = 'grade'): string | null {
  const match = /^(?:grade |gr\.? ?|year |y)?(k|kg|kindergarten|r|reception|\d{1,2})(?:st|nd|rd|th)?(?: grade)?$/i.exec(grade.trim());
  if (!match) return null;
  const n = /^[kr]/i.test(match[1]!) ? 0 : Number(match[1]);
  if (n > 8) return null;
  const [year, month] = today.split('-').map(Number);
  const schoolYear = month! >= 8 ? year! : year! - 1;
  return `${schoolYear - n - startAge[sort]}-03`;
}

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
