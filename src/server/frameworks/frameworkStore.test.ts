import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { graphOf } from '../db/graphOf';
import { ageOfLevel } from '../../core/frameworks/ageOfLevel';
import { wantedBy } from '../../core/skills/skill';
import { createLearner, updateLearner } from '../learners/learnerStore';
import { undoChange } from '../undo/undo';
import { problemOf, Workspace } from '../workspace.testing';
import { exportCase, frameworkItems, frameworkList, importCase, removeFramework, tie } from './frameworkStore';
import { uuidOf } from '../shared/uuidOf';

const now = '2026-11-25T10:00:00.000Z';
const lamps = readFileSync('examples/framework.case.json', 'utf8');
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

const bring = (text = lamps, commit = true) => importCase(place.db, text, commit, now);
const itemsOf = (id: string) => frameworkItems(place.db, id);

describe('a framework that is brought in', () => {
  it('with a page where a word should stand is refused in one sentence', () => {
    const broken = JSON.parse(lamps) as { CFItems: { identifier: unknown; fullStatement: unknown }[] };
    broken.CFItems[1]!.identifier = broken.CFItems[0]!.identifier = 'x'.repeat(10_000);
    const { message } = problemOf(() => bring(JSON.stringify(broken)));
    expect(message.length).toBeLessThan(400);
    expect(message).toContain('Nothing was brought in.');
  });
  it('is shown first and changes nothing until then', () => {
    expect(bring(lamps, false)).toMatchObject({ committed: false, expectations: 7 });
    expect(frameworkList(place.db)).toHaveLength(2);
  });
  it('proposes skills, keeps what is accepted, and gives their ages', () => {
    const { id } = bring();
    const ten = itemsOf(id).find((i) => i.proposals.some((p) => p.skill === 'make-ten'))!;
    tie(place.db, id, [{ identifier: ten.identifier, skill: 'make-ten', relation: 'same' }], now);
    expect(itemsOf(id).find((i) => i.identifier === ten.identifier)).toMatchObject({
      skills: [{ skill: 'make-ten', relation: 'same' }],
      proposals: [],
    });
    expect(frameworkList(place.db).at(-1)).toMatchObject({ expectations: 7, tied: 1 });
    const makeTen = graphOf(place.db).skills[graphOf(place.db).indexOf.get('make-ten')!]!;
    expect(wantedBy(makeTen, id)).toBe(ageOfLevel(ten.band));
    expect(wantedBy(makeTen, id)).not.toBe(wantedBy(makeTen, 'us'));
    place.openAgain();
    expect(itemsOf(id).find((i) => i.identifier === ten.identifier)!.skills).toHaveLength(1);
  });
  it('keeps its ties when a newer package of the same document comes, where the expectation is still there', () => {
    const { id } = bring();
    const [first, second] = itemsOf(id);
    tie(
      place.db,
      id,
      [
        { identifier: first!.identifier, skill: 'make-ten', relation: 'same' },
        { identifier: second!.identifier, skill: 'pairs-of-10', relation: 'related' },
      ],
      now,
    );
    const newer = JSON.parse(lamps) as {
      CFItems: { identifier: string }[];
      CFAssociations: { originNodeURI: { identifier: string }; destinationNodeURI: { identifier: string } }[];
    };
    newer.CFItems = newer.CFItems.filter((i) => i.identifier !== second!.identifier);
    newer.CFAssociations = newer.CFAssociations.filter(
      (a) => a.originNodeURI.identifier !== second!.identifier && a.destinationNodeURI.identifier !== second!.identifier,
    );
    expect(bring(JSON.stringify(newer)).id).toBe(id);
    expect(itemsOf(id).flatMap((i) => i.skills.map((s) => s.skill))).toEqual(['make-ten']);
  });
  it('goes out as it came, and with the accepted ties when there are some', () => {
    const { id } = bring();
    expect(exportCase(place.db, id)).toEqual(JSON.parse(lamps));
    const [first] = itemsOf(id);
    tie(place.db, id, [{ identifier: first!.identifier, skill: 'make-ten', relation: 'same' }], now);
    const out = exportCase(place.db, id);
    expect(out.CFAssociations.at(-1)).toMatchObject({
      associationType: 'exactMatchOf',
      identifier: uuidOf(`urn:zeitgeber:ties:${first!.identifier}:make-ten`),
      uri: `urn:zeitgeber:ties:${first!.identifier}:make-ten`,
      originNodeURI: { title: first!.code, identifier: first!.identifier, uri: `urn:zeitgeber:items:${first!.identifier}` },
      destinationNodeURI: { title: 'make-ten', uri: 'urn:zeitgeber:skills:make-ten' },
    });
    tie(place.db, id, [{ identifier: first!.identifier, skill: 'pairs-of-10', relation: 'related' }], now);
    expect(exportCase(place.db, id).CFAssociations.map((a) => a.associationType)).toEqual(
      expect.arrayContaining(['exactMatchOf', 'isRelatedTo']),
    );
  });
  it('gives no age by an expectation that names no grade', () => {
    const without = JSON.parse(lamps) as { CFItems: { identifier: string; educationLevel?: string[] }[] };
    delete without.CFItems[0]!.educationLevel;
    const { id } = bring(JSON.stringify(without));
    const [first, second] = without.CFItems.map((i) => i.identifier);
    tie(
      place.db,
      id,
      [
        { identifier: first!, skill: 'make-ten', relation: 'same' },
        { identifier: second!, skill: 'pairs-of-10', relation: 'same' },
      ],
      now,
    );
    const wanted = (skill: string) => graphOf(place.db).skills[graphOf(place.db).indexOf.get(skill)!]!.wantedAt;
    expect(wanted('make-ten')).not.toHaveProperty([id]);
    expect(wanted('pairs-of-10')).toHaveProperty([id], ageOfLevel('01'));
  });
  it('is taken away whole, and one step brings it back with its ties and ages', () => {
    const { id } = bring();
    tie(
      place.db,
      id,
      itemsOf(id)
        .slice(0, 3)
        .map((i, n) => ({ identifier: i.identifier, skill: ['make-ten', 'pairs-of-10', 'add-in-20'][n]!, relation: 'same' as const })),
      now,
    );
    const before = [
      itemsOf(id),
      ['make-ten', 'pairs-of-10', 'add-in-20'].map((k) => wantedBy(graphOf(place.db).skills[graphOf(place.db).indexOf.get(k)!]!, id)),
    ];
    const { change } = removeFramework(place.db, id);
    expect(frameworkList(place.db)).toHaveLength(2);
    expect(problemOf(() => frameworkItems(place.db, id)).code).toBe('not-found');
    expect(undoChange(place.db, change, now).what).toContain('Took away the framework');
    expect([
      itemsOf(id),
      ['make-ten', 'pairs-of-10', 'add-in-20'].map((k) => wantedBy(graphOf(place.db).skills[graphOf(place.db).indexOf.get(k)!]!, id)),
    ]).toEqual(before);
  });
  it('stays while a learner goes by it', () => {
    const { id } = bring();
    const fern = createLearner(place.db, { nickname: 'Fern', born: '2018-09' }, '2026-09-01', now).id;
    updateLearner(place.db, fern, { framework: id }, 1, '2026-11-25');
    expect(problemOf(() => removeFramework(place.db, id)).message).toContain('Fern goes by this framework');
  });
});

describe('what is refused', () => {
  it('ties to nothing, naming which, and no tie of the list is kept', () => {
    const { id } = bring();
    const [first] = itemsOf(id);
    const good = { identifier: first!.identifier, skill: 'make-ten', relation: 'same' as const };
    expect(problemOf(() => tie(place.db, id, [good, { ...good, skill: 'juggling' }], now))).toMatchObject({
      code: 'unknown-skill',
      field: 'ties.1.skill',
    });
    expect(problemOf(() => tie(place.db, id, [good, { ...good, identifier: 'nobody' }], now))).toMatchObject({
      code: 'unknown-value',
      field: 'ties.1.identifier',
    });
    expect(itemsOf(id)[0]!.skills).toEqual([]);
  });
  it('changes to what ships', () => {
    expect(problemOf(() => tie(place.db, 'us', [{ identifier: 'K.CC.A.1', skill: 'make-ten', relation: 'same' }], now)).code).toBe(
      'forbidden',
    );
    expect(problemOf(() => removeFramework(place.db, 'england')).code).toBe('forbidden');
  });
  it('a package that is none, and a tie to an expectation that leads nowhere', () => {
    expect(problemOf(() => bring('{"CFDocument":')).message).toMatch(/^This is no JSON/);
    const broken = JSON.parse(lamps) as { CFAssociations: { destinationNodeURI: { identifier: string } }[] };
    broken.CFAssociations[0]!.destinationNodeURI.identifier = '00000000-0000-4000-8000-000000000000';
    expect(problemOf(() => bring(JSON.stringify(broken))).message).toContain('Nothing was brought in.');
    expect(frameworkList(place.db)).toHaveLength(2);
  });
});

describe('identifiers made from names', () => {
  it('are of version 5, as a reference library makes them', () => {
    expect(uuidOf('urn:zeitgeber:skills:make-ten')).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    // As Python's uuid module makes it: uuid5(NAMESPACE_URL, 'http://www.example.com/').
    expect(uuidOf('http://www.example.com/')).toBe('fcde3c85-2270-590f-9e7c-ee003d65e0e2');
  });
  it('comes back with its ties in another workspace, and goes out the same bytes again', () => {
    const { id } = bring();
    const items = itemsOf(id);
    tie(
      place.db,
      id,
      items.slice(0, 3).map((e) => ({ identifier: e.identifier, skill: 'make-ten', relation: 'same' as const })),
      now,
    );
    tie(place.db, id, [{ identifier: items[4]!.identifier, skill: 'pairs-of-10', relation: 'related' }], now);
    const out = JSON.stringify(exportCase(place.db, id));
    place.remove();
    place = new Workspace();
    graphOf(place.db);
    expect(bring(out).remarks).toContain('4 ties to skills come with it.');
    expect(graphOf(place.db).skills[graphOf(place.db).indexOf.get('make-ten')!]!.wantedAt).toHaveProperty([id]);
    expect(itemsOf(id).map((e) => e.skills)).toEqual(
      items.map((_, i) =>
        i < 3 ? [{ skill: 'make-ten', relation: 'same' }] : i === 4 ? [{ skill: 'pairs-of-10', relation: 'related' }] : [],
      ),
    );
    expect(JSON.stringify(exportCase(place.db, id))).toBe(out);
  });
  it('that ships is not brought in a second time', () => {
    const problem = problemOf(() => bring(JSON.stringify(exportCase(place.db, 'us'))));
    expect(problem).toMatchObject({ code: 'duplicate', message: expect.stringContaining('is here already') });
  });
});
