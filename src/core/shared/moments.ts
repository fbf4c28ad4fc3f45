import { Temporal } from 'temporal-polyfill';
import { isDay } from './days';

/** Moments are moments: ISO 8601 in UTC, `2026-11-28T15:05:00.000Z`; where a day or an hour on the wall is wanted, the zone is an argument. */

const written = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})$/;
const inUtc = (at: Temporal.Instant): string => at.toString({ fractionalSecondDigits: 3 });

/**
 * A written day or moment as a moment in UTC, null when it is neither: a day becomes its noon in the zone, a moment
 * must carry its own. // => momentOf('2026-11-10T20:00:00-06:00', 'UTC') is '2026-11-11T02:00:00.000Z'
 */
export function momentOf(text: string, zone: string): string | null {
  if (isDay(text)) return momentAt(text, '12:00', zone);
  if (!written.test(text) || !isDay(text.slice(0, 10))) return null;
  try {
    return inUtc(Temporal.Instant.from(text));
  } catch {
    return null;
  }
}

/** The moment of an hour on the wall. An hour that a change of clocks skips or repeats is taken as it was before. */
export function momentAt(day: string, time: string, zone: string): string {
  const wall = Temporal.PlainDateTime.from(`${day}T${time}`);
  return inUtc(wall.toZonedDateTime(zone, { disambiguation: 'compatible' }).toInstant());
}

/** Milliseconds to add to UTC, by zone and day: the same all day but on the two days when clocks change. */
const offsets = new Map<string, number | null>();

function offsetMs(ms: number, zone: string): number {
  const day = Math.floor(ms / 86_400_000);
  const key = `${zone} ${day}`;
  let offset = offsets.get(key);
  if (offset === undefined) {
    const at = (n: number): number => offsetAt(n, zone);
    const [first, last] = [at(day * 86_400_000), at((day + 1) * 86_400_000 - 1)];
    offset = first === last ? first : null;
    offsets.set(key, offset);
  }
  return offset ?? offsetAt(ms, zone);
}

const offsetAt = (ms: number, zone: string): number =>
  Temporal.Instant.fromEpochMilliseconds(ms).toZonedDateTimeISO(zone).offsetNanoseconds / 1_000_000;

/** The wall's day and hour at a moment, without a zone. // => localTime('2026-11-21T02:00:00.000Z', 'America/Chicago') is '2026-11-20T20:00:00.000' */
export function localTime(moment: string, zone: string): string {
  const ms = Date.parse(moment);
  return new Date(ms + offsetMs(ms, zone)).toISOString().slice(0, 23);
}

/** A moment as the wall has it, with what the wall is ahead of UTC. // => withOffset('2026-11-19T23:00:00.000Z', 'Pacific/Auckland') is '2026-11-20T12:00:00.000+13:00' */
export function withOffset(moment: string, zone: string): string {
  const ms = offsetMs(Date.parse(moment), zone);
  const minutes = Math.round(Math.abs(ms) / 60_000);
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${localTime(moment, zone)}${ms < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/** The day on the wall at a moment. */
export const localDay = (moment: string, zone: string): string => localTime(moment, zone).slice(0, 10);
