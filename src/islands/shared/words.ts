import { monthsBetween, weekdayOf } from '../../core/shared/days';
import { askedToday } from './api';

const two = (n: number): string => String(n).padStart(2, '0');

/** The day on the wall at a moment, where this browser is. */
export function dayOfMoment(moment: string): string {
  // A local moment, without a zone, carries its day.
  if (!/Z$|[+-]\d{2}:\d{2}$/.test(moment)) return moment.slice(0, 10);
  const at = new Date(moment);
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** Today as the page knows it. */
export const pageToday = (): string => askedToday() ?? dayOfMoment(new Date().toISOString());

/** `7 y 2 m` on the page's day. */
export function ageWords(born: string): string {
  const months = monthsBetween(born, pageToday());
  return `${Math.floor(months / 12)} y ${months % 12} m`;
}

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const months = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** How a day is written where the owner is; said by the page, since it is read before anything is asked. */
const monthFirst = (): boolean => typeof document !== 'undefined' && document.documentElement.dataset['dates'] === 'month-first';

function dayAndMonth(date: string): string {
  const [, month, day] = date.split('-').map(Number);
  return monthFirst() ? `${months[month! - 1]} ${day}` : `${day} ${months[month! - 1]}`;
}

/** `Tuesday 10 November`, or `Tuesday, November 10` */
export const dayWords = (date: string): string => `${weekdays[weekdayOf(date) - 1]}${monthFirst() ? ',' : ''} ${dayAndMonth(date)}`;

/** Tells sessions of one day apart by the number that stands on their papers; nothing where the day has one. // => ', session 11' */
export const ofItsDay = (plan: { readonly date: string; readonly number: number }, all: readonly { readonly date: string }[]): string =>
  all.filter((p) => p.date === plan.date).length > 1 ? `, session ${plan.number}` : '';

/** `2 November to 13 December 2026`; the first year only where it is another. */
export function spanWords(from: string, to: string): string {
  const words = (date: string, year: boolean): string =>
    dayAndMonth(date) + (year ? `${monthFirst() ? ',' : ''} ${Number(date.slice(0, 4))}` : '');
  return `${words(from, from.slice(0, 4) !== to.slice(0, 4))} to ${words(to, true)}`;
}

export const signOf: Readonly<Record<string, string>> = { add: '+', subtract: '−', multiply: '×', divide: '÷' };

/** How a game goes at a table. */
export const moodWords = { calm: 'calm', between: 'in between', lively: 'lively' } as const;
