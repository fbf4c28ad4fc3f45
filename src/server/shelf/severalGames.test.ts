import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { games } from '../db/schema';
import { undoChange } from '../undo/undo';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { changeSeveral } from './severalGames';
import { createGame } from './shelfStore';

const now = '2026-11-29T10:00:00.000Z';
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const title of ['Bees', 'Lamps', 'Levers']) createGame(place.db, { title, bin: 'Blue' }, now);
});
afterEach(() => place.remove());
const state = () =>
  place.db
    .select()
    .from(games)
    .all()
    .map((g) => [g.id, g.binId, g.retiredAt !== null]);

describe('several games at once', () => {
  it('are moved and put away in one step, and come back in one', async () => {
    const before = state();
    const { change } = changeSeveral(place.db, { games: ['bees', 'levers', 'bees'], bin: 'Hall', away: true }, now);
    expect(state()).toEqual([
      ['bees', 'hall', true],
      ['lamps', 'blue', false],
      ['levers', 'hall', true],
    ]);
    undoChange(place.db, change, now);
    expect(state()).toEqual(before);
    await ask('POST', '/games/together', { games: ['lamps'], away: true });
    expect(state()[1]).toEqual(['lamps', 'blue', true]);
  });
  it('are tagged, each once however it is spelt, and lose a tag', async () => {
    const tags = () =>
      place.db
        .select()
        .from(games)
        .all()
        .map((g) => g.tags);
    changeSeveral(place.db, { games: ['bees', 'lamps'], tag: ' winter ' }, now);
    changeSeveral(place.db, { games: ['bees', 'levers'], tag: 'Winter' }, now);
    expect(tags()).toEqual([['winter'], ['winter'], ['Winter']]);
    const { change } = changeSeveral(place.db, { games: ['bees', 'lamps'], untag: 'WINTER', tag: 'unit 3' }, now);
    expect(tags()).toEqual([['unit 3'], ['unit 3'], ['Winter']]);
    undoChange(place.db, change, now);
    expect(tags()[0]).toEqual(['winter']);
    // Found by it.
    const found = (await ask('GET', '/search?q=winter')).body.items.map((f: { game: string }) => f.game);
    expect(found.toSorted()).toEqual(['bees', 'lamps', 'levers']);
  });
  it('change nothing where one is not there, or nothing is asked', () => {
    const before = state();
    expect(problemOf(() => changeSeveral(place.db, { games: ['bees', 'nowhere'], away: true }, now))).toMatchObject({ code: 'not-found' });
    expect(problemOf(() => changeSeveral(place.db, { games: [], away: true }, now))).toMatchObject({ field: 'games' });
    expect(problemOf(() => changeSeveral(place.db, { games: ['bees'] }, now))).toMatchObject({ field: 'bin' });
    expect(state()).toEqual(before);
  });
});
