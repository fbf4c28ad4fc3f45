import fc from 'fast-check';
import iconv from 'iconv-lite';
import { describe, expect, it } from 'vitest';
import { csvCells, limitBytes, readCsv } from './readCsv';
import { readText } from './readText';
import { writeCsv } from './writeCsv';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const columnOf = (header: string): string | null => (header.trim().toLowerCase() === 'name' ? 'name' : null);
const read = (file: string | Uint8Array, required: readonly string[] = ['name']) =>
  readCsv(typeof file === 'string' ? bytes(file) : file, columnOf, required);
const table = (file: string | Uint8Array) => {
  const result = read(file);
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};
const problem = (file: string | Uint8Array) => {
  const result = read(file);
  if (result.ok) throw new Error('it was read');
  return result.problem;
};
/** UTF-16 as spreadsheets save it, the order of bytes given. */
const utf16 = (text: string, big: boolean, mark: boolean): Uint8Array => {
  const units = [...(mark ? '\uFEFF' : ''), ...text].map((c) => c.charCodeAt(0));
  return Uint8Array.from(units.flatMap((u) => (big ? [u >> 8, u & 255] : [u & 255, u >> 8])));
};

describe('a CSV file', () => {
  it('names our columns and keeps the others as typed', () =>
    expect(table('Name , Where\nLamps,Bees\n')).toEqual({
      headers: ['name', 'Where'],
      rows: [{ row: 2, cells: { name: 'Lamps', Where: 'Bees' } }],
      remarks: [],
    }));
  it.each([',', ';', '\t', '|'])('is separated by %j', (d) =>
    expect(table(`name${d}b\nx${d}y`).rows[0]!.cells).toEqual({ name: 'x', b: 'y' }),
  );
  it('is separated as its first line says, and counts that line', () => {
    expect(table('sep=;\nname;b\nx,1;y').rows).toEqual([{ row: 3, cells: { name: 'x,1', b: 'y' } }]);
    expect(table('"sep=|"\r\nname|b\r\nx|y').rows[0]!.row).toBe(3);
    expect(problem('sep=;\nother;b\nx;y')).toMatchObject({ code: 'missing-column', row: 2 });
  });
  it('does not take a separator inside quotation marks for one', () =>
    expect(table('name,"a;b;c;d"\nx,y').headers).toEqual(['name', 'a;b;c;d']));
  it('counts lines as the file has them, line breaks in cells too', () =>
    expect(table('name,b\r\n"x\r\ny",1\r\n\r\nz,2\n').rows.map((r) => r.row)).toEqual([2, 5]));
  it('may stop early in a row, and end in empty cells', () => {
    expect(table('name,b,c\nx').rows[0]!.cells).toEqual({ name: 'x', b: '', c: '' });
    expect(table('name,b,,\nx,y,,,').rows[0]!.cells).toEqual({ name: 'x', b: 'y' });
    expect(problem('name,b\nx,y,z')).toMatchObject({
      code: 'not-csv',
      row: 2,
      message: expect.stringContaining('Row 2 has 3 cells where the first line has 2') as unknown,
    });
  });
  it('lets rows of nothing go', () => expect(table('name\n \n x \n').rows).toEqual([{ row: 3, cells: { name: ' x ' } }]));
  it.each([
    ['', 'The file is empty.'],
    ['\n\n', 'The file holds no rows.'],
    ['name\n"open', 'a quotation mark is open'],
    ['name,NAME\nx,y', 'The column "name" is there twice.'],
    ['title\nx', '"name" is missing. It reads: title'],
  ])('%j is refused in words', (file, words) => expect(problem(file).message).toContain(words));
  it('takes as much as it says, and no more', () => {
    expect(table(`name\n${'x\n'.repeat(20_000)}`).rows).toHaveLength(20_000);
    expect(problem(`name\n${'x\n'.repeat(20_001)}`)).toMatchObject({
      code: 'too-large',
      message: 'The file has 20001 rows; at most 20000 are read.',
    });
    expect(table(`name\n${'x'.repeat(10_000)}`).rows).toHaveLength(1);
    expect(problem(`name\n${'x'.repeat(10_001)}`)).toMatchObject({ code: 'too-large', field: 'name', row: 2 });
    expect(table(`name${',b'.repeat(0)}${Array.from({ length: 199 }, (_, i) => `,c${i}`).join('')}\nx`).headers).toHaveLength(200);
    expect(problem(`name${Array.from({ length: 200 }, (_, i) => `,c${i}`).join('')}\nx`)).toMatchObject({ code: 'too-large', row: 1 });
    expect(problem(new Uint8Array(limitBytes + 1).fill(65))).toMatchObject({ code: 'too-large', field: 'file' });
  });
  it('comes back as it went out, formulas, quotation marks and line breaks too', () => {
    const cell = fc
      .string({ unit: 'grapheme', maxLength: 12 })
      .filter((s) => s.trim() !== '' && !s.includes('\r') && !s.includes('\0') && !s.includes('\uFEFF'));
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), (rows) => {
        const { rows: back } = table(writeCsv([['name', 'b'], ...rows]));
        expect(back.map((r) => [r.cells['name'], r.cells['b']])).toEqual(rows);
      }),
    );
  });
  it('guards what a spreadsheet would work out, and leaves numbers alone', () =>
    expect(
      writeCsv([
        ['a', 'b'],
        ['=1+1', -3],
      ]),
    ).toBe("\uFEFFa,b\r\n'=1+1,-3\r\n"));
});

describe('the bytes of a text', () => {
  const text = 'name;Größe — 8−3';
  it.each([
    ['utf-8', bytes(text)],
    ['utf-16le', utf16(text, false, true)],
    ['utf-16be', utf16(text, true, true)],
  ] as const)('are read as %s', (encoding, file) => expect(readText(file)).toMatchObject({ ok: true, value: { encoding } }));
  it.each([
    ['utf-16le', false],
    ['utf-16be', true],
  ] as const)('without a mark are still known as %s', (encoding, big) =>
    expect(readText(utf16('name,b\nLamps,Bees', big, false))).toEqual({ ok: true, value: { text: 'name,b\nLamps,Bees', encoding } }),
  );
  it('that are no UTF-8 are Windows-1252, and the file says so', () => {
    const old = Uint8Array.from([...bytes('name\nGr'), 0xf6, 0xdf, ...bytes('e')]);
    expect(readText(old)).toEqual({ ok: true, value: { text: 'name\nGröße', encoding: 'windows-1252' } });
    expect(table(old).remarks).toHaveLength(1);
    expect(table('name\nx').remarks).toEqual([]);
  });
  // Bytes of the published mapping tables CP1252.TXT and ROMAN.TXT (from memory).
  const windows = [0x96, 0x97, 0x91, 0x92, 0x93, 0x94, 0x85, 0x80, 0xd7, 0xe9];
  it('give each dash, curly quotation mark, ellipsis and euro back that Windows-1252 has', () => {
    const list = [...bytes('title,players,grade\n'), 0x93, ...bytes('Lamps'), 0x94, ...bytes(',2'), 0x96, ...bytes('4,Year 1'), 0x96, 50];
    expect(readText(Uint8Array.from(list))).toEqual({
      ok: true,
      value: { text: 'title,players,grade\n“Lamps”,2–4,Year 1–2', encoding: 'windows-1252' },
    });
    expect(readText(Uint8Array.from([...bytes('a '), ...windows, ...bytes(' 5')]))).toMatchObject({ value: { text: 'a –—‘’“”…€×é 5' } });
  });
  it('are Mac OS Roman where that reads more like words', () => {
    const list = [
      ...bytes('don'),
      0xd5,
      ...bytes('t, 2'),
      0xd0,
      ...bytes('4, caf'),
      0x8e,
      ...bytes(', '),
      0xd2,
      ...bytes('so'),
      0xd3,
      0xc9,
    ];
    expect(readText(Uint8Array.from(list))).toEqual({ ok: true, value: { text: 'don’t, 2–4, café, “so”…', encoding: 'macintosh' } });
    expect(csvCells(Uint8Array.from(list))).toMatchObject({
      value: { remarks: [{ message: expect.stringContaining('Mac OS Roman') as unknown }] },
    });
    // Since 1998 the place of the old currency sign is the euro's.
    expect(readText(Uint8Array.from([...bytes('caf'), 0x8e, 32, 0xdb, 50]))).toMatchObject({
      value: { text: 'café €2', encoding: 'macintosh' },
    });
  });
  it.each(['2–4', 'Year 1–2', 'don’t', 'the “big” one', 'wait…', 'Größe', 'café', 'naïve – so'])('%s is told in either of both', (text) => {
    for (const encoding of ['windows-1252', 'macintosh'])
      expect(readText(iconv.encode(`name\n${text}`, encoding))).toEqual({ ok: true, value: { text: `name\n${text}`, encoding } });
  });
  it.each(['utf-32le', 'utf-32be'] as const)('are read as %s with a mark and without', (encoding) => {
    for (const mark of [true, false])
      expect(readText(iconv.encode('name,b\nLamps,2–4', encoding, { addBOM: mark }))).toEqual({
        ok: true,
        value: { text: 'name,b\nLamps,2–4', encoding },
      });
  });
  it('that hold zeros are no text', () =>
    expect(readText(Uint8Array.from([65, 66, 67, 68, 0, 65, 66, 67]))).toMatchObject({ ok: false, problem: { code: 'not-csv' } }));
  it('keeps any line break inside a cell in its cell', () => {
    for (const text of ['one\ntwo', 'one\rtwo', 'one\r\ntwo']) {
      const cells = csvCells(
        new TextEncoder().encode(
          writeCsv([
            ['a', 'b'],
            [text, 'x'],
          ]),
        ),
      );
      expect(cells.ok && cells.value.rows[1]!.cells).toEqual([text, 'x']);
    }
  });
});
