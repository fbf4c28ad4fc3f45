import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { readStrip, stripNumber } from './stripNumber';

const small = fc.integer({ min: 0, max: 30 });

describe('the number of a strip', () => {
  it('is read back as it was written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999_999 }), small, small, (number, round, table) => {
        expect(readStrip(stripNumber({ number, round, table }))).toEqual({ number, round, table });
      }),
    );
  });

  it('is read however its parts are kept apart, and without its table or round', () => {
    for (const typed of ['37-2-1', '37 2 1', ' 37.2.1 ', '37/2/1', '37–2–1', '37 - 2 - 1'])
      expect(readStrip(typed), typed).toEqual({ number: 37, round: 1, table: 0 });
    expect(readStrip('37-2')).toEqual({ number: 37, round: 1, table: null });
    expect(readStrip('37')).toEqual({ number: 37, round: null, table: null });
  });

  it('is nothing else: no words, no round or table nought', () => {
    for (const typed of ['', 'lamp', '37-0-1', '37-2-0', '37-2-1-4', '3a', '-37', '37-200']) expect(readStrip(typed), typed).toBeNull();
  });
});
