import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { bins, games, variants } from '../db/schema';
import { undoChange } from '../undo/undo';
import { ask, problemOf, Workspace } from '../workspace.testing';
import { measureMissing } from './measure';
import { gameById, materialsOf, variantById } from './shelfRows';
import { createGame, setRetired, updateGame } from './shelfStore';
import { setStock } from '../things/thingStore';
import { createVariant, updateVariant, type VariantInput } from './variantStore';

const now = '2026-11-10T09:00:00.000Z';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());
const game = (title = 'Two Lamps') => createGame(place.db, { title, bin: 'Bees' }, now).id;
const add = (input: VariantInput = {}, of = game()) => createVariant(place.db, of, { title: 'Tens', ...input }).id;

describe('a game', () => {
  it('has what it was given, and the usual where nothing was said', () => {
    const id = createGame(place.db, { title: '  Two   Lamps ' }, now).id;
    expect(gameById(place.db, id)).toMatchObject({
      id: 'two-lamps',
      title: 'Two Lamps',
      source: 'made',
      condition: '',
      notes: '',
      rules: [],
      version: 1,
      retiredAt: null,
      createdAt: now,
    });
    expect(place.db.select().from(bins).all()).toMatchObject([{ id: 'unsorted', title: 'Unsorted', position: 1 }]);
  });
  it('goes into the bin that is meant, by name or id, and no bin is without a name', () => {
    game('A');
    createGame(place.db, { title: 'B', bin: 'BEES ' }, now);
    createGame(place.db, { title: 'C', bin: 'bees' }, now);
    createGame(place.db, { title: 'D', bin: '  ' }, now);
    expect(
      place.db
        .select()
        .from(bins)
        .all()
        .map((b) => b.title),
    ).toEqual(['Bees', 'Unsorted']);
  });
  it('changes field by field, and each change is taken back alone', () => {
    const id = game();
    const { change, version } = updateGame(place.db, id, { condition: 'worn', rules: ['Turn two.'] }, 1);
    expect(gameById(place.db, id)).toMatchObject({ title: 'Two Lamps', condition: 'worn', rules: ['Turn two.'], notes: '', version: 2 });
    updateGame(place.db, id, { notes: 'one lamp short', source: 'bought', bin: 'Hill' }, version);
    undoChange(place.db, change, now);
    expect(gameById(place.db, id)).toMatchObject({ condition: '', rules: [], notes: 'one lamp short', source: 'bought', binId: 'hill' });
  });
  it('keeps twelve lines of rules; more are refused and change nothing, but what stood there may be mended', () => {
    const lines = (n: number): string[] => Array.from({ length: n }, (_, i) => `Line ${i + 1}.`);
    const id = createGame(place.db, { title: 'Levers', rules: lines(12) }, now).id;
    expect(problemOf(() => createGame(place.db, { title: 'Long', rules: lines(13) }, now))).toMatchObject({
      code: 'too-large',
      field: 'rules',
    });
    expect(problemOf(() => updateGame(place.db, id, { rules: lines(13) }, 1))).toMatchObject({ code: 'too-large', field: 'rules' });
    expect(gameById(place.db, id)).toMatchObject({ version: 1, rules: lines(12) });
    place.db
      .update(games)
      .set({ rules: lines(20) })
      .run();
    updateGame(place.db, id, { rules: lines(19) }, 1);
    expect(gameById(place.db, id).rules).toHaveLength(19);
  });
  it('needs a name of its own', () => {
    game();
    expect(problemOf(() => game(' '))).toMatchObject({ code: 'malformed', field: 'title' });
    expect(problemOf(() => game('two lamps!'))).toMatchObject({ code: 'duplicate', field: 'title', detail: { id: 'two-lamps' } });
    const other = game('Levers');
    expect(problemOf(() => updateGame(place.db, other, { title: 'TWO LAMPS' }, 1)).code).toBe('duplicate');
    expect(updateGame(place.db, other, { title: 'levers' }, 1).version).toBe(2);
  });
  it('is put away and brought back, and the sentence says which', async () => {
    const id = game();
    setRetired(place.db, 'game', id, true, now);
    expect(gameById(place.db, id)).toMatchObject({ retiredAt: now, version: 2 });
    setRetired(place.db, 'game', id, false, now);
    expect(gameById(place.db, id).retiredAt).toBeNull();
    const said = (await ask('GET', '/changes')).body.items.map((c: { what: string }) => c.what);
    expect(said).toEqual(expect.arrayContaining(['Added Two Lamps', 'Put away Two Lamps', 'Brought back Two Lamps']));
  });
});

describe('a version', () => {
  it('has the usual where nothing was said, by what its family seats', () => {
    const id = add({ mechanism: 'running-total' });
    expect(variantById(place.db, id)).toMatchObject({
      id: 'two-lamps-tens',
      agesMin: 4,
      agesMax: 12,
      playersMin: 2,
      playersMax: 4,
      minutes: 15,
      helper: 'nearby',
      preparationMinutes: 0,
      declared: [],
      parameters: {},
    });
    expect(materialsOf(place.db, id).length).toBeGreaterThan(0);
    expect(materialsOf(place.db, add({ title: 'Own' }, 'two-lamps'))).toEqual([]);
  });
  it.each([
    [{ players: { min: 1, max: 30 } }, null],
    [{ players: { min: 0, max: 4 } }, 'players'],
    [{ players: { min: 1, max: 31 } }, 'players'],
    [{ players: { min: 4, max: 2 } }, 'players.max'],
    [{ ages: [2, 18] }, null],
    [{ ages: [1, 8] }, 'ages'],
    [{ ages: [4, 19] }, 'ages'],
    [{ ages: [8, 6] }, 'ages'],
    [{ ages: [6, 6] }, null],
    [{ minutes: 240 }, null],
    [{ minutes: 241 }, 'minutes'],
    [{ minutes: 0 }, 'minutes'],
    [{ parameters: { high: 3 } }, 'parameters'],
    [{ declared: [{ skill: 'juggling', perTenMinutes: 3 }] }, 'declared.0.skill'],
    [{ materials: [{ kind: 'pair-cards', quantity: 10_000 }] }, null],
    [{ materials: [{ kind: 'pair-cards', quantity: 10_001 }] }, 'materials.0.quantity'],
    [{ materials: [{ kind: 'pair-cards', quantity: 0 }] }, 'materials.0.quantity'],
    [{ materials: [{ kind: 'nothing', quantity: 1 }] }, 'materials.0.kind'],
    [
      {
        materials: [
          { kind: 'pair-cards', quantity: 1 },
          { kind: 'pair-cards', quantity: 2 },
        ],
      },
      'materials.1.kind',
    ],
  ] as [VariantInput, string | null][])('%j', (input, field) => {
    const of = game();
    if (field === null) expect(add(input, of)).toBe('two-lamps-tens');
    else {
      expect(problemOf(() => add(input, of)).field).toBe(field);
      expect(place.db.select().from(variants).all()).toEqual([]);
      const id = add({}, of);
      expect(problemOf(() => updateVariant(place.db, id, input, 1)).field).toBe(field);
      expect(variantById(place.db, id).version).toBe(1);
    }
  });
  it('keeps what a change does not name, and gets its things back when that is undone', () => {
    const id = add({ minutes: 20, materials: [{ kind: 'pair-cards', quantity: 2 }] });
    const { change } = updateVariant(place.db, id, { helper: 'needed', materials: [{ kind: 'pegs', quantity: 12 }] }, 1);
    expect(variantById(place.db, id)).toMatchObject({ minutes: 20, helper: 'needed', version: 2 });
    expect(materialsOf(place.db, id)).toEqual([{ kind: 'pegs', quantity: 12 }]);
    undoChange(place.db, change, now);
    expect(variantById(place.db, id)).toMatchObject({ minutes: 20, helper: 'nearby' });
    expect(materialsOf(place.db, id)).toEqual([{ kind: 'pair-cards', quantity: 2 }]);
  });
  it('has an id of its own, however games and versions are cut', () => {
    add({ title: 'Tens' }, game('Two'));
    const other = createVariant(place.db, game('Two Tens'), { title: '!' }).id;
    expect(other).toBe('two-tens-2');
  });
  it('has a name of its own within its game, and may have that of another game', () => {
    const of = game();
    add({}, of);
    expect(problemOf(() => add({ title: 'tens' }, of))).toMatchObject({ code: 'duplicate', field: 'title' });
    expect(problemOf(() => add({ title: '  ' }, of)).field).toBe('title');
    const other = add({ title: 'Fives' }, of);
    expect(problemOf(() => updateVariant(place.db, other, { title: 'TENS' }, 1)).field).toBe('title');
    expect(add({}, game('Levers'))).toBe('levers-tens');
  });
  it('whose declared skill was taken away since can still be changed, and loses it then', () => {
    const id = add({ declared: [{ skill: 'make-ten', perTenMinutes: 4 }] });
    const declared = [
      { skill: 'gone-since', perTenMinutes: 3 },
      { skill: 'make-ten', perTenMinutes: 4 },
    ];
    place.db.update(variants).set({ declared }).where(eq(variants.id, id)).run();
    updateVariant(place.db, id, { declared }, 1);
    expect(variantById(place.db, id).declared).toEqual([{ skill: 'make-ten', perTenMinutes: 4 }]);
  });
});

it('stock is set, undone, and asked of things that are there', () => {
  const { change } = setStock(place.db, 'pegs', { quantity: 7 });
  expect(problemOf(() => setStock(place.db, 'nothing', { quantity: 1 })).code).toBe('not-found');
  expect(undoChange(place.db, change, now)).toMatchObject({ what: expect.stringMatching(/: not sure to 7$/) as unknown });
});

describe('the shelf as it is asked for', () => {
  it('shows what is put away only when asked, and spans of what is in use', async () => {
    const of = game();
    add(
      {
        ages: [4, 6],
        players: { min: 1, max: 2 },
        minutes: 10,
        helper: 'needed',
        preparationMinutes: 3,
        materials: [{ kind: 'pegs', quantity: 4 }],
      },
      of,
    );
    add(
      {
        title: 'Fives',
        ages: [6, 9],
        players: { min: 2, max: 5 },
        minutes: 20,
        helper: 'alone',
        materials: [{ kind: 'pegs', quantity: 9 }],
      },
      of,
    );
    const third = add({ title: 'Old', ages: [2, 18] }, of);
    setRetired(place.db, 'variant', third, true, now);
    const { items } = (await ask('GET', '/games')).body;
    expect(items[0]).toMatchObject({
      ages: [4, 9],
      players: { min: 1, max: 5 },
      minutes: 10,
      helper: 'needed',
      preparationMinutes: 3,
      materials: [{ kind: 'pegs', quantity: 9 }],
    });
    expect(items[0].variants).toHaveLength(2);
    expect((await ask('GET', `/variants?game=${of}`)).body.total).toBe(2);
    expect((await ask('GET', `/variants?game=${of}&retired=true`)).body.total).toBe(3);
    setRetired(place.db, 'game', of, true, now);
    expect((await ask('GET', '/games')).body.total).toBe(0);
    expect((await ask('GET', '/games?retired=true&limit=1')).body.items[0].retired).toBe(true);
  });
  it('lists what a declared version practises, narrow skills first, and what is hardly met not at all', async () => {
    add({
      declared: [
        { skill: 'add-in-20', perTenMinutes: 9 },
        { skill: 'make-ten', perTenMinutes: 8 },
        { skill: 'pairs-of-10', perTenMinutes: 0.4 },
      ],
    });
    const { items, measuring } = (await ask('GET', '/profiles')).body;
    expect(measuring).toBeNull();
    expect(items[0]).toMatchObject({ source: 'declared', minutes: 15 });
    expect(items[0].doses.map((d: { skill: string }) => d.skill)).toEqual(['make-ten', 'add-in-20']);
    const profile = (await ask('GET', '/variants/two-lamps-tens/profile')).body;
    expect(profile).toMatchObject({ source: 'declared', games: 0, counted: false, waitingShare: null, minutes: { '0.5': 15 } });
    expect(profile.doses[0].standardError).toBeNull();
  });
  it('says of a version without a word and a family that nothing is known', async () => {
    add();
    expect((await ask('GET', '/variants/two-lamps-tens/profile')).body).toMatchObject({ source: 'none', doses: [] });
    expect((await ask('GET', '/variants/two-lamps-tens/suits')).body).toEqual({ items: [], total: 0 });
  });
  it('counts the error of a dose from the answers it rests on', async () => {
    add({ declared: [{ skill: 'make-ten', perTenMinutes: 8, counted: 16 }] });
    const profile = (await ask('GET', '/variants/two-lamps-tens/profile')).body;
    expect([profile.counted, profile.doses[0].standardError]).toEqual([true, 2]);
  });
  it('leaves open how many there are of what a file names: it says what games need', async () => {
    await ask('POST', '/imports/shelf', { text: 'game,materials\nMoss Race,3 moss tiles\n', commit: true });
    const kind = (await ask('GET', '/kinds?limit=5000')).body.items.find((k: { title: string }) => /moss/i.test(k.title));
    expect(kind).toMatchObject({ state: 'unsure', owned: 0, smallParts: false, shipped: false });
  });
  it('leaves rows out that need mending where that is asked, and brings in the others', async () => {
    const text = 'game,minutes\nMoss Race,12\n,5\nFern Race,8\n';
    const whole = await ask('POST', '/imports/shelf', { text, commit: true });
    expect([whole.status, whole.body.error.row]).toEqual([422, 3]);
    expect((await ask('GET', '/games')).body.total).toBe(0);
    const some = await ask('POST', '/imports/shelf', { text, commit: true, skip: true });
    expect(some.body.added).toMatchObject({ games: 2, variants: 2 });
    expect(some.body.problems).toHaveLength(1);
    expect((await ask('GET', '/games')).body.total).toBe(2);
  });
  it('says which columns are not known, and keeps them in the notes', async () => {
    const { body } = await ask('POST', '/imports/shelf', { text: 'Game name,Colour\nMoss Race,green\n' });
    expect(body.remarks).toContainEqual({
      table: '',
      row: 1,
      message: 'Not known here: “Colour”. What those columns say is kept in the notes.',
    });
    expect(body.rows[0].notes).toBe('Colour: green');
  });
  it('tells how many versions were measured, and how many cannot be', async () => {
    add({ mechanism: 'running-total', parameters: { highestCard: 7 } });
    const job = measureMissing(place.db)!;
    expect((await job.finished).result).toEqual({ measured: 1, failed: 0 });
    expect(measureMissing(place.db)).toBeNull();
  });
  it('refuses a table the family does not seat, in words', async () => {
    add({ mechanism: 'running-total' });
    const { status, body } = await ask('GET', '/variants/two-lamps-tens/profile?seats=12');
    expect([status, body.error.field]).toEqual([422, 'seats']);
    expect(body.error.message).toMatch(/is played by \d+ to \d+, not 12\./);
  });
});
