/**
 * Days are days: `YYYY-MM-DD` of the ISO calendar, without a clock or a zone. Moments, which have both, stand in
 * `moments.ts` on the kept time library; this file is light enough for every page, and its tests hold it to that library.
 */

const pattern = /^(\d{4})-(\d{2})-(\d{2})$/;
const msPerDay = 86_400_000;

/** Days repeat in every note, so what was read once is kept. */
const known = new Map<string, number>();
const mostKnown = 20_000;

/** Days since 1970-01-01; NaN where the text is no day that there is. // => dayNumber('1970-01-02') is 1 */
export function dayNumber(day: string): number {
  const before = known.get(day);
  if (before !== undefined) return before;
  if (known.size >= mostKnown) known.clear();
  const n = readDay(day);
  known.set(day, n);
  return n;
}

function readDay(day: string): number {
  const match = pattern.exec(day);
  if (!match) return NaN;
  const [year, month, date] = [Number(match[1]), Number(match[2]), Number(match[3])];
  const ms = Date.UTC(year, month - 1, date);
  const back = new Date(ms);
  // Years below 100 would be read as 1900 and more; a thirtieth of February as a day of March.
  return back.getUTCFullYear() === year && back.getUTCMonth() === month - 1 && back.getUTCDate() === date ? ms / msPerDay : NaN;
}

/** Whether a text names a day that there is: no thirtieth of February. // => isDay('2026-02-30') is false */
export const isDay = (text: string): boolean => !Number.isNaN(dayNumber(text));

/** The day of a number of days since 1970-01-01. */
export const dayOfNumber = (n: number): string => new Date(n * msPerDay).toISOString().slice(0, 10);

/** // => addDays('2026-12-31', 1) is '2027-01-01' */
export const addDays = (day: string, days: number): string => dayOfNumber(dayNumber(day) + days);

/** Days from one day (or local moment) to another, negative when it lies before. // => daysBetween('2026-11-01', '2026-11-10') is 9 */
export const daysBetween = (from: string, to: string): number =>
  dayNumber(to.length > 10 ? to.slice(0, 10) : to) - dayNumber(from.length > 10 ? from.slice(0, 10) : from);

/** 1 = Monday … 7 = Sunday. // => weekdayOf('2026-11-28') is 6 */
export const weekdayOf = (day: string): number => ((((dayNumber(day) + 3) % 7) + 7) % 7) + 1;

/** Whole months from one month or day to another. // => monthsBetween('2019-09', '2026-11-28') is 86 */
export function monthsBetween(from: string, to: string): number {
  const [y, m] = from.split('-').map(Number);
  const [ty, tm] = to.split('-').map(Number);
  return (ty! - y!) * 12 + tm! - m!;
}

/** The month so many months before a day. // => monthBefore('2026-11-28', 86) is '2019-09' */
export function monthBefore(day: string, months: number): string {
  const [y, m] = day.split('-').map(Number);
  const at = y! * 12 + m! - 1 - months;
  return `${Math.floor(at / 12)}-${String((((at % 12) + 12) % 12) + 1).padStart(2, '0')}`;
}

/** A time of day as people write it, on 24 hours. // => isTime('09:30') is true, isTime('25:99') is false */
export const timePattern = '^([01]\\d|2[0-3]):[0-5]\\d$';
export const isTime = (text: string): boolean => new RegExp(timePattern).test(text);

/** Months in which a term begins, in most places that have three (common practice, no source). */
const termMonths = ['04', '01', '09'] as const;

/** First day of the term that a day lies in. // => termStart('2026-11-28') is '2026-09-01' */
export function termStart(day: string): string {
  const month = day.slice(5, 7);
  const start = month >= termMonths[2] ? termMonths[2] : month >= termMonths[0] ? termMonths[0] : termMonths[1];
  return `${day.slice(0, 4)}-${start}-01`;
}
