import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFacts, writeFacts } from './factList';
import { guardCell, unguardCell } from './guardCell';
import { cleanName, nameKey, sameName } from './names';

describe('cells of our own files', () => {
  it('run in no spreadsheet, and come back as they were', () => {
    for (const cell of ['=Max', '+1', '-x', '@y', "'=Max", "''=Max", "'quoted'", 'plain', ''])
      expect([guardCell(cell), unguardCell(guardCell(cell))]).toEqual([expect.not.stringMatching(/^[=+\-@]/), cell]);
    fc.assert(
      fc.property(fc.string(), (cell) => {
        expect(unguardCell(guardCell(cell))).toBe(cell);
        expect(guardCell(cell)).not.toMatch(/^[=+\-@\t\r]/);
      }),
    );
  });
  it('hold facts that come back', () => {
    const facts = [
      { op: 'add', a: 8, b: 7, correct: false },
      { op: 'subtract', a: 12.5, b: -4, correct: true },
    ] as const;
    expect(readFacts(writeFacts(facts))).toEqual(facts);
    expect(readFacts('')).toEqual([]);
    for (const text of ['8 + 7', 'add 8 7', 'add 8 x right', 'juggle 1 2 right']) expect([text, readFacts(text)]).toEqual([text, null]);
  });
});

describe('names', () => {
  it('are kept without what cannot be seen', () => {
    expect(cleanName(' La\u200brk\u202e\u0000 ')).toBe('Lark');
    // Joiners belong to the writing of some scripts.
    expect(cleanName('क्\u200dष')).toBe('क्\u200dष'.normalize('NFC'));
  });
  it('are the same whatever their case, width and punctuation, and differ by letters, marks and signs', () => {
    for (const [x, y] of [
      ['Two  Lamps!', 'two lamps'],
      ['ＡＢＣ', 'abc'],
      ['é', 'e\u0301'],
      ['3 x 4', '3 × 4'],
      ['1-10', '1–10'],
    ] as const)
      expect([x, sameName(x, y)]).toEqual([x, true]);
    for (const [x, y] of [
      ['Bee', 'Bees'],
      ['Üben', 'Öben'],
      ['+', '−'],
      ['×', '÷'],
      ['3+4', '3-4'],
      ['कि', 'का'],
      ['й', 'и'],
    ] as const)
      expect([x, y, sameName(x, y)]).toEqual([x, y, false]);
  });
  it('are compared by something stable', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        expect(nameKey(nameKey(text))).toBe(nameKey(text));
      }),
    );
  });
});
