import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { variants } from '../db/schema';
import { undoChange } from '../undo/undo';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { alikeOn, mergeGames } from './mergeGames';
import { gameById } from './shelfRows';
import { createGame } from './shelfStore';
import { createVariant } from './variantStore';

const now = '2026-11-29T10:00:00.000Z';
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const [title, notes] of [
    ['Make ten pairs', 'face down'],
    ['Make-ten pares', 'see above?'],
  ] as const) {
    const id = createGame(place.db, { title, notes }, now).id;
    createVariant(place.db, id, { title: 'as it comes' });
  }
});
afterEach(() => place.remove());
const versions = () =>
  place.db
    .select()
    .from(variants)
    .all()
    .map((v) => [v.gameId, v.title]);

describe('two games that are one', () => {
  it('are found by their names, and no more once they are one', async () => {
    expect(alikeOn(place.db)).toEqual([
      { first: 'make-ten-pairs', firstTitle: 'Make ten pairs', second: 'make-ten-pares', secondTitle: 'Make-ten pares' },
    ]);
    await ask('POST', '/games/make-ten-pairs/merge', { other: 'make-ten-pares' });
    expect((await ask('GET', '/look-alike')).body).toEqual({ items: [] });
  });
  it('keep every version and all notes, and come apart again in one step', () => {
    const before = versions();
    const { change } = mergeGames(place.db, 'make-ten-pairs', 'make-ten-pares', now);
    expect(versions()).toEqual([
      ['make-ten-pairs', 'as it comes'],
      ['make-ten-pairs', 'as it comes (Make-ten pares)'],
    ]);
    expect(gameById(place.db, 'make-ten-pairs').notes).toBe('face down\nsee above?');
    expect(gameById(place.db, 'make-ten-pares').retiredAt).toBe(now);
    undoChange(place.db, change, now);
    expect(versions()).toEqual(before);
    expect(gameById(place.db, 'make-ten-pares').retiredAt).toBeNull();
    expect(gameById(place.db, 'make-ten-pairs').notes).toBe('face down');
  });
  it('are two', () => {
    expect(problemOf(() => mergeGames(place.db, 'make-ten-pairs', 'make-ten-pairs', now))).toMatchObject({ code: 'conflict' });
    expect(problemOf(() => mergeGames(place.db, 'make-ten-pairs', 'nowhere', now))).toMatchObject({ code: 'not-found' });
  });
});
