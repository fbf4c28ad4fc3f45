import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { bins, kinds } from '../db/schema';
import { createLearner } from '../learners/learnerStore';
import { setRetired } from '../shelf/shelfStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { offersNow } from '../shelf/offers';
import { undoChange } from '../undo/undo';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { addThing, kindById, setAllStock, setStock, updateThing, wireKind } from './thingStore';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());
const state = (id: string): string => wireKind(kindById(place.db, id)).state;

describe('what is in the cupboard', () => {
  it('is not sure until somebody counts, and stays so through a start', () => {
    expect([state('pip-die'), state('paper')]).toEqual(['unsure', 'plenty']);
    setStock(place.db, 'pip-die', { quantity: 6 });
    setStock(place.db, 'paper', { quantity: 0 });
    setStock(place.db, 'pegs', { told: 'plenty' });
    place.openAgain();
    expect([state('pip-die'), state('paper'), state('pegs')]).toEqual(['number', 'none', 'plenty']);
  });
  it('is undone in words that say what it was', () => {
    setStock(place.db, 'pip-die', { quantity: 6 });
    const { change } = setStock(place.db, 'pip-die', { told: 'unsure' });
    expect(undoChange(place.db, change, now).what).toBe('Pip die: 6 to not sure');
    expect(state('pip-die')).toBe('number');
  });
  it('asks for a number where a number is told', () => {
    expect(problemOf(() => setStock(place.db, 'pip-die', { told: 'number' }))).toMatchObject({ field: 'quantity' });
  });
  it('knows with whom some of it is, and where it lives', () => {
    setStock(place.db, 'pip-die', { quantity: 3 });
    updateThing(place.db, 'pip-die', { loans: [{ who: ' Ash ', quantity: 2, until: null }], bin: 'Dice and counters', condition: 'worn' });
    expect(wireKind(kindById(place.db, 'pip-die'), place.db.select().from(bins).all())).toMatchObject({
      quantity: 1,
      owned: 3,
      bin: 'dice-and-counters',
      drawer: 'Dice and counters',
      condition: 'worn',
      loans: [{ who: 'Ash', quantity: 2 }],
    });
    expect(problemOf(() => updateThing(place.db, 'pip-die', { loans: [{ who: ' ', quantity: 1, until: null }] }))).toMatchObject({
      field: 'loans.0.who',
    });
    expect(problemOf(() => updateThing(place.db, 'pip-die', { loans: [{ who: 'Ash', quantity: 0, until: null }] }))).toMatchObject({
      field: 'loans.0.quantity',
    });
    expect(problemOf(() => updateThing(place.db, 'pip-die', {}))).toMatchObject({
      code: 'malformed',
      message: expect.stringContaining('Give at least one of title') as unknown,
    });
    expect(problemOf(() => updateThing(place.db, 'pip-die', { title: 'Cube' })).field).toBe('title');
    expect(problemOf(() => updateThing(place.db, 'pip-die', { standIn: 'pegs' })).code).toBe('unknown-value');
  });
  it('takes in something else, unless it is only another word for what is there', () => {
    const { id, change } = addThing(place.db, { title: 'Bottle tops', quantity: 40, unit: 'top' });
    expect(wireKind(kindById(place.db, id))).toMatchObject({ state: 'number', quantity: 40, unit: 'top', shipped: false });
    expect(problemOf(() => addThing(place.db, { title: 'D6' }))).toMatchObject({
      code: 'duplicate',
      message: expect.stringContaining('Pip die') as unknown,
    });
    undoChange(place.db, change, now);
    expect(
      place.db
        .select()
        .from(kinds)
        .all()
        .some((k) => k.id === id),
    ).toBe(false);
  });
});

describe('many things at once', () => {
  it('are all told or none, and undone as one', () => {
    expect(
      problemOf(() =>
        setAllStock(place.db, [
          { id: 'pip-die', quantity: 3 },
          { id: 'nowhere', told: 'plenty' },
        ]),
      ).code,
    ).toBe('not-found');
    expect(state('pip-die')).toBe('unsure');
    const { change } = setAllStock(place.db, [
      { id: 'pip-die', quantity: 3 },
      { id: 'coins', quantity: 0 },
    ]);
    expect([state('pip-die'), state('coins')]).toEqual(['number', 'none']);
    expect(undoChange(place.db, change, now).what).toBe('Took stock of 2 things');
    expect([state('pip-die'), state('coins')]).toEqual(['unsure', 'unsure']);
  });
});

describe('what stands in for what', () => {
  const materials = (game: string) => offersNow(place.db).find((o) => o.game === game)!;
  beforeEach(() => void takeFromLibrary(place.db, 'signal-frame', now));
  it('comes into offers only where the thing itself is told to be none', async () => {
    expect(materials('signal-frame').materials.map((m) => m.kind)).toContain('number-deck-1-10');
    setStock(place.db, 'number-deck-1-10', { quantity: 0 });
    setStock(place.db, 'playing-cards', { quantity: 2 });
    const offer = materials('signal-frame');
    expect(offer.materials.map((m) => m.kind)).toContain('playing-cards');
    expect(offer.standIns).toMatchObject([{ instead: 'number-deck-1-10', use: 'playing-cards' }]);
    // The shelf says so too.
    const shown = (await ask('GET', `/variants/${offer.variant}`)).body;
    expect(shown.standIns).toEqual([{ instead: 'number-deck-1-10', say: offer.standIns![0]!.say }]);
    setStock(place.db, 'playing-cards', { quantity: 0 });
    expect(materials('signal-frame').materials.map((m) => m.kind)).toContain('number-deck-1-10');
  });
  it('comes where the owner says that it will do, though it takes a while', () => {
    takeFromLibrary(place.db, 'number-plates', now);
    setStock(place.db, 'digit-cards-0-9', { quantity: 0 });
    expect(materials('number-plates').materials.map((m) => m.kind)).toContain('digit-cards-0-9');
    updateThing(place.db, 'digit-cards-0-9', { standIn: 'paper' });
    expect(materials('number-plates').materials.map((m) => m.kind)).not.toContain('digit-cards-0-9');
  });
});

describe('only this cupboard', () => {
  const now_ = async () => (await ask('GET', `/things/playable?today=${today}`)).body;
  /** A kitchen: dice, two packs of cards, dominoes, coins, paper; all else is none. */
  const kitchen = (): void => {
    const here: Record<string, number> = { 'pip-die': 6, 'playing-cards': 2, dominoes: 1, coins: 1, paper: 100, pencils: 10 };
    for (const k of place.db.select().from(kinds).all()) setStock(place.db, k.id, { quantity: here[k.id] ?? 0 });
  };
  it('says what a kitchen table can play, from shelf and library, and by whom', async () => {
    kitchen();
    createLearner(place.db, { nickname: 'Ada', born: '2021-05' }, today, now);
    createLearner(place.db, { nickname: 'Cleo', born: '2017-05' }, today, now);
    const before = await now_();
    expect(before.games.length).toBeGreaterThan(5);
    expect(before.games.every((g: { where: string }) => g.where === 'library')).toBe(true);
    expect(before.children.map((c: { nickname: string; games: number }) => [c.nickname, c.games > 0])).toEqual([
      ['Ada', true],
      ['Cleo', true],
    ]);
    expect(
      before.games.some((g: { standIns: string[] }) => g.standIns.some((s) => s.startsWith('Number deck 1–10: Take out the faces'))),
    ).toBe(true);
    takeFromLibrary(place.db, 'signal-frame', now);
    const after = await now_();
    expect(after.games.find((g: { game: string }) => g.game === 'signal-frame')).toMatchObject({ where: 'shelf' });
    expect(after.games).toHaveLength(before.games.length);
    // What was put away is not offered from the library again.
    setRetired(place.db, 'game', 'signal-frame', true, now);
    expect((await now_()).games).toHaveLength(before.games.length - 1);
  });
  it('tells what a few ticks would do before they are kept', async () => {
    kitchen();
    const kept = (await now_()).games.length;
    const ticked = (await ask('GET', `/things/playable?today=${today}&only=pip-die,paper,pencils`)).body.games.length;
    expect(ticked).toBeGreaterThan(0);
    expect(ticked).toBeLessThan(kept);
    expect((await now_()).games).toHaveLength(kept);
  });
  it('names the one thing that would open most, and opens as many games when it is there', async () => {
    kitchen();
    createLearner(place.db, { nickname: 'Ada', born: '2021-05' }, today, now);
    const before = await now_();
    expect(before.away.games.length).toBeGreaterThan(0);
    expect(before.away.needed).toBeGreaterThan(0);
    setStock(place.db, before.away.kind, { quantity: before.away.needed });
    const after = await now_();
    expect(after.games.length).toBe(before.games.length + before.away.games.length);
    expect(after.children[0].games).toBe(before.children[0].games + before.away.learners[0].games);
  });
});
