import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addEvidence } from '../evidence/evidenceStore';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { measuredAll } from '../shelf/measure';
import { offersNow } from '../shelf/offers';
import { setRetired } from '../shelf/shelfStore';
import { setStock } from '../things/thingStore';
import { createVariant, updateVariant } from '../shelf/variantStore';
import { makeReady } from '../workspace/makeReady';
import { Workspace } from '../workspace.testing';
import { evidence, learnerStates, simulations, variantMaterials, variants } from './schema';
import { keptWhile, notesStamp, shelfStamp } from './stamps';

const today = '2026-11-10';
const now = '2026-11-10T10:00:00.000Z';
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  takeFromLibrary(place.db, 'two-lamps-lit', now);
  createLearner(place.db, { nickname: 'Wren', born: '2018-03' }, today, now);
});
afterEach(() => place.remove());

const moved = (change: () => unknown): boolean => {
  const before = shelfStamp(place.db);
  change();
  return shelfStamp(place.db) !== before;
};
const first = () => place.db.select().from(variants).get()!;

describe('the stamp of the shelf', () => {
  it('stays while other things are written', () => {
    expect(moved(() => createLearner(place.db, { nickname: 'Fern', born: '2019-03' }, today, now))).toBe(false);
    expect(moved(() => addEvidence(place.db, [{ learner: 'wren', kind: 'note', skill: 'make-ten', result: 'alone' }], today, now))).toBe(
      false,
    );
  });
  it.each([
    ['a version that comes', () => createVariant(place.db, 'two-lamps-lit', { title: 'new' })],
    ['a version that changes', () => updateVariant(place.db, first().id, { minutes: 9 }, 1)],
    ['a game that is put away', () => setRetired(place.db, 'game', 'two-lamps-lit', true, now)],
    ['a thing that is counted', () => setStock(place.db, 'pip-die', { quantity: 3 })],
    ['things that change', () => place.db.delete(variantMaterials).run()],
    ['a version that goes', () => place.db.delete(variants).where(eq(variants.id, first().id)).run()],
    [
      'a result that comes',
      () =>
        place.db
          .insert(simulations)
          .values({ hash: 'x', task: 'x', summary: { minutes: 1, doses: [] }, result: Buffer.alloc(0), usedAt: today })
          .run(),
    ],
  ])('moves with %s', (_, change) => {
    expect(moved(change)).toBe(true);
  });
  it('keeps nothing that was read inside a transaction that did not hold', () => {
    const before = offersNow(place.db);
    expect(() =>
      place.db.transaction(() => {
        updateVariant(place.db, first().id, { minutes: 99 }, 1);
        expect(offersNow(place.db)).not.toBe(before);
        throw new Error('no');
      }),
    ).toThrow('no');
    createVariant(place.db, 'two-lamps-lit', { title: 'new' });
    expect(offersNow(place.db)).toHaveLength(before.length + 1);
    expect(offersNow(place.db).some((o) => o.minutes === 99)).toBe(false);
  });
});

describe('the stamp of the notes', () => {
  const count = keptWhile(notesStamp, (db) => db.select().from(evidence).all().length);
  const note = () => addEvidence(place.db, [{ learner: 'wren', kind: 'note', skill: 'make-ten', result: 'alone' }], today, now);
  it('keeps what was read until a note is written, taken back or goes', () => {
    let reads = 0;
    const counted = keptWhile(notesStamp, () => ++reads);
    expect([counted(place.db), counted(place.db)]).toEqual([1, 1]);
    setStock(place.db, 'pip-die', { quantity: 3 });
    expect(counted(place.db)).toBe(1);
    note();
    expect(counted(place.db)).toBe(2);
    place.db.update(evidence).set({ retractedAt: now }).run();
    expect(counted(place.db)).toBe(3);
    place.db.delete(evidence).run();
    expect([counted(place.db), counted(place.db)]).toEqual([4, 4]);
  });
  it('keeps nothing that was read inside a transaction that did not hold', () => {
    expect(count(place.db)).toBe(0);
    expect(() =>
      place.db.transaction(() => {
        note();
        expect(count(place.db)).toBe(1);
        throw new Error('no');
      }),
    ).toThrow('no');
    note();
    note();
    expect(count(place.db)).toBe(2);
  });
});

describe('after a start', () => {
  it('the shelf and the maps are made ready without a page asking', async () => {
    expect(place.db.select().from(learnerStates).all()).toHaveLength(0);
    await makeReady(place.db, today);
    expect(place.db.select().from(learnerStates).all()).toHaveLength(1);
    expect(measuredAll(place.db)).toBe(true);
    const offers = offersNow(place.db);
    addEvidence(place.db, [{ learner: 'wren', kind: 'note', skill: 'make-ten', result: 'alone' }], today, now);
    expect(offersNow(place.db)).toBe(offers);
  });
  it('a program that is ended meanwhile ends quietly', async () => {
    const ready = makeReady(place.db, today);
    place.openAgain();
    await expect(ready).resolves.toBeUndefined();
  });
});
