import { describe, expect, it } from 'vitest';
import { checkParameters } from '../../contract/parameters';
import { shippedGraph, shippedKinds } from '../../contract/shippedData';
import { mechanismById } from '../mechanisms/registry';
import { columnOf } from './catalogueColumns';
import { plainWords, readAges, readMaterial, readMinutes, readParameters, readSpan, tidyTitle } from './cells';
import { countRound } from './countRound';
import { readFacts, writeFacts } from './factList';
import { guardCell, unguardCell } from './guardCell';
import { proposeMechanisms } from './howPlayed';
import { cleanText, nameKey, shortened } from './names';
import { readCatalogue } from './readCatalogue';
import { evidenceColumnOf } from './readEvidence';
import { bornOfGrade, readBirthMonth } from './birthMonth';
import { checkBorn, readRoster, rosterColumnOf } from './readRoster';

/** Edges of what people may write: the last value that is taken and the first that is not. */

describe('headers', () => {
  it.each([
    ['game', 'Game', 'TITLE', 'names', 'Game name', 'Activity'],
    ['variant', 'Variant', 'version', 'Versions'],
    ['bin', 'bin', 'Unit', 'unit bin', 'Box', 'Where it lives'],
    ['ages', 'Ages', 'age'],
    ['grade', 'Grade', 'grades', 'Grade level', 'Year group'],
    ['players', 'Players', '# players', 'Number of players'],
    ['players min', 'players min', 'Min players', 'player min'],
    ['players max', 'players max', 'Max players', 'player max'],
    ['minutes', 'Minutes', 'Time', 'length', 'minute'],
    ['materials', 'Materials', 'Things', 'what it needs', 'material'],
    ['source', 'Source', 'from'],
    ['condition', 'Condition', 'State'],
    ['notes', 'Notes', 'note'],
    ['mechanism', 'Mechanism', 'How it plays'],
    ['parameters', 'Parameters', 'parameter'],
    ['practises', 'Practises', 'practice', 'Skills', 'skill', 'practise', 'practices'],
  ])('of a catalogue: %s', (column, ...headers) => expect(headers.map(columnOf)).toEqual(headers.map(() => column)));
  it.each([
    ['learner', 'Learner', 'nickname', 'child', 'name'],
    ['at', 'at', 'Date', 'day', 'When'],
    ['skill', 'Skill', 'code', 'standard'],
    ['result', 'result', 'How it went', 'went'],
    ['correct', 'Correct', 'right'],
    ['total', 'total', 'of', 'Questions'],
    ['how', 'how', 'Strategy'],
    ['support', 'Support', 'tool', 'help'],
    ['withdrawn', 'taken back', 'Withdrawn'],
    ['own child', 'Own child'],
    ['items', 'items', 'Facts'],
    ['seconds', 'Seconds'],
    ['version', 'version', 'Variant'],
    ['session', 'session'],
  ])('of notes: %s', (column, ...headers) => expect(headers.map(evidenceColumnOf)).toEqual(headers.map(() => column)));
  it.each([
    ['nickname', 'Nickname', 'Name', 'learner', 'child', 'Initials'],
    ['born', 'born', 'Birth month', 'birth', 'birthday', 'birth date', 'Month of birth'],
    ['grade', 'Grade'],
    ['year', 'Year', 'school year', 'Year group'],
    ['framework', 'framework', 'Norms'],
    ['group', 'Group', 'table', 'class'],
  ])('of a roster: %s', (column, ...headers) => expect(headers.map(rosterColumnOf)).toEqual(headers.map(() => column)));
  it('that nobody uses are none', () =>
    expect([columnOf('colour'), evidenceColumnOf('colour'), rosterColumnOf('colour')]).toEqual([null, null, null]));
});

describe('cells', () => {
  it.each([
    ['1.25', [1.25, 1.25]],
    ['1.25-2.75', [1.25, 2.75]],
    ['2..4', [2, 4]],
    ['2 bis 4', [2, 4]],
    ['-1', [-1, -1]],
    ['15+', [15, 15]],
    ['x2-4', null],
    ['2-4x', null],
  ])('a span of %s', (text, want) => expect(readSpan(text, 12)).toEqual(want));
  it.each([
    ['grade K', [5, 6]],
    ['gr. 1-2', [6, 8]],
    ['2nd', [7, 8]],
    ['3rd to 4th', [8, 10]],
    ['1st to nobody', null],
    ['ages 6-8 years', [6, 8]],
    ['1-2', [1, 2]],
  ])('ages of %s', (text, want) => expect(readAges(text)).toEqual(want));
  it.each([
    ['1.5 hours', 90],
    ["20'", 20],
    ['2 hrs', 120],
    ['xh', null],
  ])('a time of %s', (text, want) => expect(readMinutes(text)).toEqual(want));
  it.each([
    ['x', { name: 'x', quantity: 1 }],
    ['2x', { name: '2x', quantity: 1 }],
    ['1000 pegs', { name: 'pegs', quantity: 1000 }],
    ['1001 pegs', null],
    ['~20 pegs', null],
    ['2 x', { name: 'x', quantity: 2 }],
    ['2 x pegs', { name: 'pegs', quantity: 2 }],
    ['pegs x', { name: 'pegs x', quantity: 1 }],
    ['pegs (few)', { name: 'pegs (few)', quantity: 1 }],
    ['ten of pegs', { name: 'pegs', quantity: 10 }],
    ['a die', { name: 'die', quantity: 1 }],
    ['', null],
  ])('a thing of %s', (text, want) => expect(readMaterial(text)).toEqual(want));
  it('a list of parameters knows numbers, yes and no, and keeps words', () => {
    expect(readParameters('a=-2.5; b=false\nc=no;; d=true; e=1|x|yes; f=')).toEqual({
      a: -2.5,
      b: false,
      c: false,
      d: true,
      e: [1, 'x', true],
      f: '',
    });
    expect(readParameters('=3')).toBeNull();
    expect(readParameters('')).toEqual({});
  });
  it('a title is tidied only where it was shouted or whispered', () => {
    expect(['TWO  LAMPS', 'two lamps-out', 'Two LAMPS'].map(tidyTitle)).toEqual(['Two Lamps', 'Two Lamps-Out', 'Two LAMPS']);
  });
  it('a guarded cell comes back, however often it was guarded', () => {
    for (const cell of ['=Max', "'=Max", "''=Max", '+1', '-1', '@x', '\tx', "it's", "'quoted'", 'plain'])
      expect(unguardCell(guardCell(cell))).toBe(cell);
    expect(guardCell("'+1")).toBe("''+1");
    expect(guardCell("'x")).toBe("'x");
    expect(guardCell("x'=1")).toBe("x'=1");
    expect(unguardCell("x'=1")).toBe("x'=1");
  });
  it('facts are read only whole', () => {
    const items = [
      { op: 'add' as const, a: 8, b: 7, correct: false },
      { op: 'multiply' as const, a: 6, b: 9, correct: true },
    ];
    expect(writeFacts(items)).toBe('add 8 7 missed; multiply 6 9 right');
    expect(readFacts(`${writeFacts(items)};`)).toEqual(items);
    expect(readFacts('')).toEqual([]);
    for (const bad of ['add 8 7', 'add 8 7 missed twice', 'juggle 8 7 right', 'add eight 7 right', 'add 8 seven right', 'add 8 7 wrong'])
      expect([bad, readFacts(bad)]).toEqual([bad, null]);
  });
});

it('words are matched in the singular, short ones as they are', () => {
  expect(['Pegs', 'Brass bells', 'glass', 'gas', 'yes no', 'Colored dice'].map(plainWords)).toEqual([
    'peg',
    'brass bell',
    'glass',
    'gas',
    'yes no',
    'coloured dice',
  ]);
});

describe('names', () => {
  it('take a hyphen as minus between numbers and signs, never inside a word', () => {
    expect(nameKey('8-3')).toBe(nameKey('8 − 3'));
    expect(nameKey('Race (-)')).toBe(nameKey('Race (−)'));
    expect(nameKey('Race (-)')).not.toBe(nameKey('Race'));
    expect(nameKey('race-on')).toBe('race on');
    expect(nameKey('on −')).toBe('on −');
    expect(nameKey('-')).toBe('−');
    expect(nameKey('3 -part')).toBe('3 part');
    expect(nameKey('part- 3')).toBe('part 3');
    expect(nameKey('3 x 4')).toBe(nameKey('3 × 4'));
    expect(nameKey('x')).toBe('×');
    expect(nameKey('box 4')).toBe('box 4');
    expect(nameKey('x!')).toBe(nameKey('x'));
    expect(nameKey('𝐗𑽃')).toBe('×');
  });
  it('keep line ends of one sort and nothing invisible', () => expect(cleanText('a\u200b\r\nb\rc')).toBe('a\nb\nc'));
  it('too long for a sentence lose their middle', () => {
    expect(shortened('x'.repeat(300))).toHaveLength(300);
    expect(shortened(`${'a'.repeat(200)}${'b'.repeat(101)}`)).toBe(`${'a'.repeat(160)} … ${'b'.repeat(100)}`);
  });
});

describe('a birth month', () => {
  it.each([
    ['2019-9', '2019-09'],
    ['2019/09/14', '2019-09'],
    ['2019-13', null],
    ['2019-00', null],
    ['1900-01', '1900-01'],
    ['1899-12', null],
    ['2999-12', '2999-12'],
    ['3000-01', null],
    ['12/2019', '2019-12'],
    ['13/2019', null],
    ['September 2019', '2019-09'],
    ['14. Sep 2019', '2019-09'],
    ['Sep-19', '2019-09'],
    ['Sep 201', null],
    ['xyz 2019', null],
    ['31.12.2019', '2019-12'],
    ['32.12.2019', null],
    ['13/05/2019', '2019-05'],
    ['05/13/2019', '2019-05'],
    ['05/31/2019', '2019-05'],
    ['05/32/2019', null],
    ['05/05/2019', '2019-05'],
    ['05/06/2019', null],
    ['05.06.2019', '2019-06'],
    ['12/13/2019', '2019-12'],
    ['x2019-09', null],
    ['2019-09x', null],
  ])('of %s', (text, want) => expect(readBirthMonth(text)).toBe(want));
  it.each([
    ['K', '2026-11-10', 'grade', '2021-03'],
    ['kindergarten', '2026-11-10', 'grade', '2021-03'],
    ['Grade 8', '2026-11-10', 'grade', '2013-03'],
    ['9', '2026-11-10', 'grade', null],
    ['1st grade', '2026-07-31', 'grade', '2019-03'],
    ['1st grade', '2026-08-01', 'grade', '2020-03'],
    ['Reception', '2026-11-10', 'year', '2022-03'],
    ['Y1', '2026-11-10', 'year', '2021-03'],
    ['soon', '2026-11-10', 'grade', null],
    ['1st grade or so', '2026-11-10', 'grade', null],
    ['Gr 2', '2026-11-10', 'grade', '2019-03'],
    ['gr.2', '2026-11-10', 'grade', '2019-03'],
    ['ungraded 2', '2026-11-10', 'grade', null],
  ] as const)('of grade %s on %s (%s)', (grade, today, sort, want) => expect(bornOfGrade(grade, today, sort)).toBe(want));
  it('must make a learner of two to nineteen', () => {
    expect([checkBorn('2024-11', '2026-11-10'), checkBorn('2007-11', '2026-11-10'), checkBorn('2026-11', '2026-11-10')]).toEqual([
      null,
      null,
      'Born 2026-11 is 0 years old; learners here are 2 to 19.',
    ]);
    expect(checkBorn('2024-12', '2026-11-10')).toContain('is 1 years old');
    expect(checkBorn('2007-10', '2026-11-10')).toContain('is 19 years old');
    expect(checkBorn('2026-12', '2026-11-10')).toContain('in the future');
  });
});

describe('a roster', () => {
  const read = (cells: Record<string, string>, existing: readonly string[] = []) =>
    readRoster([{ row: 2, cells: { nickname: 'Wren', born: '2019-09', ...cells } }], '2026-11-10', existing);
  it('starts empty and takes one', () =>
    expect(read({})).toEqual({
      drafts: [{ row: 2, nickname: 'Wren', born: '2019-09', bornFrom: 'month', framework: 'us', group: '' }],
      problems: [],
      remarks: [],
    }));
  it('takes the grade where no month is given, and says which field is wrong', () => {
    expect(read({ born: '', grade: '1' }).drafts[0]).toMatchObject({ born: '2020-03', bornFrom: 'grade' });
    expect(read({ born: '', year: '1' }).drafts[0]).toMatchObject({ born: '2021-03', bornFrom: 'grade' });
    expect(read({ born: '', grade: 'soon' }).problems[0]).toMatchObject({ field: 'grade', row: 2 });
    expect(read({ born: '', year: 'soon' }).problems[0]).toMatchObject({ field: 'year' });
    expect(read({ born: 'soon', grade: '1' }).problems[0]).toMatchObject({
      field: 'born',
      message: expect.stringContaining('"soon" is not a month') as unknown,
    });
    expect(read({ born: '' }).problems[0]!.message).toContain('A birth month or a grade is needed.');
  });
  it('takes forty letters and no more', () => {
    expect(read({ nickname: 'x'.repeat(40) }).problems).toEqual([]);
    expect(read({ nickname: 'x'.repeat(41) }).problems[0]).toMatchObject({ code: 'out-of-range' });
    expect(read({ nickname: ' ' }).problems[0]!.message).toContain('no nickname');
  });
  it('leaves alone who is here', () =>
    expect(read({}, ['wren'])).toMatchObject({
      drafts: [],
      problems: [],
      remarks: [{ row: 2, message: '"Wren" is here already; left as is.' }],
    }));
});

describe('a catalogue', () => {
  const context = {
    kinds: shippedKinds,
    skills: shippedGraph().skills,
    checkParameters,
    seatsOf: (id: string) => mechanismById(id)?.seats ?? null,
  };
  const read = (cells: Record<string, string>) => readCatalogue([{ row: 2, cells: { game: 'Lamps', ...cells } }], context);
  const fault = (cells: Record<string, string>): string | undefined => read(cells).problems[0]?.message;
  it.each([
    ['2-18', undefined],
    ['1-5', 'outside 2 to 18'],
    ['2-19', 'outside 2 to 18'],
    ['8-6', 'runs backwards'],
    ['soon', 'is not an age'],
  ])('for ages %s', (ages, want) => (want ? expect(fault({ ages })).toContain(want) : expect(fault({ ages })).toBeUndefined()));
  it.each([
    ['1-30', undefined],
    ['1-31', 'more than 30 players'],
    ['0-4', '0 players cannot sit down'],
    ['1.5', 'cannot sit down'],
    ['4-2', 'is fewer than at least'],
    ['a few', 'is not a number of players'],
  ])('for players %s', (players, want) => (want ? expect(fault({ players })).toContain(want) : expect(fault({ players })).toBeUndefined()));
  it.each([
    ['240', undefined],
    ['241', 'outside 1 to 240'],
    ['0', 'outside 1 to 240'],
    ['soon', 'is not a time'],
  ])('for minutes %s', (minutes, want) => (want ? expect(fault({ minutes })).toContain(want) : expect(fault({ minutes })).toBeUndefined()));
  it('takes what is not said in the usual way, and says so', () => {
    expect(read({}).drafts[0]).toMatchObject({
      ages: [4, 12],
      players: [2, 4],
      minutes: 15,
      source: 'bought',
      materials: [],
      declared: [],
      parameters: {},
    });
    expect(read({}).remarks).toContainEqual({ row: 2, message: 'No source given; taken as bought.' });
    expect(read({ source: 'made' }).remarks).toEqual([]);
    expect(fault({ source: 'found' })).toContain('"found" is not a source. Write made, bought or free.');
  });
  it('knows skills by title or id, with a dose of ten unless one is given, and names those it does not know', () => {
    const [s] = shippedGraph().skills;
    expect(read({ practises: `${s!.title}; ${s!.id} (7)` }).drafts[0]!.declared).toEqual([
      { skill: s!.id, perTenMinutes: 10 },
      { skill: s!.id, perTenMinutes: 7 },
    ]);
    const juggling = read({ practises: 'juggling; making ten 7', notes: 'loud' });
    expect(juggling.problems).toEqual([]);
    expect(juggling.drafts[0]).toMatchObject({ declared: [], notes: 'loud\nPractises: juggling; making ten 7' });
    expect(juggling.remarks.map((r) => r.message).join(' ')).toContain('“juggling” is no step by that name');
  });
  it('takes a thing by its id before one that is called so, too', () => {
    const kinds = (materials: string) => read({ materials }).drafts[0]!.materials.map((m) => m.kind);
    expect(kinds('1 number-cards')).toEqual(['number-cards']);
    expect(kinds('number cards')).toEqual(['number-deck-1-10']);
  });
  it('takes twelve lines of rules and no more, and says where the thirteenth begins', () => {
    const lines = (n: number): string => Array.from({ length: n }, (_, i) => `Line ${i + 1}.`).join('\n');
    expect(read({ rules: lines(12) }).drafts[0]!.rules).toHaveLength(12);
    const long = read({ rules: lines(13) });
    expect(long.drafts).toEqual([]);
    expect(long.problems[0]).toMatchObject({ code: 'too-large', field: 'rules', row: 2 });
    expect(long.problems[0]!.message).toContain('13 lines; 12 are enough for a helper. Line 13 begins “Line 13.”');
  });
  it('adds up what one game names twice, and proposes a thing once however often it is named', () => {
    const reading = readCatalogue(
      [
        { row: 2, cells: { game: 'Lamps', materials: '2 brass bells; 3 brass bells' } },
        { row: 3, cells: { game: 'Levers', materials: 'brass bell' } },
      ],
      context,
    );
    expect(reading.drafts[0]!.materials).toEqual([{ kind: 'brass-bell', quantity: 5 }]);
    expect(reading.proposedKinds).toEqual([{ id: 'brass-bell', title: 'Brass Bells', rows: [2, 3] }]);
  });
  it('wants a way of playing it knows, and parameters only beside one', () => {
    expect(fault({ mechanism: 'levitation' })).toContain('"levitation" is not a way of playing that is known here.');
    expect(fault({ parameters: 'high=3' })).toContain('Parameters need a mechanism beside them.');
    expect(fault({ mechanism: 'running-total', parameters: 'high' })).toContain('"high" is not a list like high=50; direction=down.');
    expect(read({ mechanism: 'Running total' }).drafts[0]).toMatchObject({ mechanism: 'running-total' });
  });
});

describe('what a count or an answer proposes', () => {
  it('is what was met most, first', () => {
    const doses = countRound(
      shippedGraph(),
      [
        ...Array.from({ length: 4 }, () => ({ op: 'add' as const, a: 8, b: 5 })),
        { op: 'multiply', a: 6, b: 7 },
        { op: 'subtract', a: 52, b: 38 },
        { op: 'divide', a: 42, b: 6 },
      ],
      1,
      10,
    );
    expect(doses.length).toBeGreaterThan(3);
    expect(doses.map((d) => d.counted)).toEqual([...doses.map((d) => d.counted)].sort((x, y) => y - x));
    expect(doses[0]!.counted).toBe(4);
  });
  it('weighs what is done and how it moves before what it is played with', () => {
    const does = proposeMechanisms({ does: 'balances' });
    expect(does.length).toBeGreaterThan(0);
    expect(does.every((p) => p.given === 1 && p.fits === 1)).toBe(true);
    const both = proposeMechanisms({ with: 'paper', does: 'counts', moves: 'counts-up' });
    expect(both.map((p) => p.fits)[0]).toBeGreaterThanOrEqual(2);
    expect(both.length).toBeLessThanOrEqual(4);
  });
  it('sets the operation that was seen', () => {
    const set = (does: string) =>
      proposeMechanisms({ does, moves: 'total-grows' }).find((p) => p.mechanism === 'running-total')?.parameters;
    expect(set('adds')).toEqual({ direction: 'up' });
    expect(set('takes-away')).toEqual({ direction: 'down' });
  });
});
