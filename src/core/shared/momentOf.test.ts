import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { momentOf } from './momentOf';

describe('a moment as it was written', () => {
  it.each([
    ['2026-11-10', '2026-11-10T12:00:00.000Z'],
    ['2028-02-29', '2028-02-29T12:00:00.000Z'],
    ['2026-11-10T10:35Z', '2026-11-10T10:35:00.000Z'],
    ['2026-11-10T23:30:00-05:00', '2026-11-11T04:30:00.000Z'],
  ])('%s is %s', (text, moment) => expect(momentOf(text)).toBe(moment));
  it.each([
    '',
    '10 November',
    '2026-11',
    '2026-02-29',
    '2026-02-30',
    '2026-02-30T10:00:00Z',
    '2026-13-01',
    '2026-11-10T10:35',
    '2026-11-10T25:00Z',
    '2026-11-10 10:35Z',
  ])('"%s" is none', (text) => expect(momentOf(text)).toBeNull());
  it('of what a machine wrote is the same again', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1990-01-01'), max: new Date('2090-01-01'), noInvalidDate: true }), (d) => {
        expect(momentOf(d.toISOString())).toBe(d.toISOString());
      }),
    );
  });
});
