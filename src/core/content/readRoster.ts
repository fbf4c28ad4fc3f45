import type { Problem } from '../shared/codes';
import { plainWords } from './cells';
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
  grade: ['grade', 'year'],
  framework: ['framework', 'norms'],
  group: ['group', 'table', 'class'],
};

export function rosterColumnOf(header: string): string | null {
  const words = plainWords(header);
  return Object.entries(columns).find(([, names]) => names.some((n) => plainWords(n) === words))?.[0] ?? null;
}

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** `2019-09`, `2019-09-14`, `09/2019`, `Sep 2019`. */
export function readBirthMonth(text: string): string | null {
  const cell = text.trim().toLowerCase();
  const iso = /^(\d{4})[-/.](\d{1,2})(?:[-/.]\d{1,2})?$/.exec(cell);
  const european = /^(\d{1,2})[/.-](\d{4})$/.exec(cell);
  const worded = /^([a-z]{3})[a-z]*\.? (\d{4})$/.exec(cell);
  const [year, month] = iso
    ? [Number(iso[1]), Number(iso[2])]
    : european
      ? [Number(european[2]), Number(european[1])]
      : worded
        ? [Number(worded[2]), months.indexOf(worded[1]!) + 1]
        : [0, 0];
  return year > 0 && month >= 1 && month <= 12 ? `${year}-${String(month).padStart(2, '0')}` : null;
}

/** Birth month for a US grade in a school year that starts in September: grade n is age n+5 to n+6. */
export function bornOfGrade(grade: string, today: string): string | null {
  const match = /^(?:grade |gr\.? ?)?(k|kindergarten|\d{1,2})(?:st|nd|rd|th)?(?: grade)?$/i.exec(grade.trim());
  if (!match) return null;
  const n = /^k/i.test(match[1]!) ? 0 : Number(match[1]);
  if (n > 8) return null;
  const [year, month] = today.split('-').map(Number);
  const schoolYear = month! >= 8 ? year! : year! - 1;
  return `${schoolYear - n - 6}-03`;
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
  const known = new Set(existing.map((n) => n.toLowerCase()));
  for (const { row, cells } of rows) {
    const cell = (name: string): string => (cells[name] ?? '').trim();
    const before = problems.length;
    const fault = (field: string, code: Problem['code'], message: string): void =>
      void problems.push({ code, field, row, message: `Row ${row}, ${field}: ${message}` });
    const nickname = cell('nickname').replace(/\s+/g, ' ');
    if (nickname === '') fault('nickname', 'malformed', 'The learner has no nickname.');
    else if (nickname.length > 40) fault('nickname', 'out-of-range', 'A nickname has at most 40 letters.');
    const earlier = seen.get(nickname.toLowerCase());
    if (nickname && earlier !== undefined)
      fault('nickname', 'duplicate', `"${nickname}" stands in row ${earlier} already. Give one of them another nickname.`);
    if (known.has(nickname.toLowerCase())) {
      remarks.push({ row, message: `"${nickname}" is here already; left as is.` });
      continue;
    }
    seen.set(nickname.toLowerCase(), row);
    const born = cell('born') ? readBirthMonth(cell('born')) : cell('grade') ? bornOfGrade(cell('grade'), today) : null;
    if (!born) {
      if (cell('born')) fault('born', 'malformed', `"${cell('born')}" is not a month. Write 2019-09.`);
      else if (cell('grade')) fault('grade', 'malformed', `"${cell('grade')}" is not a grade. Write K or 1 to 8.`);
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
