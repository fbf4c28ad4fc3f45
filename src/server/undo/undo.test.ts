import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { games, kinds, learners, variants } from '../db/schema';
import { addEvidence } from '../evidence/evidenceStore';
import { createLearner, updateLearner } from '../learners/learnerStore';
import { importShelf } from '../shelf/importShelf';
import { gameById, variantById } from '../shelf/shelfRows';
import { createGame, updateGame } from '../shelf/shelfStore';
import { setStock } from '../things/thingStore';
import { createVariant, updateVariant } from '../shelf/variantStore';
import { problemOf, Workspace } from '../workspace.testing';
import { undoChange } from './undo';

const now = '2026-11-10T10:00:00.000Z';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

const undo = (change: string) => undoChange(place.db, change, now);
const bytes = (text: string) => new TextEncoder().encode(text);

describe('taking back', () => {
  it('puts back only what that change changed', () => {
    const { id } = createGame(place.db, { title: 'Levers' }, now);
    const notes = updateGame(place.db, id, { notes: 'first' }, 1);
    const condition = updateGame(place.db, id, { condition: 'worn' }, 2);
    undo(notes.change);
    expect(gameById(place.db, id)).toMatchObject({ notes: '', condition: 'worn' });
    undo(condition.change);
    expect(gameById(place.db, id)).toMatchObject({ notes: '', condition: '' });
  });
  it('refuses with words when the same thing was changed again, and changes nothing', () => {
    const first = setStock(place.db, 'pip-die', { quantity: 7 });
    const second = setStock(place.db, 'pip-die', { quantity: 9 });
    const quantity = () =>
      place.db
        .select()
        .from(kinds)
        .all()
        .find((k) => k.id === 'pip-die')!.quantity;
    expect(problemOf(() => undo(first.change))).toMatchObject({ code: 'conflict', message: expect.stringContaining('changed again') });
    expect(quantity()).toBe(9);
    undo(second.change);
    undo(first.change);
    expect(quantity()).toBe(0);
  });
  it('of a name that was given to another game since is refused', () => {
    const { id } = createGame(place.db, { title: 'Levers' }, now);
    const renamed = updateGame(place.db, id, { title: 'Signals' }, 1);
    createGame(place.db, { title: 'Levers' }, now);
    expect(problemOf(() => undo(renamed.change))).toMatchObject({ code: 'conflict' });
    expect(gameById(place.db, id).title).toBe('Signals');
  });
  it('of an added game is refused once it is used: a version, a liking, a note', () => {
    const game = createGame(place.db, { title: 'Levers' }, now);
    const version = createVariant(place.db, game.id, { title: 'small' });
    expect(problemOf(() => undo(game.change)).message).toContain('small');
    undo(version.change);
    const child = createLearner(place.db, { nickname: 'Wren', born: '2018-09', likings: [game.id] }, '2026-11-10', now);
    expect(problemOf(() => undo(game.change)).message).toContain('Wren likes it');
    updateLearner(place.db, child.id, { likings: [] }, 1, '2026-11-10');
    const noted = createVariant(place.db, game.id, { title: 'large' });
    addEvidence(place.db, [{ learner: child.id, kind: 'note', skill: 'make-ten', result: 'alone', variant: noted.id }], '2026-11-10', now);
    expect(problemOf(() => undo(noted.change)).message).toContain('noted');
    expect([place.db.select().from(games).all().length, place.db.select().from(variants).all().length]).toEqual([1, 1]);
  });
  it('of a change to a version that is gone is refused', () => {
    const game = createGame(place.db, { title: 'Levers' }, now);
    const version = createVariant(place.db, game.id, { title: 'small' });
    const changed = updateVariant(place.db, version.id, { minutes: 20 }, 1);
    undo(version.change);
    expect(problemOf(() => undo(changed.change)).code).toBe('conflict');
  });
  it('of a file whose material another version needs since is refused whole', () => {
    const file = importShelf(place.db, bytes('game,materials,source\nOne,3 thingummies,made\n'), true, now);
    const game = createGame(place.db, { title: 'Levers' }, now);
    createVariant(place.db, game.id, { title: 'small', materials: [{ kind: file.proposedKinds[0]!.id, quantity: 1 }] });
    expect(problemOf(() => undo(file.change!)).message).toContain('needed by another version');
    expect(place.db.select().from(games).all()).toHaveLength(2);
  });
  it('of a whole file takes all of it away', () => {
    const before = place.db.select().from(kinds).all();
    const file = importShelf(place.db, bytes('game,materials,source\nOne,3 thingummies; 2 dice,made\nTwo,1 thingummies,made\n'), true, now);
    undo(file.change!);
    expect([place.db.select().from(games).all(), place.db.select().from(variants).all(), place.db.select().from(kinds).all()]).toEqual([
      [],
      [],
      before,
    ]);
  });
  it('keeps counting versions, so that a page that was open sees it', () => {
    const game = createGame(place.db, { title: 'Levers' }, now);
    const version = createVariant(place.db, game.id, { title: 'small' });
    const changed = updateVariant(place.db, version.id, { minutes: 20 }, 1);
    undo(changed.change);
    expect(variantById(place.db, version.id)).toMatchObject({ minutes: 15, version: 3 });
    expect(problemOf(() => updateVariant(place.db, version.id, { minutes: 9 }, 2)).code).toBe('conflict');
    expect(place.db.select().from(learners).all()).toEqual([]);
  });
});
