import ical, { ICalCalendarMethod } from 'ical-generator';

export interface CalendarMeeting {
  readonly id: string;
  readonly date: string;
  /** Local wall time, HH:MM; written without a zone, so it stays the hour on the wall. */
  readonly startsAt: string;
  readonly minutes: number;
  readonly summary: string;
  readonly description: string;
  readonly cancelled: boolean;
  readonly version: number;
}

/** The term as iCalendar (RFC 5545), with floating local times and stable UIDs. */
export function termCalendar(title: string, meetings: readonly CalendarMeeting[], stamp: Date): string {
  const calendar = ical({ name: title, prodId: { company: 'Zeitgeber', product: 'Term plan' }, method: ICalCalendarMethod.PUBLISH });
  for (const m of meetings) {
    const start = `${m.date}T${m.startsAt}:00`;
    const event = calendar.createEvent({
      id: `${m.id}@zeitgeber`,
      start: new Date(start),
      end: new Date(new Date(start).getTime() + m.minutes * 60_000),
      floating: true,
      summary: m.summary,
      description: m.description,
      stamp,
      sequence: m.version,
    });
    if (m.cancelled) event.status('CANCELLED' as never);
  }
  return calendar.toString();
}
