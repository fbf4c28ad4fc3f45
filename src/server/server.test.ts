import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Db } from './db/db';
import { evidence, games, memberships, variants } from './db/schema';
import { addEvidence, evidenceOf, masteryOf, retractEvidence } from './evidence/evidenceStore';
import { eraseLearner } from './learners/eraseLearner';
import { createLearner, groupOf, learnerById, updateLearner } from './learners/learnerStore';
import { importShelf } from './shelf/importShelf';
import { createGame, setRetired, updateGame } from './shelf/shelfStore';
import { setStock } from './things/thingStore';
import { createVariant } from './shelf/variantStore';
import { undoChange } from './undo/undo';
import { momentAt } from '../core/shared/moments';
import { zoneHere } from './shared/clock';
import { meetingsOf, putTerm, termView, updateMeeting } from './term/termStore';
import { ask, problemOf, Workspace } from './workspace.testing';

let place: Workspace;
let db: Db;
const now = '2026-11-10T10:00:00.000Z';
const today = '2026-11-10';

beforeEach(() => {
  place = new Workspace();
  db = place.db;
});
afterEach(() => place.remove());

describe('the database', () => {
  it('opens with its migrations, foreign keys and write-ahead log, and ships the kinds', () => {
    expect(db.$client.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.$client.pragma('foreign_keys', { simple: true })).toBe(1);
    expect((db.$client.prepare('SELECT count(*) AS n FROM kinds').get() as { n: number }).n).toBeGreaterThanOrEqual(30);
  });
  it('keeps everything when it is opened again', () => {
    createGame(db, { title: 'Owl Clock' }, now);
    db = place.openAgain();
    expect(
      db
        .select()
        .from(games)
        .all()
        .map((g) => g.title),
    ).toEqual(['Owl Clock']);
  });
});

describe('a version of one’s own', () => {
  it('is refused with things that cannot play it, and nothing is changed', async () => {
    const game = (await ask('POST', '/games', { title: 'Night Mail', bin: 'Bonds', source: 'made' })).body;
    const body = { game: game.id, title: 'to twenty', mechanism: 'track-race', parameters: { end: 60, highestFace: 20 } };
    const refused = await ask('POST', '/variants', { ...body, materials: [{ kind: 'twelve-sided-die', quantity: 1 }] });
    expect([refused.status, refused.body.error.field, refused.body.error.message]).toEqual([
      422,
      'materials',
      'This version needs even chances from 1 to 20, and nothing on its list has them. Twenty-sided die would do.',
    ]);
    expect((await ask('GET', `/games/${game.id}`)).body.variants).toEqual([]);
    const upsideDown = await ask('POST', '/variants', { ...body, ages: [9, 6] });
    expect([upsideDown.status, upsideDown.body.error.field]).toEqual([422, 'ages']);
    const made = await ask('POST', '/variants', body);
    const stored = (await ask('GET', `/variants/${made.body.id}`)).body;
    // What follows from the rules needs no typing: things, steps of getting ready, who must be there.
    expect(stored.materials).toContainEqual({ kind: 'twenty-sided-die', quantity: 1 });
    expect(stored.steps.map((s: { sort: string }) => s.sort)).toEqual(['print']);
    expect(stored.helper).toBe('nearby');
    const later = await ask('PATCH', `/variants/${made.body.id}`, {
      materials: [{ kind: 'pip-die', quantity: 1 }],
      version: stored.version,
    });
    expect([later.status, later.body.error.field]).toEqual([422, 'materials']);
    expect((await ask('GET', `/variants/${made.body.id}`)).body).toEqual(stored);
  });
});

describe('the shelf', () => {
  it('undoes adding, changing, putting away and stock, one by one', () => {
    const { id } = createGame(db, { title: 'Owl Clock', condition: 'new' }, now);
    updateGame(db, id, { condition: 'worn' }, 1);
    setRetired(db, 'game', id, true, now);
    setStock(db, 'pip-die', { quantity: 7 });
    expect(undoChange(db, null, now).what).toContain('Pip die');
    undoChange(db, null, now);
    expect(db.select().from(games).get()!.retiredAt).toBeNull();
    undoChange(db, null, now);
    expect(db.select().from(games).get()!.condition).toBe('new');
    undoChange(db, null, now);
    expect(db.select().from(games).all()).toEqual([]);
    expect(problemOf(() => undoChange(db, null, now)).code).toBe('not-found');
  });
  it('refuses twins, stale versions and impossible versions, naming the field', () => {
    const { id } = createGame(db, { title: 'Owl Clock' }, now);
    expect(problemOf(() => createGame(db, { title: ' owl  clock ' }, now))).toMatchObject({ code: 'duplicate', field: 'title' });
    updateGame(db, id, { notes: 'x' }, 1);
    expect(problemOf(() => updateGame(db, id, { notes: 'y' }, 1)).code).toBe('conflict');
    expect(
      problemOf(() =>
        createVariant(db, id, { title: 'v', mechanism: 'pair-memory', parameters: { sum: 30, lowestCard: 1, highestCard: 10 } }),
      ),
    ).toMatchObject({ code: 'impossible-parameters', field: 'parameters.sum' });
    expect(problemOf(() => createVariant(db, id, { title: 'v', players: { min: 4, max: 2 } }))).toMatchObject({ field: 'players.max' });
    expect(problemOf(() => createVariant(db, id, { title: 'v', materials: [{ kind: 'moonstone', quantity: 1 }] }))).toMatchObject({
      code: 'unknown-kind',
      field: 'materials.0.kind',
    });
    expect(db.select().from(variants).all()).toEqual([]);
  });
  it('brings a file in whole, or not at all, and takes it back in one step', () => {
    const good = readFileSync('examples/shelf.csv');
    const broken = readFileSync('examples/shelf-broken.csv');
    expect(problemOf(() => importShelf(db, broken, true, now))).toMatchObject({ code: 'malformed', field: 'game' });
    expect(db.select().from(games).all()).toEqual([]);
    expect(importShelf(db, good, true, now).added).toEqual({ games: 21, variants: 25, kinds: 3, changed: 0 });
    undoChange(db, null, now);
    expect(db.select().from(games).all()).toEqual([]);
    expect(importShelf(db, good, true, now).added.variants).toBe(25);
  });
});

describe('learners and what was seen of them', () => {
  it('end one membership when the next begins, and keep the past', () => {
    const { id } = createLearner(db, { nickname: 'Wren', born: '2018-09', group: 'Larks' }, '2026-09-01', now);
    updateLearner(db, id, { group: 'Owls' }, 1, '2026-10-01');
    expect([groupOf(db, id, '2026-09-15'), groupOf(db, id, '2026-11-10')]).toEqual(['Larks', 'Owls']);
    expect(
      db
        .select()
        .from(memberships)
        .all()
        .map((m) => [m.from, m.to]),
    ).toEqual([
      ['2026-09-01', '2026-10-01'],
      ['2026-10-01', null],
    ]);
  });
  it('are told everything that is wrong with them at once', () => {
    createLearner(db, { nickname: 'Wren', born: '2018-09' }, today, now);
    const problem = problemOf(() =>
      createLearner(db, { nickname: 'wren', born: '1925-05', framework: 'moon', goals: ['make-ten', 'juggling'] }, today, now),
    );
    expect(problem).toMatchObject({ code: 'duplicate', field: 'nickname' });
    expect((problem.detail as { problems: { field: string }[] }).problems.map((p) => p.field)).toEqual([
      'nickname',
      'born',
      'framework',
      'goals.1',
    ]);
    const { id } = createLearner(db, { nickname: 'Fern', born: '2018-09' }, today, now);
    expect(problemOf(() => updateLearner(db, id, { nickname: 'Wren' }, 1, today))).toMatchObject({ field: 'nickname' });
    expect(updateLearner(db, id, { goals: ['make-ten'], likings: [] }, 1, today).version).toBe(2);
    expect(learnerById(db, id)).toMatchObject({ nickname: 'Fern', goals: ['make-ten'] });
  });
  it('append, retract and never overwrite', () => {
    const { id } = createLearner(db, { nickname: 'Wren', born: '2018-09' }, today, now);
    const before = masteryOf(db, learnerById(db, id), today);
    const { ids } = addEvidence(
      db,
      [{ learner: id, kind: 'note', skill: 'add-in-20', result: 'alone', by: { role: 'parent', ownChild: true } }],
      today,
      now,
    );
    expect(evidenceOf(db, id)[0]).toMatchObject({ byRole: 'parent', byOwnChild: true, skill: 'add-in-20' });
    retractEvidence(db, ids[0]!, 'wrong child', now);
    expect(masteryOf(db, learnerById(db, id), today)).toEqual(before);
    expect(db.select().from(evidence).all()).toHaveLength(1);
    expect(problemOf(() => retractEvidence(db, ids[0]!, 'again', now)).code).toBe('conflict');
  });
  it('erase a child so that no byte of the name is left in the file', () => {
    const { id } = createLearner(db, { nickname: 'Zaunkoenig', born: '2018-09' }, today, now);
    addEvidence(db, [{ learner: id, kind: 'note', skill: 'add-in-20', result: 'alone' }], today, now);
    expect(problemOf(() => eraseLearner(db, id, 'wren')).field).toBe('confirm');
    expect(eraseLearner(db, id, 'Zaunkoenig').evidence).toBe(1);
    for (const file of ['zeitgeber.sqlite', 'zeitgeber.sqlite-wal'])
      expect(readFileSync(join(place.directory, file)).toString('latin1').toLowerCase()).not.toContain('zaunkoenig');
  });
});

describe('the term', () => {
  const term = {
    title: 'Autumn',
    starts: '2026-11-02',
    ends: '2026-11-29',
    weekdays: [2, 5],
    startsAt: '10:00',
    rounds: 3,
    minutes: 15,
    tables: 4,
    helpers: 2,
  };
  it('lays its meetings on the asked weekdays and tells past from ahead', () => {
    const { id, meetings } = putTerm(db, term, now);
    expect(meetings).toBe(8);
    expect(meetingsOf(db, id).map((m) => new Date(m.date).getUTCDay())).toEqual([2, 5, 2, 5, 2, 5, 2, 5]);
    const view = termView(db, today);
    expect(view.meetings.map((m) => m.state)).toEqual(['missed', 'missed', 'ahead', 'ahead', 'ahead', 'ahead', 'ahead', 'ahead']);
  });
  it('set anew keeps what was said of its meetings and what is past, and moves the hour of those ahead', () => {
    const { id } = putTerm(db, term, now);
    const [past, , off, ahead] = meetingsOf(db, id);
    updateMeeting(db, off!.id, { off: true, offBecause: 'snow' }, 1, now);
    putTerm(db, { ...term, title: 'Autumn at last', startsAt: '09:30', weekdays: [2], version: 1 }, now);
    const after = new Map(meetingsOf(db, id).map((m) => [m.date, m]));
    expect(after.get(past!.date)).toEqual(past);
    expect(after.get(off!.date)).toMatchObject({ id: off!.id, off: true, offBecause: 'snow', startsAt: '09:30', version: 3 });
    expect(after.has(ahead!.date)).toBe(false);
    putTerm(db, { ...term, startsAt: '09:30', weekdays: [2], version: 2 }, now);
    expect(meetingsOf(db, id).find((m) => m.date === off!.date)!.version).toBe(3);
  });
  it('set anew late in the evening still moves the hour of the same day, wherever it is', () => {
    const { id } = putTerm(db, term, now);
    putTerm(db, { ...term, startsAt: '09:30' }, momentAt(today, '23:30', zoneHere()));
    expect(meetingsOf(db, id).map((m) => [m.date < today, m.startsAt])).toEqual(
      meetingsOf(db, id).map((m) => (m.date < today ? [true, '10:00'] : [false, '09:30'])),
    );
    expect(meetingsOf(db, id).some((m) => m.date === today)).toBe(true);
    putTerm(db, { ...term, startsAt: '08:00' }, momentAt(today, '00:30', zoneHere()));
    expect(meetingsOf(db, id).filter((m) => m.startsAt === '10:00')).toHaveLength(2);
  });
  it('of two who set it at once the second is told', () => {
    putTerm(db, term, now);
    putTerm(db, { ...term, title: 'First', version: 1 }, now);
    expect(problemOf(() => putTerm(db, { ...term, title: 'Second', version: 1 }, now))).toMatchObject({
      code: 'conflict',
      detail: { yours: 1, current: { title: 'First', version: 2 } },
    });
    expect(termView(db, today).term).toMatchObject({ title: 'First', version: 2 });
  });
  it('refuses a term that ends before it starts, has no meeting or no table', () => {
    expect(problemOf(() => putTerm(db, { ...term, ends: '2026-10-01' }, now)).field).toBe('ends');
    expect(problemOf(() => putTerm(db, { ...term, starts: '2026-11-02', ends: '2026-11-02', weekdays: [7] }, now)).field).toBe('weekdays');
    expect(problemOf(() => putTerm(db, { ...term, tables: 0 }, now)).code).toBe('no-tables');
  });
});
