import ICAL from 'ical.js';
import nodeIcal, { type VEvent } from 'node-ical';
import { describe, expect, it } from 'vitest';
import { momentAt } from '../../core/shared/moments';
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
    'Europe/London',
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
    expect(events[0]!.startDate.zone.tzid).toBe('Europe/London');
    expect(events[0]!.endDate.toString()).toBe('2026-11-10T11:00:00');
    expect(events[0]!.description).toContain('Two Lamps (Wren, Fern); Hedge Bees\nRound 2');
    expect(events[1]!.component.getFirstPropertyValue('status')).toBe('CANCELLED');
    expect(events[0]!.sequence).toBe(2);
  });

  // Weeks before and after the clocks change, and an hour near midnight; read wherever this test runs (the machine's zone and two far ones).
  const meetings = ['2026-10-20', '2026-10-27', '2026-11-03', '2027-03-16', '2027-03-30', '2027-04-06'].flatMap((date) =>
    ['02:30', '10:00', '23:30'].map((startsAt) => ({ date, startsAt })),
  );
  it.each(['America/Chicago', 'Asia/Kolkata', 'Pacific/Auckland', 'Europe/London', 'UTC'])(
    'is the same moment for two readers elsewhere, when it is the hour on the wall in %s',
    (zone) => {
      const file = termCalendar(
        'Term',
        meetings.map((m, i) => ({
          ...m,
          id: `m${i}`,
          minutes: 60,
          summary: 'Games',
          description: '',
          cancelled: false,
          version: 1,
          changedAt: '2026-10-01T08:00:00.000Z',
        })),
        '2026-10-01T12:00:00.000Z',
        zone,
      );
      const wanted = meetings.map((m) => momentAt(m.date, m.startsAt, zone));
      const component = new ICAL.Component(ICAL.parse(file) as unknown[]);
      const timezone = new ICAL.Timezone(component.getFirstSubcomponent('vtimezone')!);
      const byIcalJs = component.getAllSubcomponents('vevent').map((e) => {
        const start = new ICAL.Event(e).startDate;
        start.zone = timezone;
        return new Date(start.toUnixTime() * 1000).toISOString();
      });
      expect(byIcalJs).toEqual(wanted);
      const byNodeIcal = Object.values(nodeIcal.sync.parseICS(file))
        .filter((e): e is VEvent => e?.type === 'VEVENT')
        .map((e) => [Number(e.uid.slice(1).split('@')[0]), new Date(e.start).toISOString()] as const)
        .sort(([x], [y]) => x - y);
      expect(byNodeIcal.map(([, at]) => at)).toEqual(wanted);
    },
  );
});
