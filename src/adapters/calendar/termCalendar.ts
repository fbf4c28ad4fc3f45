import { tzlib_get_ical_block } from 'timezones-ical-library';
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';

export interface CalendarMeeting {
  readonly id: string;
  readonly date: string;
  /** Local wall time, HH:MM, of the zone that goes along. */
  readonly startsAt: string;
  readonly minutes: number;
  readonly summary: string;
  readonly description: string;
  readonly cancelled: boolean;
  /** Counts every change of the meeting or its plan: calendars take what has the higher number. */
  readonly version: number;
  /** Moment of the latest change. */
  readonly changedAt: string;
}

/**
 * The term as iCalendar (RFC 5545), with the hours of the wall in their zone (VTIMEZONE goes along, so that a reader elsewhere sees
 * the same moment), stable UIDs and a SEQUENCE that grows with every change.
 */
export function termCalendar(title: string, meetings: readonly CalendarMeeting[], now: string, zone: string): string {
  const calendar = ical({ name: title, prodId: { company: 'Zeitgeber', product: 'Term plan' }, method: ICalCalendarMethod.PUBLISH });
  for (const m of meetings) {
    // The writer prints the UTC fields of floating times, so the wall's hour is given as if it were UTC.
    const start = new Date(`${m.date}T${m.startsAt}:00Z`);
    const event = calendar.createEvent({
      id: `${m.id}@zeitgeber`,
      start,
      end: new Date(start.getTime() + m.minutes * 60_000),
      floating: true,
      summary: m.summary,
      description: m.description,
      stamp: new Date(m.changedAt || now),
      sequence: m.version,
    });
    if (m.cancelled) event.status(ICalEventStatus.CANCELLED);
  }
  const written = calendar.toString();
  const text = inZone(written, zone);
  return text.endsWith('\r\n') ? text : `${text}\r\n`;
}

/** Floating times as times of a zone, which is described before the first event; a zone nobody knows leaves them floating. */
function inZone(text: string, zone: string): string {
  const [block, id] = tzlib_get_ical_block(zone);
  if (!block || !id) return text;
  return text
    .replace(/^(DTSTART|DTEND):(\d{8}T\d{6})\r?$/gm, `$1;${id}:$2\r`)
    .replace(/^BEGIN:VEVENT/m, `${block.trimEnd()}\r\nBEGIN:VEVENT`);
}
