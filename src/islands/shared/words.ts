import { askedToday } from './api';

/** Today as the page knows it. */
export function pageToday(): string {
  return askedToday() ?? new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}

/** `7 y 2 m` on the page's day. */
export function ageWords(born: string): string {
  const [y, m] = born.split('-').map(Number);
  const [ty, tm] = pageToday().split('-').map(Number);
  const months = (ty! - y!) * 12 + tm! - m!;
  return `${Math.floor(months / 12)} y ${months % 12} m`;
}

const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const months = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** `Tuesday 10 November` */
export function dayWords(date: string): string {
  const d = new Date(`${date}T00:00:00Z`);
  return `${weekdays[d.getUTCDay()]} ${d.getUTCDate()} ${months[d.getUTCMonth()]}`;
}

export const signOf: Readonly<Record<string, string>> = { add: '+', subtract: '−', multiply: '×', divide: '÷' };
