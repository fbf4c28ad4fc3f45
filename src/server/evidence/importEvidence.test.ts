import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { createLearner, learnerById } from '../learners/learnerStore';
import { problemOf, Workspace } from '../workspace.testing';
import { addEvidence, evidenceOf, masteryOf, retractEvidence } from './evidenceStore';
import { evidenceCsv, evidenceStatements } from './exportEvidence';
import { importEvidence } from './importEvidence';

const today = '2026-11-25';
const now = '2026-11-25T10:00:00.000Z';
const zone = 'UTC';
let place: Workspace;
let fern: string;
let juno: string;

beforeEach(() => {
  place = new Workspace();
  fern = createLearner(place.db, { nickname: 'Fern', born: '2018-09' }, '2026-09-01', now).id;
  juno = createLearner(place.db, { nickname: 'Juno, the small', born: '2019-04' }, '2026-09-01', now).id;
});
afterEach(() => place.remove());

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const bring = (text: string, commit = true) => importEvidence(place.db, bytes(text), commit, today, now);
/** What a note says, without what only this workspace knows of it. */
const said = (learner: string): object[] =>
  evidenceOf(place.db, learner).map(({ at, skill, result, correct, total, how, support }) => ({
    at,
    skill,
    result,
    correct,
    total,
    how,
    support,
  }));

function noteSome(): void {
  addEvidence(
    place.db,
    [
      {
        learner: fern,
        at: '2026-11-03T09:30:00.000Z',
        kind: 'note',
        skill: 'make-ten',
        result: 'support',
        how: 'counted-on',
        support: 'bead-frame',
      },
      { learner: fern, at: '2026-11-04T09:30:00.000Z', kind: 'note', skill: 'add-in-20', result: 'alone', how: 'worked-out' },
      { learner: juno, at: '2026-11-05T09:30:00.000Z', kind: 'check-in', skill: 'add-in-10', correct: 7, total: 10 },
      { learner: juno, at: '2026-11-05T09:31:00.000Z', kind: 'note', skill: 'pairs-of-10', result: 'stuck' },
    ],
    today,
    now,
  );
}

describe('notes that were taken out', () => {
  it('as statements say what went well, and how far by the share that is commonly meant', () => {
    noteSome();
    expect(evidenceStatements(place.db, undefined, zone).map((s) => [s.verb.display.en, s.result])).toEqual([
      ['progressed', { success: false, score: { scaled: 0.6 } }],
      ['progressed', { success: true, score: { scaled: 1 } }],
      ['scored', { score: { raw: 7, min: 0, max: 10 } }],
      ['progressed', { success: false, score: { scaled: 0 } }],
    ]);
  });
  it('as CSV read back in to the same notes in another workspace, names with commas and all', () => {
    noteSome();
    const csv = evidenceCsv(place.db, undefined, zone);
    const before = [said(fern), said(juno)];
    place.remove();
    place = new Workspace();
    fern = createLearner(place.db, { nickname: 'Fern', born: '2018-09' }, '2026-09-01', now).id;
    juno = createLearner(place.db, { nickname: 'Juno, the small', born: '2019-04' }, '2026-09-01', now).id;
    expect(bring(csv)).toMatchObject({ committed: true, added: 4, problems: [] });
    expect([said(fern), said(juno)]).toEqual(before);
  });
  it('carry the day and the hour of the wall they were made by, wherever they are read', () => {
    addEvidence(
      place.db,
      [
        {
          learner: fern,
          at: '2026-11-19T23:00:00.000Z',
          kind: 'note',
          skill: 'make-ten',
          result: 'alone',
          session: 'plan-of-another-place',
        },
      ],
      today,
      now,
    );
    const [header, row] = evidenceCsv(place.db, fern, 'Pacific/Auckland').replace('\uFEFF', '').trim().split('\r\n');
    const cells = Object.fromEntries(header!.split(',').map((name, i) => [name, row!.split(',')[i]]));
    expect([cells['at'], cells['local day'], cells['zone']]).toEqual(['2026-11-20T12:00:00.000+13:00', '2026-11-20', 'Pacific/Auckland']);
    expect(evidenceCsv(place.db, fern, 'America/Chicago')).toContain('2026-11-19T17:00:00.000-06:00,2026-11-19,America/Chicago');
    expect(evidenceStatements(place.db, fern, 'Pacific/Auckland')[0]!.timestamp).toBe('2026-11-20T12:00:00.000+13:00');
  });
  it('keep their session where it is not here, as a list and as statements, and say nothing of it', () => {
    const at = '2026-11-19T23:00:00.000Z';
    addEvidence(place.db, [{ learner: fern, at, kind: 'note', skill: 'make-ten', result: 'alone', session: 'tuesday-7' }], today, now);
    for (const file of [evidenceCsv(place.db, fern, zone), JSON.stringify(evidenceStatements(place.db, fern, zone))]) {
      place.remove();
      place = new Workspace();
      fern = createLearner(place.db, { nickname: 'Fern', born: '2018-09' }, '2026-09-01', now).id;
      expect(bring(file)).toMatchObject({ added: 1, remarks: [] });
      expect(evidenceOf(place.db, fern).map((e) => [e.at, e.planId])).toEqual([[at, 'tuesday-7']]);
    }
  });
  it('do not bring back what was taken back', () => {
    noteSome();
    retractEvidence(place.db, evidenceOf(place.db, fern)[0]!.id, 'wrong child', now);
    const csv = evidenceCsv(place.db, fern, zone);
    place.remove();
    place = new Workspace();
    fern = createLearner(place.db, { nickname: 'Fern', born: '2018-09' }, '2026-09-01', now).id;
    const { added, remarks } = bring(csv);
    expect([added, remarks.map((r) => r.message)]).toEqual([1, ['It was taken back, so it is left out.']]);
    expect(evidenceOf(place.db, fern).map((e) => e.skill)).toEqual(['add-in-20']);
  });
  it('as statements carry seconds where somebody timed them, and no length of time else', () => {
    noteSome();
    addEvidence(
      place.db,
      [{ learner: fern, at: '2026-11-06T09:30:00.000Z', kind: 'check-in', skill: 'make-ten', correct: 9, total: 10, seconds: 40 }],
      today,
      now,
    );
    const lengths = evidenceStatements(place.db, undefined, zone).map((s) => (s.result as { duration?: string }).duration);
    expect(lengths).toEqual([undefined, undefined, undefined, undefined, 'PT40S']);
  });
  it('as statements carry learner, skill, moment and how it went', () => {
    noteSome();
    retractEvidence(place.db, evidenceOf(place.db, juno)[1]!.id, 'no', now);
    const statements = evidenceStatements(place.db, undefined, zone);
    expect(statements).toHaveLength(3);
    expect(statements.map((x) => x.object)).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ id: 'urn:zeitgeber:skills:make-ten', definition: { name: { en: 'Make a ten on the way' } } }),
      ]),
    );
    const before = [said(fern), said(juno)].flat().slice(0, 3);
    place.remove();
    place = new Workspace();
    fern = createLearner(place.db, { nickname: 'Fern', born: '2018-09' }, '2026-09-01', now).id;
    juno = createLearner(place.db, { nickname: 'Juno, the small', born: '2019-04' }, '2026-09-01', now).id;
    expect(bring(JSON.stringify(statements))).toMatchObject({ added: 3, problems: [], remarks: [] });
    expect([said(fern), said(juno)].flat()).toEqual(before);
  });
});

describe('notes that are brought in', () => {
  const file = 'learner,date,skill,result\nFern,2026-11-10,make-ten,alone\nFern,2026-11-11,make-ten,stuck\n';
  it('are shown first, and change nothing until then', () => {
    expect(bring(file, false)).toMatchObject({ committed: false, added: 0, drafts: [{ learner: fern }, { learner: fern }] });
    expect(evidenceOf(place.db, fern)).toEqual([]);
  });
  it('count once when one file is brought in twice', () => {
    bring(file);
    const map = masteryOf(place.db, learnerById(place.db, fern), today);
    const again = bring(file);
    expect([again.added, again.remarks.map((r) => r.row)]).toEqual([0, [2, 3]]);
    expect(masteryOf(place.db, learnerById(place.db, fern), today)).toEqual(map);
    // One new line among the old ones is taken.
    expect(bring(`${file}Fern,2026-11-12,make-ten,alone\n`).added).toBe(1);
  });
  it('may say the same twice on one day, in one file', () => {
    const twice = 'learner,date,skill,result\nFern,2026-11-10,make-ten,alone\nFern,2026-11-10,make-ten,alone\n';
    expect(bring(twice).added).toBe(2);
    expect(bring(twice).added).toBe(0);
    expect(bring(`${twice}Fern,2026-11-10,make-ten,alone\n`).added).toBe(1);
  });
  it('are all refused for one bad row, which is named', () => {
    const problem = problemOf(() => bring(`${file}Nobody,2026-11-12,make-ten,alone\n`));
    expect(problem).toMatchObject({ code: 'unknown-value', field: 'learner', row: 4 });
    expect(problem.message).toContain('Nothing was brought in.');
    expect(evidenceOf(place.db, fern)).toEqual([]);
  });
  it('are refused for a tool that nobody knows, and nothing is kept of the file', () => {
    expect(
      problemOf(() =>
        bring('learner,date,skill,result,tool\nFern,2026-11-10,make-ten,alone,\nFern,2026-11-10,make-ten,alone,magic wand\n'),
      ),
    ).toMatchObject({ code: 'unknown-value', field: 'support', row: 3, message: expect.stringContaining('Row 3, tool') as unknown });
    expect(evidenceOf(place.db, fern)).toEqual([]);
  });
  it('know a tool by its id, its name and its other names, and help that is no thing', () => {
    bring(
      'learner,date,skill,result,tool\nFern,2026-11-10,make-ten,alone,bead-frame\nFern,2026-11-11,make-ten,alone,Bead frame\nFern,2026-11-12,make-ten,support,reading aloud\n',
    );
    expect(evidenceOf(place.db, fern).map((e) => e.support)).toEqual(['bead-frame', 'bead-frame', 'reading-aloud']);
  });
  it('move the map as the same notes by hand do', () => {
    bring(file);
    const brought = masteryOf(place.db, learnerById(place.db, fern), today);
    for (const [day, result] of [
      ['2026-11-10', 'alone'],
      ['2026-11-11', 'stuck'],
    ] as const)
      addEvidence(place.db, [{ learner: juno, at: day, kind: 'statement', skill: 'make-ten', result }], today, now);
    const byHand = masteryOf(place.db, { ...learnerById(place.db, juno), born: '2018-09' }, today);
    expect(brought.map((e) => [e.skill, e.mastery])).toEqual(byHand.map((e) => [e.skill, e.mastery]));
  });
  it('refuses what is neither, in words', () => {
    expect(problemOf(() => bring('{"statements": [')).message).toMatch(/^This is no JSON/);
    expect(problemOf(() => bring('child,when\nFern,2026-11-10\n'))).toMatchObject({ code: 'missing-column', field: 'skill' });
    expect(problemOf(() => bring(''))).toMatchObject({ code: 'not-csv' });
  });
  it('reads the examples that ship', () => {
    for (const name of ['notes.csv', 'statements.json']) {
      const found = importEvidence(place.db, readFileSync(`examples/${name}`), false, today, now);
      // The example roster is not here, so only learners may be unknown.
      expect(new Set(found.problems.map((p) => p.field))).toEqual(new Set([name.endsWith('csv') ? 'learner' : 'actor.account.name']));
    }
  });
});
