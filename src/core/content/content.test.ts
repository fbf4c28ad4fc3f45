import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv } from '../../adapters/csv/readCsv';
import { checkParameters } from '../../contract/parameters';
import { shippedGraph, shippedKinds } from '../../contract/shippedData';
import { mechanismById } from '../mechanisms/registry';
import { readAges, readMaterial, readMinutes, readParameters, readSpan, slugOf } from './cells';
import { columnOf } from './catalogueColumns';
import { readCatalogue } from './readCatalogue';
import { monthsBetween } from '../shared/days';
import { bornOfGrade, readBirthMonth } from './birthMonth';
import { readRoster, rosterColumnOf } from './readRoster';

const context = {
  kinds: shippedKinds,
  skills: shippedGraph().skills,
  checkParameters,
  seatsOf: (id: string) => mechanismById(id)?.seats ?? null,
};
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const readShelf = (file: string) => {
  const table = readCsv(readFileSync(file), columnOf, ['game']);
  if (!table.ok) throw new Error(table.problem.message);
  return readCatalogue(table.value.rows, context);
};

describe('cells as people type them', () => {
  it.each([
    ['2-4', [2, 4]],
    ['2 to 4', [2, 4]],
    ['2–4', [2, 4]],
    ['3', [3, 3]],
    ['2+', [2, 12]],
    ['many', null],
    ['', null],
  ])('players %s', (text, want) => expect(readSpan(text, 12)).toEqual(want));
  it.each([
    ['6+', [6, 12]],
    ['K-2', [5, 8]],
    ['1st-3rd', [6, 9]],
    ['K', [5, 6]],
    ['5 - 8', [5, 8]],
    ['4 to 6 years', [4, 6]],
    ['grade 2', [7, 8]],
    ['when ready', null],
  ])('ages %s', (text, want) => expect(readAges(text)).toEqual(want));
  it.each([
    ['15 min', 15],
    ['10-12 min', 12],
    ['15', 15],
    ['1 h', 60],
    ['a while', null],
  ])('minutes %s', (text, want) => expect(readMinutes(text)).toEqual(want));
  it.each([
    ['2 dice', ['dice', 2]],
    ['dice x2', ['dice', 2]],
    ['2x dice', ['dice', 2]],
    ['counters x 20', ['counters', 20]],
    ['tens rods (20)', ['tens rods', 20]],
    ['two bead frames', ['bead frames', 2]],
    ['number deck 1-10', ['number deck 1-10', 1]],
    ['digit cards 0-9', ['digit cards 0-9', 1]],
  ])('materials %s', (text, [name, quantity]) => expect(readMaterial(text as string)).toEqual({ name, quantity }));
  it.each(['some dice', '-3 pegs', '? dice', '1.5 dice', '0 dice'])('refuses the quantity of "%s"', (text) =>
    expect(readMaterial(text)).toBeNull(),
  );
  it('reads parameters with numbers, truth and lists', () => {
    expect(readParameters('high=50; operations=add|subtract; matchTop=yes')).toEqual({
      high: 50,
      operations: ['add', 'subtract'],
      matchTop: true,
    });
    expect(readParameters('height is eight')).toBeNull();
  });
  it('makes ids of any title', () => {
    fc.assert(
      fc.property(fc.string(), (t) => {
        expect(slugOf(t)).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
      }),
    );
  });
});

describe('the example shelf', () => {
  const reading = readShelf('examples/shelf.csv');
  it('reads 25 things without a fault and says what it took in which way', () => {
    expect(reading.problems).toEqual([]);
    expect(reading.drafts.length).toBe(25);
    expect(reading.remarks).toEqual(expect.arrayContaining([{ row: 21, message: 'The same game and version as row 6; taken once.' }]));
    expect(reading.proposedKinds.map((k) => k.id).sort()).toEqual(['price-tag', 'ticket', 'wheel-card']);
  });
  it('understands ranges, grades, shouting and quotes', () => {
    const ladder = reading.drafts.find((d) => d.row === 4)!;
    expect(ladder).toMatchObject({ game: 'Honey Ladder', ages: [5, 8], players: [2, 4], source: 'made', mechanism: 'running-total' });
    expect(reading.drafts.find((d) => d.game === 'Points Four')!.notes).toBe('"the long box", top shelf');
    expect(reading.drafts.find((d) => d.game === 'Rope and Rods')!.materials).toEqual([
      { kind: 'tens-rods', quantity: 20 },
      { kind: 'linking-cubes', quantity: 40 },
    ]);
    expect(reading.drafts.find((d) => d.game === 'Fog Signals')!.declared).toEqual([
      { skill: 'tens-and-ones', perTenMinutes: 10 },
      { skill: 'compare-to-100', perTenMinutes: 14 },
    ]);
  });
});

describe('the broken shelf', () => {
  it('names the row and the field of each of its eleven faults', () => {
    const { problems } = readShelf('examples/shelf-broken.csv');
    expect([...new Set(problems.map((p) => p.row))]).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    expect(problems.filter((p) => p.row !== 8).map((p) => `${p.row} ${p.field} ${p.code}`)).toEqual([
      '2 game malformed',
      '3 players min out-of-range',
      '4 players max out-of-range',
      '5 ages malformed',
      '6 ages out-of-range',
      '7 minutes malformed',
      '9 source unknown-value',
      '10 mechanism unknown-mechanism',
      '11 parameters impossible-parameters',
      '12 parameters malformed',
    ]);
    expect(problems.filter((p) => p.row === 8).map((p) => p.code)).toEqual(['bad-quantity', 'bad-quantity']);
    expect(problems.find((p) => p.row === 11)!.message).toContain('No two cards from 1 to 10 make 30.');
  });
});

describe('files that are no CSV', () => {
  const codeOf = (b: Uint8Array): string => {
    const r = readCsv(b, columnOf, ['game']);
    return r.ok ? 'ok' : `${r.problem.code}${r.problem.row ? ` ${r.problem.row}` : ''}`;
  };
  it.each([
    ['empty', new Uint8Array(), 'not-csv'],
    ['one letter in UTF-16', new Uint8Array([0xff, 0xfe, 71, 0]), 'missing-column 1'],
    ['a picture', new Uint8Array([137, 80, 78, 71, 13, 10, 26, 10, 0, 0, 0, 13]), 'not-csv'],
    ['zeros', new Uint8Array(100), 'not-csv'],
    ['five megabytes', new Uint8Array(5_000_000).fill(65), 'too-large'],
    ['an open quote', bytes('game,ages\n"open,6+\n'), 'not-csv 2'],
    ['a wrong header', bytes('a,b\n1,2\n'), 'missing-column 1'],
    ['a row with a cell too many', bytes('game,ages\nOne,6+\nTwo,6+,x\n'), 'not-csv 3'],
    ['a page in one cell', bytes(`game,ages\nOne,${'6'.repeat(20_000)}\n`), 'too-large 2'],
    ['a thousand columns', bytes(`game,${Array.from({ length: 1000 }, (_, i) => `c${i}`).join(',')}\n`), 'too-large 1'],
    ['a column twice', bytes('game,game\nx,y\n'), 'duplicate 1'],
  ])('%s', (_, b, want) => expect(codeOf(b)).toBe(want));
  it.each<[string, Uint8Array]>([
    ['UTF-8', bytes('game,ages\nCafé,6+\n')],
    ['UTF-8 with a mark', bytes('\uFEFFgame,ages\nCafé,6+\n')],
    ['UTF-16 little end first', Uint8Array.from(Buffer.from('\uFEFFgame,ages\nCafé,6+\n', 'utf16le'))],
    ['UTF-16 without a mark', Uint8Array.from(Buffer.from('game,ages\nCafé,6+\n', 'utf16le'))],
    ['UTF-16 big end first', Uint8Array.from(Buffer.from('\uFEFFgame,ages\nCafé,6+\n', 'utf16le').swap16())],
    ['Windows-1252', new Uint8Array([...bytes('game,ages\nCaf'), 0xe9, ...bytes(',6+\n')])],
    ['tabs', bytes('game\tages\nCafé\t6+\n')],
    ['a first line that says so', bytes('sep=;\ngame;ages\nCafé;6+\n')],
    ['lines of two sorts', bytes('game,ages\r\n"Café",6+\nOne,7+\r\n')],
    ['old line ends', bytes('game,ages\rCafé,6+\r')],
    ['empty cells at the end', bytes('game,ages,,\nCafé,6+,,\n')],
    ['a row that stops early', bytes('game,ages,bin\nCafé,6+\n')],
  ])('reads %s', (_, file) => {
    const r = readCsv(file, columnOf, ['game']);
    expect(r.ok && r.value.rows[0]!.cells).toMatchObject({ game: 'Café', ages: '6+' });
  });
  it('says so when it was no UTF-8, and counts lines as the file has them', () => {
    const old = readCsv(new Uint8Array([...bytes('game\nCaf'), 0xe9, 10]), columnOf, ['game']);
    expect(old.ok && old.value.remarks[0]!.message).toContain('Windows-1252');
    const said = readCsv(bytes('sep=;\ngame;notes\nOne;"a\nb"\nTwo;c\n'), columnOf, ['game']);
    expect(said.ok && said.value.rows.map((r) => r.row)).toEqual([3, 5]);
  });
  it('takes semicolons, and any bytes without falling over', () => {
    expect(codeOf(bytes('game;ages\nOne;6+\n'))).toBe('ok');
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (b) => {
        readCsv(b, columnOf, ['game']);
      }),
    );
  });
});

describe('a roster', () => {
  const rows = (text: string) => {
    const t = readCsv(bytes(text), rosterColumnOf, ['nickname']);
    if (!t.ok) throw new Error(t.problem.message);
    return t.value.rows;
  };
  it('reads the example', () => {
    const table = readCsv(readFileSync('examples/roster.csv'), rosterColumnOf, ['nickname']);
    const reading = readRoster(table.ok ? table.value.rows : [], '2026-11-10', []);
    expect(reading.problems).toEqual([]);
    expect(reading.drafts).toHaveLength(9);
    expect(reading.drafts.map((d) => d.born)).toEqual([
      '2021-02',
      '2020-11',
      '2020-03',
      '2019-06',
      '2019-03',
      '2018-09',
      '2018-03',
      '2017-05',
      '2016-01',
    ]);
  });
  it('takes months in several shapes and grades by school year', () => {
    expect([readBirthMonth('2019-9'), readBirthMonth('Sept 2019'), readBirthMonth('13/2019'), readBirthMonth('soon')]).toEqual([
      '2019-09',
      '2019-09',
      null,
      null,
    ]);
    expect([bornOfGrade('K', '2026-11-10'), bornOfGrade('2nd', '2027-02-01'), bornOfGrade('eleven', '2026-11-10')]).toEqual([
      '2021-03',
      '2019-03',
      null,
    ]);
  });
  // A kindergartner is five to six when school begins, a first grader six to seven: common practice in the United States, from memory.
  it.each(['K', '1', '2nd', 'grade 3', '5'])('makes a child of grade %s as old as that grade is', (grade) => {
    const n = grade === 'K' ? 0 : Number(/\d/.exec(grade)![0]);
    for (const today of ['2026-09-05', '2026-11-28', '2027-06-10']) {
      const age = monthsBetween(bornOfGrade(grade, today)!, '2026-09-01') / 12;
      expect([age >= n + 5, age <= n + 6]).toEqual([true, true]);
    }
    expect(monthsBetween(bornOfGrade(grade, '2026-11-28', 'year')!, bornOfGrade(grade, '2026-11-28')!)).toBe(-12);
  });
  it.each([
    ['Sep-19', '2019-09'],
    ['14.09.2019', '2019-09'],
    ['9/14/2019', '2019-09'],
    ['14/09/2019', '2019-09'],
    ['09/09/2019', '2019-09'],
    ['14 September 2019', '2019-09'],
    ['03/04/2019', null],
    ['14/14/2019', null],
    ['Foo-19', null],
  ])('reads the birthday %s', (text, month) => expect(readBirthMonth(text)).toBe(month));
  it('asks which it is where a day can be read in two ways', () => {
    const { problems } = readRoster(rows('nickname,born\nWren,03/04/2019\n'), '2026-11-10', []);
    expect(problems[0]!.message).toContain('two ways');
  });
  it('tells names of every script apart, and twins that look the same together', () => {
    const read = (text: string) => readRoster(rows(text), '2026-11-10', []);
    expect(read('nickname,born\nДима,2019-01\nДаша,2019-01\n明,2019-01\n亮,2019-01\nÜwe,2019-01\nÖwe,2019-01\n').drafts).toHaveLength(6);
    expect(read('nickname,born\nLark,2019-01\n Lark\u200b ,2019-01\n').problems[0]).toMatchObject({ code: 'duplicate', row: 3 });
  });
  it('refuses twins in name, birth in 1925 or tomorrow, and nobody', () => {
    const reading = readRoster(
      rows('nickname,born\nWren,2019-01\nwren,2018-01\nOld,1925-01\nNew,2027-01\n,2019-01\nNo Age,\n'),
      '2026-11-10',
      ['Moss'],
    );
    expect(reading.problems.map((p) => `${p.row} ${p.field} ${p.code}`)).toEqual([
      '3 nickname duplicate',
      '4 born out-of-range',
      '5 born out-of-range',
      '6 nickname malformed',
      '7 born malformed',
    ]);
  });
});

describe('names', () => {
  const shelf = (text: string) => {
    const t = readCsv(bytes(text), columnOf, ['game']);
    if (!t.ok) throw new Error(t.problem.message);
    return readCatalogue(t.value.rows, context);
  };
  it('of versions differ by their signs', () => {
    const signs = ['+', '−', '×', '÷', 'to 10 (+)', 'to 10 (−)'];
    const { drafts, problems } = shelf(`game,version,source\n${signs.map((v) => `Dice Race,${v},made`).join('\n')}\n`);
    expect([drafts.map((d) => d.variant), problems]).toEqual([signs, []]);
  });
  it('of games differ by their letters, in any script', () => {
    const titles = [
      'Über',
      'Öber',
      'Café',
      'Caf',
      'Bee',
      'Bees',
      '3+4',
      '3-4',
      'Пчёлы',
      'Улитки',
      'דבורים',
      'שבלולים',
      '蜜蜂',
      '蜗牛',
      'Μέλισσα',
    ];
    const { drafts, problems } = shelf(`game,source\n${titles.map((t) => `${t},made`).join('\n')}\n`);
    expect([drafts.length, problems]).toEqual([titles.length, []]);
  });
  it('that differ by punctuation alone are asked about, never dropped', () => {
    const { drafts, problems, remarks } = shelf('game,source\nBees in a row,made\n"Bees, in a row!",made\nbees in a row,made\n');
    expect(drafts).toHaveLength(1);
    expect(problems).toMatchObject([{ code: 'duplicate', row: 3 }]);
    expect(remarks.filter((r) => r.message.includes('taken once')).map((r) => r.row)).toEqual([4]);
  });
  it('of materials in other scripts stay apart', () => {
    const { proposedKinds, drafts } = shelf('game,materials,source\nOne,2 кубика; 3 карточки,made\nTwo,2 кубика,made\n');
    expect(proposedKinds).toHaveLength(2);
    expect(new Set(proposedKinds.map((k) => k.id)).size).toBe(2);
    expect(drafts[1]!.materials[0]!.kind).toBe(drafts[0]!.materials[0]!.kind);
  });
  it('that an object would know are names like others', () => {
    const { problems, drafts } = shelf('game,materials,source\nOne,constructor set,constructor\nTwo,constructor set,made\n');
    expect(problems).toMatchObject([{ row: 2, field: 'source', code: 'unknown-value' }]);
    expect(drafts[0]!.materials[0]).toMatchObject({ quantity: 1 });
  });
});

describe('long files', () => {
  const rowsOf = (n: number, cell: (i: number) => string): string => Array.from({ length: n }, (_, i) => cell(i)).join('\n');
  // Work that grows with the square of a cell would take hours here, and this test would not end.
  it('of long cells end', () => {
    const long = 'x'.repeat(9000);
    const cells = [`${long} b`, `${'9'.repeat(9000)}`, `${'x '.repeat(4000)}`, `${'('.repeat(9000)}`, `${' '.repeat(8000)}b`];
    for (const c of cells) {
      const t = readCsv(
        bytes(`game,ages,players,minutes,materials,practises,parameters,source\n"${c}","${c}","${c}","${c}","${c}","${c}","${c}",made\n`),
        columnOf,
        ['game'],
      );
      expect(t.ok && readCatalogue(t.value.rows, context).problems.every((p) => p.message.length <= 320)).toBe(true);
    }
  });
  it('of twenty thousand rows are read whole', () => {
    const t = readCsv(
      bytes(
        `game,version,materials,practises,source\n${rowsOf(20_000, (i) => `Game ${i % 5000},v${i},2 dice; ${(i % 900) + 1} thingummies,make ten ${i % 30},made`)}\n`,
      ),
      columnOf,
      ['game'],
    );
    const reading = t.ok ? readCatalogue(t.value.rows, context) : null;
    expect([reading?.drafts.length, reading?.problems.length, reading?.proposedKinds.length]).toEqual([20_000, 0, 1]);
    const roster = readCsv(bytes(`nickname,born\n${rowsOf(20_000, (i) => `Child ${i},2019-01`)}\n`), rosterColumnOf, ['nickname']);
    expect(roster.ok && readRoster(roster.value.rows, '2026-11-10', []).drafts).toHaveLength(20_000);
  });
});

describe('a shelf as somebody really keeps it', () => {
  const reading = readShelf('examples/shelf-as-kept.csv');
  const row = (n: number) => reading.drafts.find((d) => d.row === n)!;
  it('comes in whole: what is loose is taken as it is likely meant, and told', () => {
    expect(reading.problems).toEqual([]);
    expect(reading.drafts).toHaveLength(41);
    // The headline of the column says that these are grades: no child of one year.
    expect([row(2), row(12), row(18), row(24)].map((d) => d.ages)).toEqual([
      [6, 8],
      [7, 10],
      [4, 6],
      [5, 6],
    ]);
    expect([row(5), row(8), row(11), row(20), row(40)].map((d) => d.players)).toEqual([
      [2, 15],
      [2, 12],
      [2, 4],
      [3, 5],
      [2, 2],
    ]);
    expect(row(2).materials).toEqual([
      { kind: 'playing-cards', quantity: 2 },
      { kind: 'sand-timer', quantity: 1 },
    ]);
    expect(row(23).materials).toEqual([{ kind: 'playing-cards', quantity: 2 }]);
    expect(row(4).materials).toEqual([{ kind: 'playing-cards', quantity: 1 }]);
    expect(row(10).materials).toEqual([]);
    expect(row(18).materials).toEqual([{ kind: 'dot-cards', quantity: 1 }]);
    expect(row(14).materials).toEqual([{ kind: 'number-deck-1-10', quantity: 1 }]);
  });
  it('says what was guessed, once for what is alike, and what is no game', () => {
    const said = reading.remarks.map((r) => r.message);
    expect(said).toContain('players: “15ish” is taken as up to 15.');
    expect(said).toContain('players: “any” is taken as 2 to 4. (so in 4 rows)');
    expect(said).toContain('“24 cards on a ring” belongs to the game itself; it is not counted among the things.');
    expect(said).toContain('“dot cards (30)” is taken as one set.');
    expect(reading.remarks).toContainEqual({ row: 44, message: 'This line adds up the others; it is no game and was left out.' });
    expect(said.filter((m) => m.startsWith('No source given'))).toHaveLength(1);
  });
  it('keeps in the notes what stands in columns that are not known', () => {
    const rows = [{ row: 2, cells: { game: 'One', notes: 'Loud.', Colour: 'green', Empty: '' } }];
    expect(readCatalogue(rows, { ...context, unread: ['Colour', 'Empty'] }).drafts[0]!.notes).toBe('Loud.\nColour: green');
  });
});
