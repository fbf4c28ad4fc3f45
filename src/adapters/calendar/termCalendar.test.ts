import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { termCalendar } from './termCalendar';

describe('the calendar file', () => {
  const text = termCalendar(
    'Signal Box; co-op, Tuesdays',
    [
      {
        id: 'm1',
        date: '2026-11-10',
        startsAt: '10:00',
        minutes: 60,
        summary: 'Games',
        description:
          'Round 1: Two Lamps (Wren, Fern); Hedge Bees\nRound 2: Lever Frame, a long line that has to be folded somewhere in the middle of it',
        cancelled: false,
        version: 2,
        changedAt: '2026-11-03T08:00:00.000Z',
      },
      {
        id: 'm2',
        date: '2026-11-17',
        startsAt: '10:00',
        minutes: 60,
        summary: 'No meeting',
        description: '',
        cancelled: true,
        version: 0,
        changedAt: '',
      },
    ],
    '2026-11-01T12:00:00.000Z',
  );

  // RFC 5545: CRLF line ends, lines of at most 75 octets, required properties.
  it('keeps to the line rules', () => {
    expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
    expect(text.replaceAll('\r\n', '')).not.toContain('\n');
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0')).toBe(true);
  });
  it('reads back with the hour on the wall, escapes and stable ids', () => {
    const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    expect(events.map((e) => e.uid)).toEqual(['m1@zeitgeber', 'm2@zeitgeber']);
    expect(events[0]!.startDate.toString()).toBe('2026-11-10T10:00:00');
    expect(events[0]!.startDate.zone.tzid).toBe('floating');
    expect(events[0]!.endDate.toString()).toBe('2026-11-10T11:00:00');
    expect(events[0]!.description).toContain('Two Lamps (Wren, Fern); Hedge Bees\nRound 2');
    expect(events[1]!.component.getFirstPropertyValue('status')).toBe('CANCELLED');
    expect(events[0]!.sequence).toBe(2);
  });
});
