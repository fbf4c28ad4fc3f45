import { eq } from 'drizzle-orm';
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { games, kinds, learners, plans } from '../db/schema';
import { addEvidence } from '../evidence/evidenceStore';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { ask, Workspace } from '../workspace.testing';
import { planById } from './planById';
import { type PlanScene, sceneOf } from './planScene';
import { putWishes, wishesNow } from './wishesStore';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
const present = ['wren', 'fern', 'moss', 'robin'];
let place: Workspace;
let id: string;
const scene = (day = today): Promise<PlanScene> => sceneOf(place.db, planById(place.db, id), day);

beforeEach(async () => {
  place = new Workspace();
  for (const nickname of present) createLearner(place.db, { nickname, born: '2017-03', group: 'Lamps' }, today, now);
  for (const game of ['two-lamps-lit', 'relay-of-products']) takeFromLibrary(place.db, game, now);
  place.db.update(kinds).set({ quantity: 6 }).run();
  const asked = { present, date: today, rounds: 1, minutes: 15, tables: 2, helpers: 1, seconds: 0.1 };
  id = (await ask('POST', `/plans?today=${today}`, asked)).body.id;
});
afterEach(() => place.remove());
afterAll(closePool);

describe('what a session is checked with', () => {
  it('is made once while nothing changes that it depends on', async () => {
    const first = await scene();
    expect(await scene()).toBe(first);
    // Seats that are moved change nothing of it; neither does what is written of other things.
    place.db.update(plans).set({ edited: true }).where(eq(plans.id, id)).run();
    expect(await scene()).toBe(first);
    expect(first.built([])).toBe(first.built([]));
    expect(first.order.toSorted()).toEqual(present.toSorted());
  });

  const changes: readonly (readonly [string, () => unknown])[] = [
    ['a note', () => addEvidence(place.db, [{ learner: 'wren', at: today, kind: 'note', skill: 'make-ten', result: 'alone' }], today, now)],
    ['what is there', () => place.db.update(kinds).set({ quantity: 1 }).where(eq(kinds.id, 'pip-die')).run()],
    [
      'a liking',
      () =>
        place.db
          .update(learners)
          .set({ likings: ['two-lamps-lit'] })
          .where(eq(learners.id, 'wren'))
          .run(),
    ],
    ['the title of a game', () => place.db.update(games).set({ title: 'Two lamps' }).where(eq(games.id, 'two-lamps-lit')).run()],
    ['a game more', () => takeFromLibrary(place.db, 'milepost', now)],
    ['a wish', () => putWishes(place.db, { ...wishesNow(place.db), apart: [['wren', 'fern']] })],
    [
      'fewer tables',
      () =>
        place.db
          .update(plans)
          .set({ request: { ...planById(place.db, id).request, tables: 1 } })
          .run(),
    ],
    [
      'a session that took place before',
      () =>
        place.db
          .insert(plans)
          .values({ ...planById(place.db, id), id: 'before', date: '2026-11-03', playedAt: now })
          .run(),
    ],
  ];
  it.each(changes)('is made anew after %s', async (_, change) => {
    const first = await scene();
    change();
    const second = await scene();
    expect(second).not.toBe(first);
    expect(await scene()).toBe(second);
  });

  it('is made anew for seats that are fixed, and for another day', async () => {
    const first = await scene();
    const game = planById(place.db, id).rounds[0]!.tables[0]!.game;
    const locked = first.built([{ learner: 'wren', round: 0, game }]);
    expect(locked.instance.locks).toHaveLength(1);
    expect(first.built([]).instance.locks).toHaveLength(0);
    // Children forget: on an earlier day they were told to be elsewhere.
    addEvidence(place.db, [{ learner: 'wren', at: '2026-08-01', kind: 'note', skill: 'make-ten', result: 'alone' }], today, now);
    expect((await scene('2026-11-09')).needs.get('wren')).not.toBe((await scene()).needs.get('wren'));
  });
});
