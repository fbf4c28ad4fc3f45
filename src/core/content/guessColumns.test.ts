import { describe, expect, it } from 'vitest';
import { catalogueSpecs } from './catalogueColumns';
import { guessColumns } from './guessColumns';
import type { RawTable } from './rawTable';
import { readColumns } from './readColumns';

const table = (...rows: string[]): RawTable => ({
  name: 'One',
  remarks: [],
  rows: rows.map((r, i) => ({ row: i + 1, cells: r === '' ? [] : r.split('|') })).filter((r) => r.cells.length > 0),
});
const guess = (t: RawTable) => guessColumns(t, catalogueSpecs, ['game']);
const read = (t: RawTable) => readColumns(t, guess(t)).rows.map((r) => r.cells);

describe('how a sheet is to be read', () => {
  it('finds the row that names the columns under a title, and says what was not read', () => {
    const t = table('Our games, all of them', '', 'Title|Gr.|Grp|Mins|Stuff', 'Dot flash|K|any|5|dot cards');
    expect(guess(t)).toEqual({
      table: 'One',
      use: true,
      headerRow: 3,
      columns: ['game', 'grade', 'players', 'minutes', 'materials'],
      asAbove: [],
    });
    expect(readColumns(t, guess(t)).remarks[0]!.message).toContain('stands above the names of the columns');
  });
  it('takes the lower of two rows of names where it names more', () => {
    const t = table('The game||How it goes', 'Game|Ages|Players|Time', 'Dot flash|5-6|2|5');
    expect(guess(t).headerRow).toBe(2);
    expect(read(t)).toHaveLength(1);
  });
  it('allows one slip of the finger in a long word, none in a short one', () => {
    expect(guess(table('Game|Playrs|Minuets|Agse', 'a|2|3|4')).columns).toEqual(['game', 'players', null, null]);
  });
  it('fills down what is said once, and with it the others of its kind', () => {
    const t = table('Week|Grade|Game|Standard', '1|K|A|K.CC.B.4', '||B|', '||C|K.MD.A.2', '2|1|D|', '||E|');
    expect(guess(t).asAbove).toEqual([0, 1, 3]);
    expect(read(t).map((r) => [r['Week'], r['grade'], r['Standard']])).toEqual([
      ['1', 'K', 'K.CC.B.4'],
      ['1', 'K', 'K.CC.B.4'],
      ['1', 'K', 'K.MD.A.2'],
      ['2', '1', 'K.MD.A.2'],
      ['2', '1', 'K.MD.A.2'],
    ]);
  });
  it('leaves a blank a blank where most are filled, and in columns that are told row by row', () => {
    expect(guess(table('Grade|Game', 'K|A', '|B', '1|C', '2|D', '3|E')).asAbove).toEqual([]);
    expect(guess(table('Game|Condition', 'A|torn', 'B|', 'C|', 'D|')).asAbove).toEqual([]);
  });
  it('knows columns without names by what stands in them', () => {
    const t = table(
      'Make ten pairs|K-1|2-4|turn two cards over and keep them if they make ten',
      'Dot flash|PreK-K|2-6|show for three seconds and hide it, how many were there?',
    );
    expect(guess(t)).toMatchObject({ headerRow: 0, use: true, columns: ['game', 'grade', 'players', 'notes'] });
    expect(read(t)).toHaveLength(2);
  });
  it('finds the games under a name nobody knows, and leaves out a sheet without any', () => {
    expect(guess(table('Gizmo|Ages', 'Dot flash|5', 'Ten pairs|6')).columns).toEqual(['game', 'ages']);
    expect(guess(table('Ages|Time', '5|10', '6|12')).use).toBe(false);
  });
  it('keeps two unknown columns of one name apart', () => {
    const t = table('Game|Where to look|Where to look', 'A|x|y');
    expect(readColumns(t, guess(t)).unread).toEqual(['Where to look', 'Where to look (2)']);
  });
  it('reads a mended cell in place of what stands there', () => {
    const t = table('Game|Ages', 'A|???');
    expect(readColumns(t, guess(t), [{ table: 'One', row: 2, column: 'ages', value: '5-6' }]).rows[0]!.cells['ages']).toBe('5-6');
    expect(readColumns(t, guess(t), [{ table: 'Other', row: 2, column: 'ages', value: '5-6' }]).rows[0]!.cells['ages']).toBe('???');
  });
});
