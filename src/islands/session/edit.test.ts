import { describe, expect, it } from 'vitest';
import { changeGame, changeVersion, type Draft, markOf, moveLearner, seatGrownUp, shareSeat, tableLocked, toggleLock } from './edit';

const draft: Draft = {
  rounds: [
    {
      tables: [
        {
          game: 'a',
          seats: [
            { learner: 'x', variant: 'a1' },
            { learner: 'y', variant: 'a1' },
          ],
        },
        { game: 'b', seats: [{ learner: 'z', variant: 'b1' }] },
      ],
      resting: [],
    },
  ],
  locks: [],
};

describe('editing a plan', () => {
  it('moves a learner to another table and lets the variant be chosen anew', () => {
    const moved = moveLearner(draft, 0, 'x', 1);
    expect(moved.rounds[0]!.tables.map((t) => t.seats.map((s) => s.learner))).toEqual([['y'], ['z', 'x']]);
    expect(moved.rounds[0]!.tables[1]!.seats[1]).toEqual({ learner: 'x' });
    expect(draft.rounds[0]!.tables[0]!.seats).toHaveLength(2);
  });
  it('lets a learner rest and come back', () => {
    const rest = moveLearner(draft, 0, 'z', 'rest');
    expect(rest.rounds[0]!.resting).toEqual(['z']);
    expect(moveLearner(rest, 0, 'z', 0).rounds[0]!.resting).toEqual([]);
  });
  it('lets two share a seat, with one version, and gives each a seat again when one goes', () => {
    const shared = shareSeat(draft, 0, 0, 'y', 'x');
    expect(shared.rounds[0]!.tables[0]!.seats).toEqual([
      { learner: 'x', variant: 'a1' },
      { learner: 'y', with: 'x' },
    ]);
    expect(changeVersion(shared, 0, 0, ['x'], 'a2').rounds[0]!.tables[0]!.seats.map((s) => s.variant)).toEqual(['a2', 'a2']);
    const swapped = changeGame(shared, 0, 0, 'c', [{ learner: 'x', variant: 'c1' }]).rounds[0]!.tables[0]!;
    expect(swapped).toEqual({
      game: 'c',
      seats: [
        { learner: 'x', variant: 'c1' },
        { learner: 'y', variant: 'c1', with: 'x' },
      ],
    });
    expect(moveLearner(shared, 0, 'x', 1).rounds[0]!.tables[0]!.seats).toEqual([{ learner: 'y' }]);
    expect(shareSeat(shared, 0, 0, 'y', null).rounds[0]!.tables[0]!.seats[1]).toEqual({ learner: 'y' });
    // Whoever shared with one of two that share now sits alone again.
    const three = moveLearner(shared, 0, 'z', 0);
    expect(shareSeat(three, 0, 0, 'x', 'z').rounds[0]!.tables[0]!.seats).toEqual([
      { learner: 'x', with: 'z' },
      { learner: 'y' },
      { learner: 'z' },
    ]);
    // Only seats of the own are fixed.
    expect(toggleLock(shared, 0, 0).locks).toEqual([{ learner: 'x', round: 0, game: 'a' }]);
    expect(tableLocked(toggleLock(shared, 0, 0), 0, shared.rounds[0]!.tables[0]!)).toBe(true);
  });
  it('lets a grown-up take a seat and leave it', () => {
    const along = seatGrownUp(draft, 0, 1, true);
    expect(along.rounds[0]!.tables.map((t) => t.grownUp ?? false)).toEqual([false, true]);
    expect(seatGrownUp(along, 0, 0, true).rounds[0]!.tables.map((t) => t.grownUp ?? false)).toEqual([true, true]);
    expect(seatGrownUp(along, 0, 1, false)).toEqual(draft);
  });
  it('fixes a table, and moving a child away loosens that child only', () => {
    const locked = toggleLock(draft, 0, 0);
    expect(tableLocked(locked, 0, locked.rounds[0]!.tables[0]!)).toBe(true);
    expect(moveLearner(locked, 0, 'x', 1).locks).toEqual([{ learner: 'y', round: 0, game: 'a' }]);
    expect(toggleLock(locked, 0, 0).locks).toEqual([]);
  });
  it('changes the game of a table and drops its locks', () => {
    const changed = changeGame(toggleLock(draft, 0, 0), 0, 0, 'c');
    expect(changed.rounds[0]!.tables[0]).toEqual({ game: 'c', seats: [{ learner: 'x' }, { learner: 'y' }] });
    expect(changed.locks).toEqual([]);
  });
  it('marks versions with symbols that differ inside a game', () => {
    expect(new Set([0, 1, 2, 3].map((i) => markOf('lever-frame', i))).size).toBe(4);
  });
});
