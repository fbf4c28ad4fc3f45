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
import { bornOfGrade, readBirthMonth, readRoster, rosterColumnOf } from './readRoster';

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
  it('names the row and the field of each of its twelve faults', () => {
    const { problems } = readShelf('examples/shelf-broken.csv');
    expect([...new Set(problems.map((p) => p.row))]).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13]);
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
      '13 practises unknown-skill',
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
    ['UTF-16', new Uint8Array([0xff, 0xfe, 71, 0]), 'wrong-encoding'],
    ['Latin-1', new Uint8Array([71, 97, 109, 101, 10, 0xe9, 10]), 'wrong-encoding'],
    ['a picture', new Uint8Array([137, 80, 78, 71, 13, 10, 26, 10, 0, 0]), 'wrong-encoding'],
    ['zeros', new Uint8Array(100), 'not-csv'],
    ['five megabytes', new Uint8Array(5_000_000).fill(65), 'too-large'],
    ['an open quote', bytes('game,ages\n"open,6+\n'), 'not-csv 2'],
    ['a wrong header', bytes('a,b\n1,2\n'), 'missing-column 1'],
    ['a short row', bytes('game,ages\nOne,6+\nTwo\n'), 'not-csv 3'],
    ['a column twice', bytes('game,game\nx,y\n'), 'duplicate 1'],
  ])('%s', (_, b, want) => expect(codeOf(b)).toBe(want));
  it('names the line of the first bad byte', () => {
    const r = readCsv(new Uint8Array([...bytes('game\nOne\nCaf'), 0xe9, 10]), columnOf, ['game']);
    expect(r).toMatchObject({ ok: false, problem: { message: expect.stringContaining('Line 3') } });
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
      '2019-03',
      '2019-06',
      '2019-03',
      '2018-09',
      '2017-03',
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
      '2020-03',
      '2018-03',
      null,
    ]);
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
