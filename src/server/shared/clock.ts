import { isDay } from '../../core/shared/days';
import { localDay, localTime, momentAt } from '../../core/shared/moments';
import { StartupError } from './startupError';

/** The zone of the machine, which is that of the people at the tables; `TZ` sets it. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

export const momentNow = (): string => new Date().toISOString();

/** The day on the wall; `ZEITGEBER_TODAY` stands for it in demonstrations and tests. @throws StartupError when that is no day. */
export function todayHere(): string {
  const asked = process.env['ZEITGEBER_TODAY'];
  if (asked === undefined || asked === '') return localDay(momentNow(), zoneHere());
  if (!isDay(asked)) throw new StartupError('malformed', `ZEITGEBER_TODAY is "${asked}", which is no day like 2026-11-10.`);
  return asked;
}

/** The moment of a request: the clock's, or its time of day on the day that stands for today. */
export function momentOn(day: string): string {
  const now = momentNow();
  const zone = zoneHere();
  return day === localDay(now, zone) ? now : momentAt(day, localTime(now, zone).slice(11), zone);
}
