import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { paraphrases, shippedFrameworks } from '../../contract/shippedFrameworks';
import { ageOfLevel } from './ageOfLevel';
import { matchIndex, proposeMatches, sameCode } from './proposeMatches';
import { readCase } from './readCase';
import { educationLevel, writeCase } from './writeCase';

const id = (n: number): string => `0b0c1f2e-1111-4a11-8a11-${String(n).padStart(12, '0')}`;
const link = (n: number) => ({ title: `${n}`, identifier: id(n), uri: `https://coop.example/${n}` });
const item = (n: number, more: object = {}) => ({
  identifier: id(n),
  uri: `https://coop.example/i/${n}`,
  fullStatement: `Statement ${n}`,
  humanCodingScheme: `SB.${n}`,
  educationLevel: ['KG'],
  lastChangeDateTime: '2026-08-01T09:00:00+00:00',
  ...more,
});
const association = (n: number, type: string, from: number, to: number, more: object = {}) => ({
  identifier: id(100 + n),
  uri: `https://coop.example/a/${n}`,
  associationType: type,
  originNodeURI: link(from),
  destinationNodeURI: link(to),
  lastChangeDateTime: '2026-08-01T09:00:00+00:00',
  ...more,
});
const pack = (items: object[], associations: object[]) => ({
  CFDocument: {
    identifier: id(1),
    uri: 'https://coop.example/d/1',
    creator: 'Signal Box',
    title: 'Number lines',
    lastChangeDateTime: '2026-08-01T09:00:00+00:00',
  },
  CFItems: items,
  CFAssociations: associations,
});

describe('reading a CASE package', () => {
  it('takes items in order, with parents, levels and external matches', () => {
    const read = readCase(
      pack(
        [item(2), item(3, { fullStatement: '<p>Add by&nbsp;making ten.</p>', educationLevel: '01' })],
        [
          association(1, 'isChildOf', 3, 1, { sequenceNumber: 1 }),
          association(2, 'isChildOf', 2, 1, { sequenceNumber: 2 }),
          association(3, 'precedes', 2, 3),
          association(4, 'exactMatchOf', 2, 99),
        ],
      ),
    );
    expect(read).toMatchObject({ ok: true, value: { title: 'Number lines', remarks: [] } });
    if (!read.ok) return;
    expect(read.value.expectations.map((e) => [e.code, e.statement, e.band, e.parent])).toEqual([
      ['SB.3', 'Add by making ten.', '01', null],
      ['SB.2', 'Statement 2', 'KG', null],
    ]);
    expect(read.value.external.get(id(2))).toEqual(['99']);
  });
  it('unwraps an array and remarks on orphans', () => {
    expect(readCase([pack([item(2)], [])])).toMatchObject({ ok: true, value: { remarks: [expect.stringContaining('1 expectation')] } });
  });
  it.each([
    ['no package', {}, 'malformed', 'CFDocument'],
    ['a document without a title', { CFDocument: { identifier: id(1), creator: 'x' } }, 'malformed', 'CFDocument.title'],
    ['an identifier that is no UUID', pack([item(2, { identifier: 'seven' })], []), 'malformed', 'CFItems.0.identifier'],
    ['one identifier twice', pack([item(2), item(2)], []), 'duplicate', 'CFItems.1.identifier'],
    ['an item without a statement', pack([item(2, { fullStatement: ' ' })], []), 'malformed', 'CFItems.0.fullStatement'],
    ['a child of nothing', pack([item(2)], [association(1, 'isChildOf', 2, 77)]), 'dangling', 'CFAssociations.0.destinationNodeURI'],
    ['a child that is nowhere', pack([item(2)], [association(1, 'isChildOf', 55, 2)]), 'dangling', 'CFAssociations.0.originNodeURI'],
    ['a circle', pack([item(2), item(3)], [association(1, 'precedes', 2, 3), association(2, 'precedes', 3, 2)]), 'cycle', 'CFAssociations'],
  ] as const)('refuses %s by name', (_, raw, code, field) => {
    expect(readCase(raw)).toMatchObject({ ok: false, problem: { code, field } });
  });
});

describe('writing a CASE package', () => {
  const uuidOf = (uri: string): string => {
    let h = 0;
    for (const c of uri) h = (h * 31 + c.charCodeAt(0)) >>> 0;
    return `00000000-0000-5000-8000-${String(h).padStart(12, '0')}`;
  };
  it.each(shippedFrameworks.map((f) => [f.id, f] as const))('%s reads back with every code', (_, f) => {
    const read = readCase(
      JSON.parse(JSON.stringify(writeCase(f, [[f.expectations[0]!.code, f.expectations[1]!.code]], uuidOf, '2026-01-01T00:00:00+00:00'))),
    );
    expect(read.ok).toBe(true);
    if (!read.ok) return;
    expect(read.value.remarks).toEqual([]);
    const codes = new Set(read.value.expectations.map((e) => e.code));
    expect(f.expectations.filter((e) => !codes.has(e.code))).toEqual([]);
  });
  // CEDS education levels; England's year n is about US grade n − 1.
  it('names education levels', () => {
    expect(['K', '3'].map((g) => educationLevel('us', g))).toEqual(['KG', '03']);
    expect(['R', 'Y1', 'Y4'].map((g) => educationLevel('england', g))).toEqual(['PK', 'KG', '03']);
  });
});

describe('education levels', () => {
  // CEDS codes and the spellings met in files; grade n ends at about n + 6.
  it('become the age at the end of the year', () => {
    expect(['PK', 'KG', 'K', '01', '3', 'Grade 5'].map(ageOfLevel)).toEqual([5, 6, 6, 7, 9, 11]);
    expect([null, 'UG', '', '99'].map(ageOfLevel)).toEqual([null, null, null, null]);
  });
});

describe('proposing matches', () => {
  const graph = shippedGraph();
  const index = matchIndex(graph, paraphrases);
  it('knows a code in three spellings', () => {
    expect(new Set(['3.OA.7', '3.OA.C.7', 'CCSS.MATH.CONTENT.3.OA.C.7'].map(sameCode))).toEqual(new Set(['3.OA.7']));
    expect(proposeMatches(graph, index, 'CCSS.MATH.CONTENT.K.OA.A.4', 'whatever', []).map((p) => p.skill)).toContain('pairs-of-10');
  });
  it.each([
    ['Find the partner that makes ten.', 'pairs-of-10'],
    ['Round whole numbers to the nearest hundred.', 'round-to-100'],
    ['Tell the time to the nearest minute on a clock.', 'clock-minute'],
    ['Measure angles in degrees with a protractor.', 'measure-angle'],
    ['Compare two fractions with the same denominator.', 'compare-like'],
  ])('from words: %s', (statement, skill) => {
    expect(proposeMatches(graph, index, 'SB.1', statement, []).map((p) => p.skill)).toContain(skill);
  });
  it('proposes nothing for words that mean nothing here', () =>
    expect(proposeMatches(graph, index, 'SB.2', 'Sing a cheerful tune.', [])).toEqual([]));
});

describe('a nested framework', () => {
  const read = (items: object[], links: object[]) => {
    const reading = readCase(pack(items, links));
    if (!reading.ok) throw new Error(reading.problem.message);
    return reading.value;
  };
  it('stands in tree order, siblings by their numbers', () => {
    const { expectations } = read(
      [item(2), item(3), item(4), item(5), item(6)],
      [
        association(1, 'isChildOf', 2, 1, { sequenceNumber: 1 }),
        association(2, 'isChildOf', 3, 1, { sequenceNumber: 2 }),
        association(3, 'isChildOf', 4, 2, { sequenceNumber: 2 }),
        association(4, 'isChildOf', 5, 2, { sequenceNumber: 1 }),
        association(5, 'isChildOf', 6, 3, { sequenceNumber: 1 }),
      ],
    );
    expect(expectations.map((e) => e.code)).toEqual(['SB.2', 'SB.5', 'SB.4', 'SB.3', 'SB.6']);
  });
  it('may say what comes before it elsewhere', () => {
    const { external } = read(
      [item(2)],
      [association(1, 'isChildOf', 2, 1), association(2, 'precedes', 2, 77), association(3, 'precedes', 78, 2)],
    );
    expect(external.get(id(2))).toEqual(['77', '78']);
  });
  it('is refused when a parent is missing, and when things lead in a circle', () => {
    expect(readCase(pack([item(2)], [association(1, 'isChildOf', 2, 9)]))).toMatchObject({ ok: false, problem: { code: 'dangling' } });
    const round = readCase(
      pack(
        [item(2), item(3), item(4)],
        [association(1, 'precedes', 2, 3), association(2, 'precedes', 3, 4), association(3, 'precedes', 4, 2)],
      ),
    );
    expect(round).toMatchObject({ ok: false, problem: { code: 'cycle' } });
  });
  it('of any depth and length is read to its end', () => {
    const n = 20_000;
    const { expectations } = read(
      [...Array.from({ length: n }, (_, i) => item(1000 + i)), item(2, { fullStatement: '<'.repeat(80_000) })],
      Array.from({ length: n - 1 }, (_, i) => association(100_000 + i, 'isChildOf', 1001 + i, 1000 + i)),
    );
    expect(expectations).toHaveLength(n + 1);
    expect(expectations[n - 1]!.code).toBe(`SB.${1000 + n - 1}`);
  });
  it.each([
    ['<p>Add &mdash; or take away &#39;by ten&#39;.</p>', "Add — or take away 'by ten'."],
    ['Say that 3 < 5 and 5 > 3', 'Say that 3 < 5 and 5 > 3'],
    ['Half of 1 &lt; 2&nbsp;halves', 'Half of 1 < 2 halves'],
    ['a<br/>b<!-- not this -->c', 'a b c'],
  ])('reads the statement %s', (written, meant) => {
    expect(read([item(2, { fullStatement: written })], []).expectations[0]!.statement).toBe(meant);
  });
});
