import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { kinds } from '../db/schema';
import { createLearner } from '../learners/learnerStore';
import { closePool } from '../jobs/pool';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = '2026-11-10T10:00:00.000Z';
const day = `today=${today}`;
const children = ['Wren', 'Fern', 'Moss', 'Robin', 'Hazel', 'Alder'];
const present = children.map((c) => c.toLowerCase());
const shelf = ['two-lamps-lit', 'high-signal', 'relay-of-products', 'milepost'];
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const [i, nickname] of children.entries())
    createLearner(place.db, { nickname, born: `${2016 + (i % 4)}-03`, group: 'Lamps' }, today, now);
  for (const game of shelf) takeFromLibrary(place.db, game, now);
  place.db.update(kinds).set({ quantity: 6 }).run();
});
afterEach(() => place.remove());
afterAll(closePool);

/** Who plays what, round by round. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
const seats = (plan: any): string[] =>
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  plan.rounds.flatMap((r: any, i: number) => r.tables.flatMap((t: any) => t.seats.map((s: any) => `${i} ${s.learner} ${t.game}`)));

describe('a session that is mended', () => {
  it('keeps what it can, and tells what changed and what that costs', async () => {
    const made = (await ask('POST', `/plans?${day}`, { present, rounds: 2, minutes: 15, tables: 3, helpers: 2, seconds: 0.2 })).body;
    const before = seats(made);
    expect(before).toHaveLength(12);
    // One child is to play something that it plays nowhere yet.
    const [learner, game] = present
      .flatMap((l) => shelf.map((g) => [l, g] as const))
      .find(([l, g]) => !before.some((x) => x.endsWith(` ${l} ${g}`)))!;
    const mended = (
      await ask('POST', `/plans/${made.id}/replan?${day}`, {
        version: made.version,
        fewChanges: true,
        seconds: 0.2,
        locks: [{ learner, round: 0, game }],
      })
    ).body;
    expect(mended.failed).toBeUndefined();
    const after = seats(mended);
    expect(after).toContain(`0 ${learner} ${game}`);
    const other = after.filter((s) => !before.includes(s)).length;
    expect(other).toBeGreaterThan(0);
    expect(other).toBeLessThan(6);
    expect(mended.changes).toMatchObject({ seats: other, of: 12 });
    expect(mended.changes.price).toBeGreaterThanOrEqual(0);
    expect(mended.changes.price).toBeLessThan(1);
  });
  it('changes nothing where nothing has to', async () => {
    const made = (await ask('POST', `/plans?${day}`, { present, rounds: 2, minutes: 15, tables: 3, helpers: 2, seconds: 0.2 })).body;
    const same = (await ask('POST', `/plans/${made.id}/replan?${day}`, { version: made.version, fewChanges: true, seconds: 0.2 })).body;
    expect(seats(made)).toHaveLength(12);
    expect(seats(same).sort()).toEqual(seats(made).sort());
    expect(same.changes.seats).toBe(0);
  });
  it('goes on without a child that is absent, a game that is not wanted, and two that are better apart', async () => {
    const made = (await ask('POST', `/plans?${day}`, { present, rounds: 2, minutes: 15, tables: 3, helpers: 2, seconds: 0.2 })).body;
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
    const again = async (version: number, more: object): Promise<any> =>
      (await ask('POST', `/plans/${made.id}/replan?${day}`, { version, fewChanges: true, seconds: 0.2, ...more })).body;
    const [absent] = present;
    const without = await again(made.version, { present: present.slice(1) });
    expect(without.request.present).toEqual(present.slice(1));
    expect(seats(without).some((s) => s.includes(` ${absent} `))).toBe(false);
    expect(seats(without)).toHaveLength(10);
    const game = without.rounds[0].tables[0].game as string;
    const other = await again(without.version, { withoutGames: [game] });
    expect(other.request.withoutGames).toEqual([game]);
    expect(seats(other).some((s) => s.endsWith(` ${game}`))).toBe(false);
    // It stays so when the session is planned once more, until it is wanted again.
    const kept = await again(other.version, {});
    expect(seats(kept).some((s) => s.endsWith(` ${game}`))).toBe(false);
    expect((await again(kept.version, { withoutGames: [] })).request.withoutGames).toBeUndefined();
  });
});
