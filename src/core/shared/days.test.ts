import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { addDays, dayNumber, daysBetween, isDay, isTime, monthBefore, monthsBetween, weekdayOf } from './days';

// The reference is the time library of ECMA-262's Temporal proposal.
const epoch = Temporal.PlainDate.from('1970-01-01');

describe('days', () => {
  it('agree with the time library over two centuries', () => {
    for (let n = -36_000; n < 48_000; n += 13) {
      const day = epoch.add({ days: n });
      const text = day.toString();
      expect([text, dayNumber(text), weekdayOf(text), isDay(text)]).toEqual([text, n, day.dayOfWeek, true]);
      expect(addDays(text, 400)).toBe(day.add({ days: 400 }).toString());
    }
  });
  it('are refused when there is no such day', () => {
    for (const text of ['2026-02-30', '2026-13-01', '2025-02-29', '2026-00-10', '2026-1-1', '0026-01-01x', '', 'today', '2026-11-10T10:00'])
      expect([text, isDay(text)]).toEqual([text, false]);
    expect(isDay('2024-02-29')).toBe(true);
  });
  it('lie apart by whole days, whatever the clocks do between them', () => {
    // In many zones clocks change between these two days.
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(daysBetween('2026-11-10T22:00:00.000', '2026-11-01')).toBe(-9);
  });
  it('count months', () => {
    expect(monthsBetween('2019-09', '2026-11-28')).toBe(86);
    expect(monthBefore('2026-11-28', 86)).toBe('2019-09');
    expect(monthBefore('2026-01-05', 1)).toBe('2025-12');
    expect(monthBefore('2026-01-05', 12)).toBe('2025-01');
  });
});

describe('times of day', () => {
  it.each(['00:00', '09:30', '23:59'])('%s is one', (text) => expect(isTime(text)).toBe(true));
  it.each(['24:00', '25:99', '9:30', '10:60', 'half past nine', '10:00 '])('%s is none', (text) => expect(isTime(text)).toBe(false));
});
