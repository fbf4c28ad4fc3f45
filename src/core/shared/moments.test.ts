import { describe, expect, it } from 'vitest';
import { localDay, localTime, momentAt, momentOf } from './moments';

const zones = ['UTC', 'America/Chicago', 'Pacific/Kiritimati'] as const;

describe('a written moment', () => {
  it('keeps its own zone', () => {
    for (const zone of zones) {
      expect(momentOf('2026-11-10T10:00:00+01:00', zone)).toBe('2026-11-10T09:00:00.000Z');
      expect(momentOf('2026-11-10T10:00Z', zone)).toBe('2026-11-10T10:00:00.000Z');
      expect(momentOf('2026-11-10T10:00:00.123456789Z', zone)).toBe('2026-11-10T10:00:00.123Z');
    }
  });
  it('is the noon of a day where it is written', () => {
    expect(momentOf('2026-11-10', 'UTC')).toBe('2026-11-10T12:00:00.000Z');
    expect(momentOf('2026-11-10', 'America/Chicago')).toBe('2026-11-10T18:00:00.000Z');
    expect(momentOf('2026-11-10', 'Pacific/Kiritimati')).toBe('2026-11-09T22:00:00.000Z');
    for (const zone of zones) expect(localDay(momentOf('2026-11-10', zone)!, zone)).toBe('2026-11-10');
  });
  it.each(['2026-02-30', '2026-02-30T10:00:00Z', '2026-13-01', '2026-11-10T10:00:00', '2026-11-10T25:00:00Z', 'yesterday', ''])(
    '%s is none',
    (text) => {
      for (const zone of zones) expect(momentOf(text, zone)).toBeNull();
    },
  );
});

describe('the wall', () => {
  it('shows the day and hour of its zone', () => {
    expect(localTime('2026-11-21T02:00:00.000Z', 'America/Chicago')).toBe('2026-11-20T20:00:00.000');
    expect(localTime('2026-11-28T13:05:00.000Z', 'Pacific/Kiritimati')).toBe('2026-11-29T03:05:00.000');
    expect(localDay('2026-11-21T02:00:00.000Z', 'UTC')).toBe('2026-11-21');
  });
  it('goes with the clocks on the days when they change', () => {
    // Chicago, 1 November 2026: 06:59Z is still summer time, 07:01Z is not.
    expect(localTime('2026-11-01T06:59:00.000Z', 'America/Chicago')).toBe('2026-11-01T01:59:00.000');
    expect(localTime('2026-11-01T07:01:00.000Z', 'America/Chicago')).toBe('2026-11-01T01:01:00.000');
  });
  it('and the moment of its hour go back and forth', () => {
    for (const zone of zones)
      for (const day of ['2026-01-15', '2026-03-08', '2026-07-04', '2026-10-31', '2026-12-31'])
        expect(localTime(momentAt(day, '10:30', zone), zone)).toBe(`${day}T10:30:00.000`);
  });
});
