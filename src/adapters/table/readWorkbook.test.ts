import { readFileSync } from 'node:fs';
import exceljs from 'exceljs';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { columnOf, lettersOf } from './boundedSheet';
import { isPacked, packedTables, textTables } from './readTables';
import { readWorkbook } from './readWorkbook';
import { zipEntries } from './zip';

const bytesOf = async (book: exceljs.Workbook): Promise<Uint8Array> => new Uint8Array((await book.xlsx.writeBuffer()) as ArrayBuffer);
const read = async (fill: (sheet: exceljs.Worksheet, book: exceljs.Workbook) => void) => {
  const book = new exceljs.Workbook();
  fill(book.addWorksheet('Games'), book);
  return readWorkbook(await bytesOf(book));
};
const message = (r: Awaited<ReturnType<typeof readWorkbook>>): string => (r.ok ? 'read' : r.problem.message);

describe('a workbook', () => {
  it('is read cell by cell as it shows: numbers, words, days, formulas by their last result', async () => {
    const r = await read((s) => {
      s.addRow(['Game', 'Minutes', 'Group', 'Sum']);
      s.addRow(['Dot flash', 5, new Date(Date.UTC(2026, 1, 4)), { formula: 'B2*2', result: 10 }]);
      s.addRow([{ richText: [{ text: 'Two ' }, { text: 'lamps' }] }, 0.1 + 0.2, true, { error: '#DIV/0!' } as never]);
    });
    expect(r.ok && r.value).toEqual([
      {
        name: 'Games',
        remarks: [{ row: 1, message: '1 cell holds a formula; the last result was read.' }],
        rows: [
          { row: 1, cells: ['Game', 'Minutes', 'Group', 'Sum'] },
          { row: 2, cells: ['Dot flash', '5', '2026-02-04', '10'] },
          { row: 3, cells: ['Two lamps', '0.3', 'yes'] },
        ],
      },
    ]);
  });

  it('shows a merged cell at each of its places, leaves out hidden and empty sheets', async () => {
    const r = await read((s, book) => {
      s.addRow(['Bin', 'Game']);
      s.addRow(['Blue', 'A']);
      s.addRow(['', 'B']);
      s.mergeCells('A2:A3');
      book.addWorksheet('Empty');
      const hidden = book.addWorksheet('Hidden');
      hidden.state = 'hidden';
      hidden.addRow(['secret']);
    });
    expect(r.ok && r.value.map((t) => [t.name, t.rows.map((x) => x.cells.join('|'))])).toEqual([
      ['Games', ['Bin|Game', 'Blue|A', 'Blue|B']],
    ]);
  });

  it('finds what another reader of the same file wrote: two sheets, titles, ranges that became days', async () => {
    const r = await readWorkbook(new Uint8Array(readFileSync('examples/curriculum-as-kept.xlsx')));
    expect(r.ok && r.value.map((t) => [t.name, t.rows.length])).toEqual([
      ['Unit 1 Add Subtract', 23],
      ['Unit 2 PV-Meas-Frac', 24],
    ]);
    expect(r.ok && r.value[0]!.rows.find((x) => x.row === 10)!.cells[7]).toBe('2026-02-04');
  });

  it('refuses more columns, rows or letters than a list has, and says which', async () => {
    expect(message(await read((s) => void (s.getCell(1, 300).value = 'far')))).toContain('“Games” has 300 columns; at most 200');
    expect(message(await read((s) => void (s.getCell(2, 2).value = 'x'.repeat(10_001))))).toContain('row 2, B2: more than 10000 letters');
  });

  describe('with places that would keep its reader for ever', () => {
    /** A workbook whose only sheet holds this. */
    const withSheet = async (data: string, after = ''): Promise<Uint8Array> => {
      const book = new exceljs.Workbook();
      book.addWorksheet('Games').addRow(['x']);
      const parts = unzipSync(await bytesOf(book));
      const sheet = strFromU8(parts['xl/worksheets/sheet1.xml']!).replace(
        /<sheetData>.*<\/sheetData>/s,
        `<sheetData>${data}</sheetData>${after}`,
      );
      return zipSync({ ...parts, 'xl/worksheets/sheet1.xml': strToU8(sheet) });
    };
    const cell = (place: string, text: string): string => `<c${place} t="inlineStr"><is><t>${text}</t></is></c>`;

    it.each([
      ['a row numbered 1,000,000,000', `<row r="1000000000">${cell(' r="A1000000000"', 'far')}</row>`, 'a row numbered 1,000,000,000'],
      ['a cell in XFD', `<row r="1">${cell(' r="XFD1"', 'far')}</row>`, 'column XFD (16,384)'],
      ['a row one past what is read', `<row r="200001">${cell(' r="A200001"', 'far')}</row>`, 'a row numbered 200,001'],
      ['a place that no workbook has', `<row r="1">${cell(' r="ZZZZ1"', 'far')}</row>`, 'column ZZZZ'],
    ])('refuses %s in words, at once', async (_, data, words) => {
      expect(message(await readWorkbook(await withSheet(data)))).toContain(words);
    });
    it('refuses cells merged over a whole column', async () => {
      const merged = '<mergeCells count="1"><mergeCell ref="A1:A1048576"/></mergeCells>';
      const data = `<row r="1">${cell(' r="A1"', 'x')}</row>`;
      expect(message(await readWorkbook(await withSheet(data, merged)))).toContain('merges 1,048,576 cells');
    });
    it('reads rows and cells that leave their place out: the next one is meant', async () => {
      const r = await readWorkbook(
        await withSheet(
          `<row>${cell('', 'Game')}${cell('', 'Bin')}</row><row r="4">${cell('', 'Lamps')}${cell(' r="C4"', 'far')}${cell('', 'next')}</row><row>${cell('', 'Bees')}</row>`,
        ),
      );
      expect(r.ok && r.value[0]!.rows).toEqual([
        { row: 1, cells: ['Game', 'Bin'] },
        { row: 4, cells: ['Lamps', '', 'far', 'next'] },
        { row: 5, cells: ['Bees'] },
      ]);
    });
    it('names a column by its letters and back', () => {
      for (const [letters, n] of [
        ['A', 1],
        ['Z', 26],
        ['AA', 27],
        ['AB', 28],
        ['XFD', 16_384],
      ] as const)
        expect([columnOf(`${letters}7`), lettersOf(n)]).toEqual([n, letters]);
      expect(columnOf('7')).toBe(0);
    });
  });

  it('bounds what a zip would unpack to before it is opened', () => {
    const bomb = zipSync({ 'xl/workbook.xml': strToU8('<a/>'), 'xl/sheet.xml': new Uint8Array(70 * 1024 * 1024) }, { level: 9 });
    expect(bomb.length).toBeLessThan(200_000);
    const r = zipEntries(bomb);
    expect(!r.ok && r.problem.message).toMatch(/would unpack to 73 MB in 2 parts/);
  });

  it('says of what is no workbook that it is none', async () => {
    expect(message(await readWorkbook(zipSync({ 'photo.txt': strToU8('x') })))).toContain('holds no workbook');
    expect(message(await readWorkbook(new Uint8Array([0x50, 0x4b, 3, 4, 1, 2, 3])))).toMatch(/cannot be opened|holds no workbook/);
    expect(message(await readWorkbook(zipSync({ 'xl/workbook.xml': strToU8('<a/>') })))).toMatch(/damaged|no rows/);
    const old = textTables(new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 1]));
    expect(!old.ok && old.problem.message).toContain('.xls');
    expect(isPacked(new TextEncoder().encode('game\n'))).toBe(false);
  });

  it('reads a zipped school roster wherever its files lie in it', async () => {
    const zip = zipSync({
      'export/users.csv': strToU8(
        '\uFEFFsourcedId,status,enabledUser,role,givenName,familyName,grades,password\nu1,,true,student,Ines,Alder,01,secret\n',
      ),
      'export/classes.csv': strToU8('sourcedId,title\nk1,Tuesday\n'),
      'export/enrollments.csv': strToU8('sourcedId,classSourcedId,userSourcedId,role\ne1,k1,u1,student\n'),
    });
    const r = await packedTables(zip);
    expect(r.ok && r.value[0]!.rows.map((x) => x.cells)).toEqual([
      ['nickname', 'grade', 'group'],
      ['Ines', '1', 'Tuesday'],
    ]);
    const alone = textTables(strToU8('sourcedId,status,enabledUser,role,givenName,grades\nu1,,true,student,Ines,KG\n'));
    expect(alone.ok && alone.value[0]!.rows[1]!.cells).toEqual(['Ines', 'KG', '']);
  });

  it('does not look at macros, and says so', async () => {
    const book = new exceljs.Workbook();
    book.addWorksheet('Games').addRow(['Game']);
    const parts = unzipSync(await bytesOf(book));
    const r = await readWorkbook(zipSync({ ...parts, 'xl/vbaProject.bin': strToU8('macro') }));
    expect(r.ok && r.value[0]!.remarks[0]!.message).toBe('The file holds macros; they were not looked at.');
  });
});
