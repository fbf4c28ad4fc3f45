import { addDays, dayNumber, dayOfNumber, isDay, weekdayOf } from '../shared/days';
import type { Problem } from '../shared/codes';
import { columnByHeader } from './guessColumns';
import { shortened } from './names';
import type { ColumnSpec } from './rawTable';
import type { CsvRow } from './readCatalogue';

/** A code in the week that begins on a Monday. */
export interface PacedCode {
  readonly row: number;
  readonly week: string;
  readonly identifier: string;
}

export interface PacingReading {
  readonly codes: readonly PacedCode[];
  readonly problems: readonly Problem[];
}

const codeLike = /^\d?[A-Z\d]{0,3}[.-]?[A-Z]{1,4}[.-]/i;

/** Columns of a pacing list. */
export const pacingSpecs: readonly ColumnSpec[] = [
  {
    name: 'week',
    headers: [
      'week',
      'weeks',
      'week no',
      'week number',
      'week of',
      'week beginning',
      'wk',
      'date',
      'when',
      'begins',
      'starts',
      'unit week',
    ],
    looks: (cells) =>
      cells.length === 0 ? 0 : cells.filter((c) => /^(?:w(?:ee)?k)? ?\d{1,2}$|^\d{4}-\d{2}-\d{2}$/i.test(c)).length / cells.length,
  },
  {
    name: 'code',
    headers: [
      'code',
      'codes',
      'standard',
      'standards',
      'expectation',
      'expectations',
      'objective',
      'objectives',
      'statement',
      'ccss',
      'focus',
    ],
    looks: (cells) => (cells.length === 0 ? 0 : cells.filter((c) => codeLike.test(c)).length / cells.length),
  },
];

export const pacingColumnOf = (header: string): string | null => columnByHeader(header, pacingSpecs);

/** The Monday of the week that a day lies in. // => mondayOf('2026-11-28') is '2026-11-23' */
export const mondayOf = (day: string): string => addDays(day, 1 - weekdayOf(day));

/** Codes are told with and without points, hyphens and the letter of a cluster: `1.OA.C.6`, `1.oa.6`, `1OA6`. */
const plain = (code: string): string => code.toUpperCase().replace(/[^A-Z\d]/g, '');
const withoutCluster = (code: string): string => plain(code.replace(/\.[A-Z]\.(?=\d)/i, '.'));

/**
 * Weeks with the codes to be met in them. A week is a day, or a number counted from the first week of the term; a row
 * without one goes with the row above. A cell may hold several codes. A code that the framework has not is a problem in its
 * row, never left out in silence.
 * @param identifiers of the framework, with the codes that stand for them
 * @param firstDay a day of week 1; null where nobody has said when the term begins
 */
export function readPacing(
  rows: readonly CsvRow[],
  expectations: readonly { readonly identifier: string; readonly code: string }[],
  firstDay: string | null,
): PacingReading {
  const known = new Map<string, string>();
  // A full code wins over a short form that looks like it.
  for (const e of expectations) known.set(withoutCluster(e.code), e.identifier);
  for (const e of expectations) known.set(plain(e.code), e.identifier);
  const problems: Problem[] = [];
  const codes: PacedCode[] = [];
  const seen = new Set<string>();
  let above: string | null = null;
  for (const { row, cells } of rows) {
    const fault = (field: string, message: string): void =>
      void problems.push({
        code: field === 'code' ? 'unknown-value' : 'malformed',
        field,
        row,
        message: shortened(`Row ${row}, ${field}: ${message}`),
      });
    const weekText = (cells['week'] ?? '').trim();
    const codeText = (cells['code'] ?? '').trim();
    if (weekText === '' && codeText === '') continue;
    const week: string | null = weekText === '' ? above : weekOf(weekText, firstDay, (message) => fault('week', message));
    if (weekText === '' && above === null) fault('week', 'There is no week here, and none above.');
    above = week;
    if (codeText === '') continue;
    for (const code of codeText
      .split(/[,;\n]|\s+(?:and|&)\s+|\s{2,}/)
      .map((c) => c.trim())
      .filter(Boolean)) {
      const identifier = known.get(plain(code)) ?? known.get(withoutCluster(code));
      if (identifier === undefined) fault('code', `"${code}" is no code of this framework.`);
      else if (week !== null && !seen.has(`${week}|${identifier}`)) {
        seen.add(`${week}|${identifier}`);
        codes.push({ row, week, identifier });
      }
    }
  }
  return { codes, problems };
}

const mostWeeks = 60;

function weekOf(text: string, firstDay: string | null, fault: (message: string) => void): string | null {
  const day = readDay(text);
  if (day) return mondayOf(day);
  const number = /^(?:w(?:ee)?k?)?\s*#?\s*(\d{1,2})$/i.exec(text);
  if (!number || Number(number[1]) < 1 || Number(number[1]) > mostWeeks) {
    fault(`"${text}" is no week. Write a day as 2026-11-30, or the number of a week of the term.`);
    return null;
  }
  if (firstDay === null) {
    fault(`Week ${number[1]} of what? Say first when the term begins, or write a day as 2026-11-30.`);
    return null;
  }
  return dayOfNumber(dayNumber(mondayOf(firstDay)) + 7 * (Number(number[1]) - 1));
}

/** A day as `2026-11-30`, or with slashes or points where only one reading makes a day. */
function readDay(text: string): string | null {
  const first = text.split(/\s*(?:–|to)\s*|\s-\s/)[0]!.trim();
  if (isDay(first)) return first;
  const parts = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(first);
  if (!parts) return null;
  const pad = (n: string): string => n.padStart(2, '0');
  const read = [`${parts[3]}-${pad(parts[1]!)}-${pad(parts[2]!)}`, `${parts[3]}-${pad(parts[2]!)}-${pad(parts[1]!)}`].filter(isDay);
  return new Set(read).size === 1 ? read[0]! : null;
}
