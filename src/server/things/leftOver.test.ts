import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { LeftWire } from '../../contract/wire/thingsOwned';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { createGame } from '../shelf/shelfStore';
import { createVariant } from '../shelf/variantStore';
import { ask, Workspace } from '../workspace.testing';

const now = '2026-11-10T10:00:00.000Z';
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());
const left = async (kind: string, quantity: number): Promise<LeftWire> =>
  (await ask('GET', `/kinds/${kind}/left?quantity=${quantity}`)).body as LeftWire;

describe('what is left of a thing', () => {
  it('is still good for what needs no more of it, and tells the steps that nothing plays then', async () => {
    // A thing of the owner's own, so that nothing stands in for it.
    await ask('POST', '/kinds', { title: 'Glass beads', quantity: 9 });
    for (const [title, quantity, skill] of [
      ['Few Beads', 2, 'add-in-5'],
      ['Many Beads', 9, 'add-in-20'],
    ] as const) {
      const { id } = createGame(place.db, { title }, now);
      createVariant(place.db, id, { title: 'v', materials: [{ kind: 'glass-beads', quantity }], declared: [{ skill, perTenMinutes: 8 }] });
    }
    const some = await left('glass-beads', 4);
    expect(some.still.map((g) => g.title)).toEqual(['Few Beads']);
    expect(some.still[0]!.steps).toEqual(['Add within five']);
    expect(some.lost.map((g) => g.title)).toEqual(['Many Beads']);
    expect(some.lostSteps).toEqual(['Add within twenty']);
    const none = await left('glass-beads', 0);
    expect([none.still, none.lost.length, none.becomes]).toEqual([[], 2, []]);
    const all = await left('glass-beads', 9);
    expect([all.still.length, all.lost, all.lostSteps]).toEqual([2, [], []]);
  });
  it('could become games of the library that it is enough for, none that stand here', async () => {
    const before = await left('pip-die', 2);
    expect(before.becomes.length).toBeGreaterThan(0);
    const [first] = before.becomes;
    takeFromLibrary(place.db, first!.game, now);
    const after = await left('pip-die', 2);
    expect(after.becomes.map((g) => g.game)).not.toContain(first!.game);
    expect(after.still.map((g) => g.title)).toContain(first!.title);
    expect((await ask('GET', '/kinds/nothing/left?quantity=1')).status).toBe(404);
  });
});
