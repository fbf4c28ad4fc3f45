import { isDay } from '../../core/shared/days';
import { localDay, localTime, momentAt } from '../../core/shared/moments';
import { StartupError } from './startupError';

let zone: { readonly TZ: string | undefined; readonly name: string } | null = null;

/** The zone of the machine, which is that of the people at the tables; `TZ` sets it. Asked for with every map, so it is kept. */
export function zoneHere(): string {
  const { TZ } = process.env;
  if (!zone || zone.TZ !== TZ) zone = { TZ, name: Intl.DateTimeFormat().resolvedOptions().timeZone };
  return zone.name;
}

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
