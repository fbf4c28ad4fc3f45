import { describe, expect, it } from 'vitest';
import { mondayOf, pacingColumnOf, readPacing } from './readPacing';

const expectations = ['K.OA.A.4', '1.OA.C.6', '1.OA.B.3', '3.NF.A.1', 'Y1-AS-1'].map((code) => ({ identifier: `id:${code}`, code }));
const rows = (...cells: [string, string][]) => cells.map(([week, code], i) => ({ row: i + 2, cells: { week, code } }));
const read = (...cells: [string, string][]) => readPacing(rows(...cells), expectations, '2026-09-02');
const told = (...cells: [string, string][]): string[] => read(...cells).codes.map((c) => `${c.week} ${c.identifier.slice(3)}`);

describe('a pacing list', () => {
  it('has weeks as days, begun on their Monday, or counted from the first week of the term', () => {
    // 2 September 2026 is a Wednesday (ISO 8601 calendar).
    expect(mondayOf('2026-09-02')).toBe('2026-08-31');
    expect(told(['2026-09-16', '1.OA.C.6'])).toEqual(['2026-09-14 1.OA.C.6']);
    expect(told(['1', '1.OA.C.6'], ['Week 3', 'K.OA.A.4'], ['wk 4', '3.NF.A.1'])).toEqual([
      '2026-08-31 1.OA.C.6',
      '2026-09-14 K.OA.A.4',
      '2026-09-21 3.NF.A.1',
    ]);
    expect(told(['16/9/2026', '1.OA.C.6'], ['21.09.2026', 'K.OA.A.4'])).toEqual(['2026-09-14 1.OA.C.6', '2026-09-21 K.OA.A.4']);
    expect(told(['2026-09-14 to 2026-09-18', '1.OA.C.6'])).toEqual(['2026-09-14 1.OA.C.6']);
  });
  it('knows codes however they are written, several in a cell, and once each', () => {
    expect(told(['1', '1.oa.6; K-OA-A-4, 1OAB3 and 3.NF.1'])).toEqual([
      '2026-08-31 1.OA.C.6',
      '2026-08-31 K.OA.A.4',
      '2026-08-31 1.OA.B.3',
      '2026-08-31 3.NF.A.1',
    ]);
    expect(told(['1', 'Y1-AS-1'], ['', 'K.OA.A.4'], ['', ''], ['1', 'y1 as 1'])).toEqual(['2026-08-31 Y1-AS-1', '2026-08-31 K.OA.A.4']);
  });
  it('tells what it cannot read, by row and field, and leaves nothing out in silence', () => {
    const { problems, codes } = read(
      ['', '1.OA.C.6'],
      ['soon', '1.OA.C.6'],
      ['1', '9.ZZ.Z.9'],
      ['99', '1.OA.C.6'],
      ['3/4/2026', '1.OA.C.6'],
    );
    expect(problems.map((p) => [p.row, p.field])).toEqual([
      [2, 'week'],
      [3, 'week'],
      [4, 'code'],
      [5, 'week'],
      [6, 'week'],
    ]);
    expect(codes).toEqual([]);
    expect(readPacing(rows(['2', '1.OA.C.6']), expectations, null).problems[0]!.message).toMatch(/Say first when the term begins/);
  });
  it('is known by what people head its columns with', () => {
    expect(['Week of', 'WEEK', 'Wk', 'Standards', 'code'].map(pacingColumnOf)).toEqual(['week', 'week', 'week', 'code', 'code']);
  });
});
