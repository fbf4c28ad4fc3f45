import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { eq } from 'drizzle-orm';
import { games, variants } from '../db/schema';
import { readTables } from '../shared/readTables';
import { undoChange } from '../undo/undo';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { importTables, type ImportWishes } from './importShelf';
import { textTables } from '../../adapters/table/readTables';

const now = '2026-11-29T10:00:00.000Z';
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());

const text = (csv: string, wishes: ImportWishes = {}) => {
  const tables = textTables(new TextEncoder().encode(csv));
  if (!tables.ok) throw new Error(tables.problem.message);
  return importTables(place.db, tables.value, wishes, now);
};
const list = 'Game,Grade,Players,Time,Where\nDot flash,K,2,5,Blue\nTen pairs,1,2-4,15,Blue\n';

describe('things in a file', () => {
  const row = (materials: string, parameters = 'dice=2; highestFace=12'): string =>
    `Game,Mechanism,Parameters,Materials\nLong Branch,track-race,${parameters},${materials}\n`;
  it('that cannot play the version are told by row and field, and nothing comes in', () => {
    const found = text(row('2 pip dice; track board'));
    expect(found.rows).toEqual([]);
    expect(found.problems[0]).toMatchObject({ code: 'impossible-parameters', row: 2, field: 'materials' });
    expect(found.problems[0]!.message).toMatch(/Row 2, materials: This version needs .*, and nothing on its list has them\. .* would do\./);
    expect(problemOf(() => text(row('2 pip dice; track board'), { commit: true }))).toMatchObject({ row: 2, field: 'materials' });
    expect(place.db.select().from(games).all()).toEqual([]);
  });
  it('that can play it, and things of the owner’s own, are taken', () => {
    expect(text(row('2 twelve-sided dice; track board')).problems).toEqual([]);
    expect(text(row('number spinner of ours')).problems).toEqual([]);
    expect(text(row('2 pip dice; track board', 'dice=2')).problems).toEqual([]);
  });
});

describe('a workbook as its owner keeps it', () => {
  it('comes in whole at the first try: two sheets, titles, blanks as above, ranges that became days', async () => {
    const raw = await readTables(readFileSync('examples/curriculum-as-kept.xlsx'));
    const found = importTables(place.db, raw, {}, now);
    expect(found.problems).toEqual([]);
    expect(found.tables.map((t) => [t.use, t.headerRow])).toEqual([
      [true, 2],
      [true, 3],
    ]);
    const of = (title: string) => found.rows.find((r) => r.game === title)!;
    // Blank means kindergarten as above; 2-4 had become the fourth of February.
    expect(of('Roll, say, gather')).toMatchObject({ ages: [5, 6], players: [2, 4], minutes: 10 });
    expect(of('Fact families, face up').players).toEqual([2, 4]);
    expect(of('Sorting trays + tally').ages).toEqual([5, 6]);
    expect(of('Make the target').ages).toEqual([9, 11]);
    expect(of('Friends of ten, upside down').notes).toContain('Standard(s): K.OA.A.4'.slice(0, 12));
    // The count under the table is no game.
    expect(found.rows.some((r) => r.game === '20')).toBe(false);
    expect(found.rows.length).toBeGreaterThan(38);
    expect(importTables(place.db, raw, { commit: true }, now).added.variants).toBe(found.rows.length);
  });

  it('is read through the API, and as its owner says', async () => {
    const base64 = readFileSync('examples/curriculum-as-kept.xlsx').toString('base64');
    const { body } = await ask('POST', '/imports/shelf', { base64 });
    const choices = body.tables.map(({ table, headerRow, columns, asAbove }: ImportChoice, i: number) => ({
      table,
      use: i === 0,
      headerRow,
      columns,
      asAbove,
    }));
    const { body: one } = await ask('POST', '/imports/shelf', { base64, choices });
    expect(one.rows.every((r: { table: string }) => r.table === 'Unit 1 Add Subtract')).toBe(true);
    expect(one.rows.length).toBeLessThan(body.rows.length);
  });
});

interface ImportChoice {
  readonly table: string;
  readonly headerRow: number;
  readonly columns: (string | null)[];
  readonly asAbove: number[];
}

describe('a list that comes again', () => {
  it('shows what it tells otherwise, changes it when that is wanted, and takes it back in one step', () => {
    text(list, { commit: true });
    const again = list.replace('K,2,5,Blue', 'K-1,2-3,8,Green').replace('Ten pairs,1,2-4,15', 'Ten pairs,1,2-4,15');
    const found = text(again);
    expect(found.rows.map((r) => [r.game, r.already, r.changes])).toEqual([
      [
        'Dot flash',
        true,
        [
          { field: 'ages', before: '5–6', after: '5–7' },
          { field: 'players', before: '2', after: '2–3' },
          { field: 'minutes', before: '5', after: '8' },
          { field: 'bin', before: 'Blue', after: 'Green' },
        ],
      ],
      ['Ten pairs', true, []],
    ]);
    expect(text(again, { commit: true }).added).toMatchObject({ variants: 0, changed: 0 });
    const row = () => place.db.select().from(variants).where(eq(variants.id, 'dot-flash-as-it-comes')).get()!;
    expect(row().minutes).toBe(5);
    const { change, added } = text(again, { commit: true, update: true });
    expect(added.changed).toBe(1);
    expect(row()).toMatchObject({ minutes: 8, playersMax: 3, agesMax: 7 });
    expect(place.db.select().from(games).where(eq(games.id, 'dot-flash')).get()!.binId).toBe('green');
    undoChange(place.db, change!, now);
    expect(row()).toMatchObject({ minutes: 5, playersMax: 2, agesMax: 6 });
  });

  it('changes nothing by a column that is not there', () => {
    text(list, { commit: true });
    expect(text('Game\nDot flash\nTen pairs\n').rows.flatMap((r) => r.changes)).toEqual([]);
  });
});

describe('rows that need mending', () => {
  const broken = 'Game,Ages\nDot flash,???\nTen pairs,xyz\n';
  it('say what stands there, and are read as they are mended or left out', () => {
    const found = text(broken.replace('xyz', '9-4'));
    expect(found.problems).toHaveLength(1);
    expect(found.problems[0]).toMatchObject({ row: 3, field: 'ages', detail: { table: '', game: 'Ten pairs', value: '9-4' } });
    const place0 = { table: '', row: 3 };
    expect(text(broken, { mended: [{ ...place0, column: 'ages', value: '6-7' }] }).rows[1]!.ages).toEqual([6, 7]);
    expect(text(broken, { left: [place0] }).rows.map((r) => r.game)).toEqual(['Dot flash']);
  });

  it('bring in nothing while one is left, and nothing at all without a column of games', () => {
    expect(problemOf(() => text(broken, { commit: true }))).toMatchObject({ row: 3, field: 'ages' });
    expect(place.db.select().from(games).all()).toEqual([]);
    expect(problemOf(() => text('Ages,Time\n5,10\n', { commit: true, skip: true }))).toMatchObject({
      code: 'missing-column',
      field: 'game',
    });
  });
});
