import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { idempotency, learners, plans } from '../db/schema';
import { closePool } from '../jobs/pool';
import { planById } from '../planning/planById';
import { startPlan } from '../planning/startPlan';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { ask, Workspace } from '../workspace.testing';
import { eraseLearner, withoutName } from './eraseLearner';
import { createLearner } from './learnerStore';

const today = '2026-11-10';
const now = '2026-11-10T10:00:00.000Z';
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const nickname of ['Quixanthe', 'Al', 'Alder', 'Sally'])
    createLearner(place.db, { nickname, born: '2019-03', group: 'Lamps' }, today, now);
  takeFromLibrary(place.db, 'two-lamps-lit', now);
});
afterEach(() => place.remove());
afterAll(closePool);

const request = { present: ['quixanthe', 'al', 'alder', 'sally'], rounds: 2, minutes: 15, tables: 2, helpers: 1, seconds: 0.1 };
const everywhere = (): string =>
  readdirSync(place.directory)
    .filter((f) => f.startsWith('zeitgeber.sqlite'))
    .map((f) => readFileSync(join(place.directory, f)).toString('latin1').toLowerCase())
    .join();

describe('erasing a child', () => {
  it('leaves no trace in plans: seats, rests, fixed seats, presence, and others’ sentences', async () => {
    const resting = [
      { learner: 'quixanthe', round: 0 },
      { learner: 'alder', round: 1 },
    ];
    const done = await startPlan(place.db, { ...request, resting }, today, now).finished;
    const id = done.result!.plan;
    const plan = planById(place.db, id);
    // A sentence about one child that names another, as a person may have typed it.
    const seat = (learner: string, why: string) => ({ learner, variant: 'two-lamps-lit-fives', why });
    const rounds = [
      {
        tables: [
          {
            game: 'two-lamps-lit',
            helper: false,
            lookFor: 'quixanthe',
            seats: [seat('alder', 'Beside Quixanthe.'), seat('quixanthe', 'Quixanthe is ready.')],
          },
        ],
        resting: [],
      },
      { tables: [], resting: ['quixanthe', 'al'] },
    ];
    expect(plan.request.present).toContain('quixanthe');
    place.db
      .update(plans)
      .set({ rounds, locks: [{ learner: 'quixanthe', round: 1, game: 'two-lamps-lit' }] })
      .run();
    expect(eraseLearner(place.db, 'quixanthe', 'Quixanthe')).toMatchObject({ erased: 'quixanthe', cleaned: true });
    expect(JSON.stringify(planById(place.db, id)).toLowerCase()).not.toContain('quixanthe');
    // Nobody else loses a rest, and no finished work is kept that could still tell of the child.
    expect(planById(place.db, id).request.resting).toEqual([{ learner: 'alder', round: 1 }]);
    expect((await ask('GET', `/jobs/${done.id}`)).status).toBe(404);
    expect(JSON.stringify(planById(place.db, id))).toContain('Beside another child.');
    expect(everywhere()).not.toContain('quixanthe');
    expect((await ask('POST', `/plans/${id}/replan`, { version: planById(place.db, id).version, seconds: 0.1 })).status).toBe(200);
  });
  it('is not undone by a plan that was being made', async () => {
    const job = startPlan(place.db, { ...request, seconds: 1 }, today, now);
    eraseLearner(place.db, 'quixanthe', 'Quixanthe');
    const done = await job.finished;
    expect(done.status).toBe('done');
    expect(JSON.stringify(planById(place.db, done.result!.plan)).toLowerCase()).not.toContain('quixanthe');
    expect(everywhere()).not.toContain('quixanthe');
  });
  it('empties kept answers that name it and leaves those of children whose names hold its own', async () => {
    const key = (k: string) => ({ 'idempotency-key': k });
    const note = (learner: string) => ({ learner, kind: 'note', skill: 'make-ten', result: 'alone' });
    await ask('POST', '/imports/roster', { text: 'nickname,born\nZephyrine,2018-02\n', commit: true }, key('roster'));
    await ask('POST', '/evidence', note('alder'), key('alder'));
    await ask('PATCH', '/learners/sally', { actions: ['Sally sits with Alder'], version: 1 }, key('sally'));
    eraseLearner(place.db, 'zephyrine', 'Zephyrine');
    eraseLearner(place.db, 'al', 'Al');
    const rows = new Map(
      place.db
        .select()
        .from(idempotency)
        .all()
        .map((r) => [r.key, r]),
    );
    expect([...rows.keys()].sort()).toEqual(['alder', 'roster', 'sally']);
    expect(rows.get('roster')!.body).toEqual({ erased: true });
    expect(rows.get('alder')!.body).toHaveProperty('id');
    expect(everywhere()).not.toContain('zephyrine');
    expect(
      place.db
        .select()
        .from(learners)
        .all()
        .map((l) => l.nickname)
        .sort(),
    ).toEqual(['Alder', 'Quixanthe', 'Sally']);
  });
  it('takes the name off the sheets that were made, also off those that can be brought back', async () => {
    const make = async (label: string) => (await ask('POST', '/made', { sheet: 'number-cards', label })).body.id as string;
    const [mine, gone, other] = [await make('Quixanthe'), await make('Quixanthe'), await make('Alder')];
    const change = (await ask('DELETE', `/made/${gone}`)).body.change;
    eraseLearner(place.db, 'quixanthe', 'Quixanthe');
    expect(everywhere()).not.toContain('quixanthe');
    await ask('POST', '/undo', { change });
    const labels = Object.fromEntries((await ask('GET', '/made')).body.items.map((m: { id: string; label: string }) => [m.id, m.label]));
    expect(labels).toEqual({ [mine]: '', [gone]: '', [other]: 'Alder' });
  });
  it('names the copies that still hold it', () => {
    writeFileSync(join(place.directory, 'before-migration-2.sqlite'), 'x');
    writeFileSync(join(place.directory, 'my-backup.sqlite'), 'x');
    expect([...eraseLearner(place.db, 'al', 'Al').backups].sort()).toEqual(['before-migration-2.sqlite', 'my-backup.sqlite']);
  });
  it('is true to its answer when there is no room to rewrite the file', () => {
    const exec = place.db.$client.exec.bind(place.db.$client);
    place.db.$client.exec = (sql: string) => {
      if (sql === 'VACUUM') throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
      return exec(sql);
    };
    expect(eraseLearner(place.db, 'al', 'Al')).toMatchObject({ erased: 'al', cleaned: false });
    expect(place.db.select().from(learners).all()).toHaveLength(3);
  });
  it('takes the name out as a word of its own', () => {
    const others = ['Alder', 'Sally', 'Al-Amin'];
    expect(withoutName('Al, Alder, Sally and Al-Amin play; Al’s turn.', 'Al', others)).toBe(
      'another child, Alder, Sally and Al-Amin play; another child’s turn.',
    );
    expect(withoutName('Пётр и Пётрич', 'Пётр', [])).toBe('another child и Пётрич');
  });
});
