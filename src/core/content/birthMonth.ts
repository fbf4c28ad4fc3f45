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
