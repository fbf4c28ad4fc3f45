import { like } from 'drizzle-orm';
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { plans, variants } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { measureMissing } from '../shelf/measure';
import { createGame } from '../shelf/shelfStore';
import { setStock } from '../things/thingStore';
import { createVariant, updateVariant } from '../shelf/variantStore';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { planById } from './planById';

const today = '2026-11-10';
const now = '2026-11-10T10:00:00.000Z';
const day = `today=${today}`;
const present = ['wren', 'fern', 'moss'];
let place: Workspace;
let id = '';

beforeEach(async () => {
  place = new Workspace();
  for (const nickname of ['Wren', 'Fern', 'Moss']) createLearner(place.db, { nickname, born: '2018-03' }, today, now);
  for (const game of ['two-lamps-lit', 'high-signal']) takeFromLibrary(place.db, game, now);
  for (const kind of ['pip-die', 'number-deck-1-10', 'two-colour-counters', 'playing-cards', 'dice-tray']) setIfThere(kind);
  const plan = await ask('POST', `/plans?${day}`, { present, rounds: 1, minutes: 20, tables: 1, helpers: 1, seconds: 0.1 });
  id = plan.body.id;
  // Whatever the planner found, these tests are about what happens to a session that has seats.
  place.db
    .update(plans)
    .set({
      status: 'good',
      rounds: [
        {
          tables: [
            {
              game: 'two-lamps-lit',
              helper: false,
              seats: present.map((learner) => ({ learner, variant: 'two-lamps-lit-fives', why: 'x' })),
            },
          ],
          resting: [],
        },
      ],
    })
    .run();
});
afterEach(() => place.remove());
afterAll(closePool);

function setIfThere(kind: string): void {
  try {
    setStock(place.db, kind, { quantity: 4 });
  } catch {
    // Not every kind is on every list.
  }
}
const version = () => planById(place.db, id).version;
const restingAll = { rounds: [{ tables: [], resting: present }], locks: [] };
const edit = (v: number) => ask('PUT', `/plans/${id}?${day}`, { ...restingAll, version: v });
const replan = (v: number, seconds = 1.5) => ask('POST', `/plans/${id}/replan?${day}`, { version: v, seconds });

describe('what is fixed', () => {
  it.each([
    [{ round: 3, learner: 'wren', game: 'two-lamps-lit' }, 'locks.0.round', 'Round 4 does not exist.'],
    [{ round: 0, learner: 'nobody', game: 'two-lamps-lit' }, 'locks.0.learner', '"nobody" is not present.'],
    [{ round: 0, learner: 'wren', game: 'nowhere' }, 'locks.0.game', 'There is no game "nowhere".'],
  ])('%j is refused where it cannot be', async (lock, field, message) => {
    const asked = { present, rounds: 3, minutes: 15, tables: 1, helpers: 1, locks: [lock] };
    expect(await ask('POST', `/plans?${day}`, asked)).toMatchObject({ status: 422, body: { error: { field, message } } });
  });
});

describe('a session that was played', () => {
  it('is not thrown away', async () => {
    place.db.update(plans).set({ playedAt: now }).run();
    expect(await ask('DELETE', `/plans/${id}?${day}`)).toMatchObject({
      status: 409,
      body: { error: { message: expect.stringContaining('its plan stays') } },
    });
    expect(planById(place.db, id).playedAt).toBe(now);
    place.db.update(plans).set({ playedAt: null }).run();
    expect((await ask('DELETE', `/plans/${id}?${day}`)).status).toBe(200);
  });
});

describe('a table that is set by hand', () => {
  it('binds a helper where its game is too hard for somebody alone, and only there', async () => {
    takeFromLibrary(place.db, 'relay-of-products', now);
    // Only what multiplies: what halves is easier.
    place.db.delete(variants).where(like(variants.id, 'relay-of-products-%halves%')).run();
    const steps = ['split-product', 'times-turn', 'times-3-4', 'times-6-9', 'times-2', 'equal-groups'];
    for (const [i, skill] of [...steps, ...steps, ...steps].entries())
      await ask('POST', `/evidence?${day}`, { learner: 'wren', kind: 'note', skill, result: 'stuck', at: `2026-11-0${1 + (i % 8)}` });
    const set = async (learner: string, game: string): Promise<boolean> => {
      const rest = present.filter((l) => l !== learner);
      const body = { rounds: [{ tables: [{ game, seats: [{ learner }] }], resting: rest }], locks: [], version: version() };
      expect((await ask('PUT', `/plans/${id}?${day}`, body)).status).toBe(200);
      return planById(place.db, id).rounds[0]!.tables[0]!.helper;
    };
    expect(await set('wren', 'relay-of-products')).toBe(true);
    expect(await set('fern', 'relay-of-products')).toBe(false);
    expect(await set('wren', 'high-signal')).toBe(false);
  });
});

describe('two people at one session', () => {
  it('an edit made while it is planned again stays, and the late plan is told', async () => {
    const v = version();
    const [late, edited] = await Promise.all([replan(v), edit(v)]);
    expect(edited.status).toBe(200);
    expect(late).toMatchObject({ status: 409, body: { error: { code: 'conflict', detail: { yours: v, current: v + 1 } } } });
    expect(planById(place.db, id)).toMatchObject({ edited: true, version: v + 1, rounds: [{ tables: [], resting: present }] });
  });
  it('of two who plan it again at once one wins and the other is told', async () => {
    const v = version();
    const both = await Promise.all([replan(v, 0.3), replan(v, 0.3)]);
    expect(both.map((a) => a.status).sort()).toEqual([200, 409]);
    expect(version()).toBe(v + 1);
  });
  it('of six edits made at once while a new version is being played one is kept, and five are told', async () => {
    const v = version();
    createVariant(place.db, 'two-lamps-lit', { title: 'new', mechanism: 'sum-columns', parameters: { height: 7 } });
    const all = await Promise.all(Array.from({ length: 6 }, () => edit(v)));
    expect(all.map((a) => a.status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
    expect(all.find((a) => a.status === 409)!.body.error.detail.current).toBeDefined();
  });
  it('what took place is not planned over, nor edited', async () => {
    const v = version();
    const [late, played] = await Promise.all([replan(v), ask('POST', `/plans/${id}/played?${day}`, { played: true })]);
    expect(played.status).toBe(200);
    expect(late).toMatchObject({ status: 409, body: { error: { message: expect.stringContaining('was played') } } });
    expect((await edit(v)).status).toBe(409);
    expect(planById(place.db, id).rounds[0]!.tables[0]!.seats).toHaveLength(3);
  });
  it('a session thrown away while it is planned again stays thrown away', async () => {
    const [late] = await Promise.all([replan(version(), 0.5), ask('DELETE', `/plans/${id}`)]);
    expect(late.status).toBe(404);
    expect(place.db.select().from(plans).all()).toEqual([]);
  });
});

describe('a plan made again that seats nobody', () => {
  it('keeps the last good session, its version and its place, and says what stood in the way', async () => {
    const before = planById(place.db, id);
    for (const game of ['two-lamps-lit', 'high-signal']) await ask('POST', `/games/${game}/retire`);
    const answer = await replan(before.version, 0.2);
    expect(answer).toMatchObject({
      status: 200,
      body: {
        version: before.version,
        failed: { unseated: 3, unseatedAfter: 3, games: expect.any(Number) as number, unknown: 0, steps: [] },
      },
    });
    expect(planById(place.db, id)).toEqual(before);
  });
});

describe('one bad version', () => {
  it('is refused at the door, by POST and by PATCH', () => {
    const game = createGame(place.db, { title: 'Lanterns' }, now);
    const alone = { title: 'alone', mechanism: 'ask-for-cards', players: { min: 1, max: 1 } };
    expect(problemOf(() => createVariant(place.db, game.id, alone))).toMatchObject({
      code: 'out-of-range',
      field: 'players',
      message: expect.stringContaining('2 to 5'),
    });
    const good = createVariant(place.db, game.id, { title: 'four', mechanism: 'ask-for-cards' });
    expect(problemOf(() => updateVariant(place.db, good.id, { players: { min: 30, max: 30 } }, 1))).toMatchObject({
      code: 'out-of-range',
      field: 'players',
    });
    expect(problemOf(() => createVariant(place.db, game.id, { title: 'old', ages: [-1e308, 1e308] }))).toMatchObject({ field: 'ages' });
    expect(
      problemOf(() =>
        createVariant(place.db, game.id, {
          title: 'twice',
          materials: [
            { kind: 'pip-die', quantity: 1 },
            { kind: 'pip-die', quantity: 2 },
          ],
        }),
      ),
    ).toMatchObject({ code: 'duplicate', field: 'materials.1.kind' });
  });
  it('that got in takes only itself out, by name', async () => {
    // Written past the door, as an older program may have done.
    const row = { gameId: 'high-signal', agesMin: 5, agesMax: 9, playersMin: 2, playersMax: 4, minutes: 10, declared: [] };
    place.db
      .insert(variants)
      .values([
        { id: 'broken', title: 'broken', mechanism: 'running-total', parameters: { target: 'moon' }, ...row },
        { id: 'lost', title: 'lost', mechanism: 'no-such-family', parameters: {}, ...row },
      ])
      .run();
    await measureMissing(place.db)?.finished;
    const profiles = await ask('GET', '/profiles');
    expect(profiles.status).toBe(200);
    const source = (v: string) => profiles.body.items.find((p: { variant: string }) => p.variant === v).source;
    expect([source('broken'), source('lost'), source('two-lamps-lit-fives')]).toEqual(['faulty', 'faulty', 'calculated']);
    expect((await ask('POST', '/recommendations', { learners: ['wren'] })).status).toBe(200);
    expect((await ask('POST', `/plans?${day}`, { present, rounds: 1, minutes: 15, tables: 1, helpers: 1, seconds: 0.1 })).status).toBe(201);
    expect((await ask('GET', '/variants/two-lamps-lit-fives/suits')).status).toBe(200);
  });
});
