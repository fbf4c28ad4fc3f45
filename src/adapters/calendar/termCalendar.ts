import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';

export interface CalendarMeeting {
  readonly id: string;
  readonly date: string;
  /** Local wall time, HH:MM; written without a zone, so it stays the hour on the wall. */
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

/** The term as iCalendar (RFC 5545), with floating local times, stable UIDs and a SEQUENCE that grows with every change. */
export function termCalendar(title: string, meetings: readonly CalendarMeeting[], now: string): string {
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
  const text = calendar.toString();
  return text.endsWith('\r\n') ? text : `${text}\r\n`;
}
