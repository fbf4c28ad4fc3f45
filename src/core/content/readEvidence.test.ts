import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { nameKey } from './names';
import { evidenceColumnOf, readEvidence } from './readEvidence';
import { extensionIri, readStatements } from './readStatements';

const context = {
  graph: shippedGraph(),
  learners: new Map([
    ['wren', 'wren'],
    [nameKey('k7q2-owl'), 'owl'],
  ]),
  today: '2026-11-20',
  zone: 'UTC',
};
const row = (cells: Record<string, string>, n = 2) => ({
  row: n,
  cells: { learner: 'Wren', at: '2026-11-10', skill: 'make-ten', result: 'alone', ...cells },
});

describe('a CSV of observations', () => {
  it('takes results and counts, by id, title or code', () => {
    const { drafts, problems } = readEvidence(
      [
        row({}),
        row({ skill: 'Make a ten on the way', result: 'with help', how: 'counted on', support: 'bead-frame' }, 3),
        row({ skill: 'K.OA.A.4', result: '', correct: '7', total: '10' }, 4),
      ],
      context,
    );
    expect(problems).toEqual([]);
    expect(drafts[1]).toMatchObject({
      skill: 'make-ten',
      result: 'support',
      how: 'counted-on',
      support: 'bead-frame',
      at: '2026-11-10T12:00:00.000Z',
    });
    expect(drafts[2]).toMatchObject({ skill: 'pairs-of-10', correct: 7, total: 10, result: null });
  });
  it.each([
    [{ learner: 'Nobody' }, 'learner', 'unknown-value'],
    [{ at: '10 November' }, 'at', 'malformed'],
    [{ at: '2026-02-30' }, 'at', 'malformed'],
    [{ at: '2026-02-30T10:00:00Z' }, 'at', 'malformed'],
    [{ at: '2026-12-01' }, 'at', 'in-the-future'],
    [{ skill: 'juggling' }, 'skill', 'unknown-skill'],
    [{ skill: '1.OA.C.6' }, 'skill', 'unknown-skill'],
    [{ result: 'brilliant' }, 'result', 'unknown-value'],
    [{ result: '', correct: '11', total: '10' }, 'correct', 'out-of-range'],
    [{ result: '', correct: '1', total: '0' }, 'total', 'out-of-range'],
    [{ result: '', correct: '', total: '10' }, 'correct', 'out-of-range'],
    [{ result: '', correct: '-1', total: '10' }, 'correct', 'out-of-range'],
    [{ result: '', correct: '1.5', total: '10' }, 'correct', 'out-of-range'],
    [{ items: 'add eight seven' }, 'items', 'malformed'],
    [{ kind: 'song' }, 'kind', 'unknown-value'],
    [{ by: 'nobody' }, 'by', 'unknown-value'],
    [{ correct: '5', total: '10' }, 'result', 'malformed'],
    [{ how: 'by magic' }, 'how', 'unknown-value'],
  ] as const)('refuses %j, naming row and column', (cells, field, code) => {
    const reading = readEvidence([row({}), row(cells, 3)], context);
    expect(reading.problems).toEqual([
      expect.objectContaining({ field, code, row: 3, message: expect.stringContaining('Row 3') as unknown }),
    ]);
    expect(reading.drafts.length).toBe(1);
  });
  it('finds one bad row among ten thousand', () => {
    const rows = Array.from({ length: 10_000 }, (_, i) => row(i === 7777 ? { result: 'x' } : {}, i + 2));
    const { problems } = readEvidence(rows, context);
    expect(problems.map((p) => p.row)).toEqual([7779]);
  });
  it('leaves out what was taken back, and says so', () => {
    const { drafts, remarks } = readEvidence([row({ withdrawn: '2026-11-11T08:00:00.000Z' }), row({}, 3)], context);
    expect(drafts.map((d) => d.row)).toEqual([3]);
    expect(remarks).toEqual([{ row: 2, message: 'It was taken back, so it is left out.' }]);
  });
  it('leaves out a version that is not here and says so, and keeps a session by its id', () => {
    const here = { ...context, variants: new Set(['tens']), sessions: new Set(['monday']) };
    const said = (version: string, session: string) => {
      const { drafts, remarks } = readEvidence([row({ version, session })], here);
      return [drafts[0]!.variant, drafts[0]!.session, remarks[0]?.message ?? null];
    };
    expect(said('tens', 'monday')).toEqual(['tens', 'monday', null]);
    expect(said('', '')).toEqual([null, null, null]);
    expect(said('fives', 'monday')).toEqual([null, 'monday', 'It is taken in without its version, which is not here.']);
    expect(said('tens', 'friday')).toEqual(['tens', 'friday', null]);
    expect(said('fives', 'friday')).toEqual([null, 'friday', 'It is taken in without its version, which is not here.']);
    expect([said('tens', 'x'.repeat(80))[1], said('tens', 'x'.repeat(81))[1]]).toEqual(['x'.repeat(80), null]);
  });
  it('knows other names of columns', () =>
    expect(['Child', 'When', 'Code', 'Right', 'Tool'].map(evidenceColumnOf)).toEqual(['learner', 'at', 'skill', 'correct', 'support']));
});

describe('xAPI statements', () => {
  const statement = (more: object = {}) => ({
    actor: { objectType: 'Agent', account: { homePage: 'https://coop.example/learners', name: 'k7q2-owl' } },
    verb: { id: 'http://adlnet.gov/expapi/verbs/answered' },
    object: { id: 'https://coop.example/skills/make-ten' },
    result: { success: true },
    timestamp: '2026-09-08T10:20:00-05:00',
    version: '1.0.3',
    ...more,
  });
  it('takes success, scores and counts', () => {
    const { drafts, problems } = readStatements(
      [statement(), statement({ result: { score: { scaled: 0.6 } } }), statement({ result: { score: { raw: 7, max: 10 } } })],
      context,
    );
    expect(problems).toEqual([]);
    expect(drafts.map((d) => [d.learner, d.skill, d.result, d.correct, d.total])).toEqual([
      ['owl', 'make-ten', 'alone', null, null],
      ['owl', 'make-ten', 'support', null, null],
      ['owl', 'make-ten', null, 7, 10],
    ]);
    expect(drafts[0]!.at).toBe('2026-09-08T15:20:00.000Z');
  });
  it('takes a score for questions from one to forty of them, and for points beyond', () => {
    const of = (score: object) => {
      const [d] = readStatements([statement({ result: { score } })], context).drafts;
      return [d!.result, d!.correct, d!.total];
    };
    expect(of({ raw: 1, max: 1 })).toEqual([null, 1, 1]);
    expect(of({ raw: 0, min: 0, max: 40 })).toEqual([null, 0, 40]);
    expect(of({ raw: 41, max: 41 })).toEqual(['alone', null, null]);
    expect(of({ raw: 50, min: 0, max: 100 })).toEqual(['support', null, null]);
    expect(of({ raw: 3, min: 1, max: 5 })).toEqual(['support', null, null]);
  });
  it('reads an activity whose escapes are broken as it stands', () => {
    const { problems, remarks } = readStatements([statement({ object: { id: 'https://coop.example/skills/%E0%A4%A' } })], context);
    expect([problems, remarks[0]!.message]).toEqual([[], expect.stringContaining('names no skill')]);
  });
  it('leaves out what only says that something was played, and says so', () => {
    const { drafts, remarks } = readStatements(
      { statements: [statement({ verb: { id: 'http://activitystrea.ms/schema/1.0/play' }, result: { completion: true } })] },
      context,
    );
    expect(drafts).toEqual([]);
    expect(remarks[0]!.message).toContain('not how it went');
  });
  it.each([
    [{ actor: { mbox: 'mailto:x@y.example' } }, 'actor.account.name'],
    [{ verb: 'played' }, 'verb.id'],
    [{ timestamp: '2026-09-08T10:20:00' }, 'timestamp'],
    [{ timestamp: '2027-01-01T00:00:00Z' }, 'timestamp'],
    [{ result: { score: { scaled: 7 } } }, 'result.score.scaled'],
  ] as const)('refuses %j by name', (more, field) => {
    expect(readStatements([statement(more)], context).problems).toEqual([expect.objectContaining({ field, row: 1 })]);
  });
});

describe('scores of other programs', () => {
  const score = (value: object) =>
    readStatements(
      {
        actor: { account: { homePage: 'https://coop.example', name: 'k7q2-owl' } },
        verb: { id: 'http://adlnet.gov/expapi/verbs/scored' },
        object: { id: 'https://coop.example/skills/make-ten' },
        result: { score: value },
        timestamp: '2026-09-08T10:20:00Z',
      },
      context,
    ).drafts.map((d) => [d.result, d.correct, d.total]);
  it.each<[object, unknown[]]>([
    [{ raw: 7, max: 10 }, [[null, 7, 10]]],
    [{ raw: 7, min: 0, max: 10 }, [[null, 7, 10]]],
    // A percentage is no hundred questions.
    [{ raw: 85, min: 0, max: 100 }, [['alone', null, null]]],
    [{ raw: 79, min: 0, max: 100 }, [['support', null, null]]],
    [{ raw: 850, max: 1000 }, [['alone', null, null]]],
    [{ raw: 7.5, max: 10 }, [['support', null, null]]],
    [{ raw: 6, min: 5, max: 10 }, [['stuck', null, null]]],
    [{ raw: 12, max: 10 }, []],
    [{ raw: 4, min: 5, max: 10 }, []],
    [{ raw: 5, min: 5, max: 10 }, [['stuck', null, null]]],
    [{ raw: 5, min: 5, max: 5 }, []],
    [{ raw: 5 }, []],
    [{ max: 10 }, []],
  ])('%o', (value, want) => expect(score(value)).toEqual(want));
});

describe('parts of our own in a statement', () => {
  const read = (more: object) =>
    readStatements(
      {
        actor: { account: { homePage: 'https://coop.example', name: 'k7q2-owl' } },
        verb: { id: 'http://adlnet.gov/expapi/verbs/progressed' },
        object: { id: 'https://coop.example/skills/make-ten' },
        result: { success: false, score: { scaled: 0.6 } },
        timestamp: '2026-09-08T10:20:00Z',
        ...more,
      },
      context,
    ).drafts[0]!;
  it('stand before what a score would say', () => {
    const extensions = { [extensionIri('result')]: 'stuck', [extensionIri('how')]: 'worked-out', [extensionIri('kind')]: 'placement' };
    expect(read({ context: { extensions } })).toMatchObject({ result: 'stuck', how: 'worked-out', kind: 'placement' });
    expect(read({})).toMatchObject({ result: 'support', how: null, kind: 'statement' });
    expect(read({ context: { extensions: { [extensionIri('result')]: 'brilliant' } } })).toMatchObject({ result: 'support' });
  });
  it('carry seconds of whole sheets, however long, and no other lengths of time', () => {
    const lasting = (duration: string) => read({ result: { success: true, duration } }).seconds;
    expect([lasting('PT40S'), lasting('PT41.5S'), lasting('PT99999S')]).toEqual([40, 41.5, 7200]);
    expect([lasting('PT1M'), lasting('P1D'), lasting('PTxS')]).toEqual([null, null, null]);
  });
});

describe('days of notes', () => {
  it('are those on the wall where the program runs', () => {
    const at = '2026-11-20T20:00:00-06:00';
    // Two in the morning of the next day by Greenwich, still the evening of the same day in Chicago.
    expect(readEvidence([row({ at })], { ...context, zone: 'America/Chicago' }).problems).toEqual([]);
    expect(readEvidence([row({ at })], context).problems).toMatchObject([{ code: 'in-the-future' }]);
  });
  it('with codes as people write them', () => {
    const skill = (code: string) => readEvidence([row({ skill: code })], context).drafts[0]?.skill;
    expect(skill('CCSS.MATH.CONTENT.K.OA.A.4')).toBe(skill('K.OA.A.4'));
    expect(skill('K.OA.4')).toBe(skill('K.OA.A.4'));
    expect(skill('K.OA.A.4')).toBeDefined();
  });
  it('without words of an object’s own', () => {
    expect(readEvidence([row({ result: 'constructor' })], context).problems).toMatchObject([{ field: 'result', code: 'unknown-value' }]);
    expect(readEvidence([row({ how: 'toString' })], context).problems).toMatchObject([{ field: 'how', code: 'unknown-value' }]);
  });
});
