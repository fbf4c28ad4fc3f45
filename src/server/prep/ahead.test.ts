import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { kinds, variants } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { offersNow } from '../shelf/offers';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const nickname of ['Wren', 'Fern', 'Moss']) createLearner(place.db, { nickname, born: '2018-03' }, today, now);
  for (const g of ['two-lamps-lit', 'high-signal']) takeFromLibrary(place.db, g, now);
  place.db.update(kinds).set({ quantity: 6 }).run();
  place.db.update(variants).set({ preparationMinutes: 7 }).run();
});
afterEach(() => place.remove());
afterAll(closePool);

// eslint-disable-next-line @typescript-eslint/no-explicit-any
const plan = async (date: string): Promise<any> =>
  (
    await ask('POST', `/plans?today=${today}`, {
      date,
      present: ['wren', 'fern', 'moss'],
      rounds: 1,
      minutes: 15,
      tables: 2,
      helpers: 2,
      seconds: 0.2,
    })
  ).body;
// eslint-disable-next-line @typescript-eslint/no-explicit-any
const ahead = async (query = ''): Promise<any> => (await ask('GET', `/prep/ahead?today=${today}${query}`)).body;

describe('the days ahead', () => {
  it('holds the sessions of a week, shared things once, and what has to be made before the first', async () => {
    await plan('2026-11-12');
    await plan('2026-11-14');
    await plan('2026-12-24');
    const week = await ahead();
    expect(week.until).toBe('2026-11-17');
    expect(week.sessions.map((s: { date: string }) => s.date)).toEqual(['2026-11-12', '2026-11-14']);
    const items = week.bins.flatMap((b: { items: { item: string }[] }) => b.items.map((i) => i.item));
    expect(new Set(items).size).toBe(items.length);
    expect(week.make.length).toBeGreaterThan(0);
    expect(
      week.make.every(
        (m: { minutes: number; first: string; batch: string }) => m.minutes === 7 && m.first >= '2026-11-12' && m.batch === 'other',
      ),
    ).toBe(true);
    expect(week.minutes).toBe(7 * week.make.length);
    expect((await ahead('&until=2026-12-31')).sessions).toHaveLength(3);
    expect((await ahead('&until=2026-11-11')).sessions).toEqual([]);
  });
  it('does not ask again for what was played, and asks for what is missing or incomplete', async () => {
    const first = await plan('2026-11-10');
    await ask('POST', `/plans/${first.id}/played?today=${today}`, {});
    await plan('2026-11-12');
    const seated = (p: { rounds: { tables: { seats: { variant: string }[] }[] }[] }) =>
      new Set(p.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.variant))));
    const { make } = await ahead();
    expect(make.length).toBeLessThanOrEqual(seated(await plan('2026-11-13')).size + 2);
    place.db.update(kinds).set({ incomplete: '3 cards gone' }).run();
    expect((await ahead()).make.some((m: { batch: string; what: string }) => m.batch === 'repair' && m.what === '3 cards gone')).toBe(true);
    place.db.update(kinds).set({ quantity: 0, told: 'number' }).run();
    expect((await ahead()).make.some((m: { batch: string }) => m.batch === 'thing')).toBe(true);
  });
  it('names the steps of getting ready, ticks them off, and adds up what is used and what it costs', async () => {
    const steps = [
      { sort: 'print' as const, what: 'two sheets', minutes: 3 },
      { sort: 'cut' as const, what: '', minutes: 9 },
    ];
    place.db
      .update(variants)
      .set({ steps, preparationMinutes: 12, uses: [{ what: 'Card', quantity: 2, cost: 0.5 }] })
      .run();
    await plan('2026-11-12');
    const before = await ahead();
    const games = before.make.length / 2;
    expect([before.minutes, before.doneMinutes, before.cost]).toEqual([12 * games, 0, 0.5 * games]);
    expect(before.uses).toMatchObject([{ what: 'Card', quantity: 2 * games, cost: 0.5 * games }]);
    const { variant } = before.make[0];
    const tick = (step: string, ticked: boolean) => ask('PUT', '/prep/steps', { variant, step, ticked });
    expect((await tick('0', true)).status).toBe(200);
    const half = await ahead();
    expect([half.minutes, half.doneMinutes]).toEqual([12 * games - 3, 3]);
    expect(half.make.filter((m: { done: boolean }) => m.done).map((m: { step: string; batch: string }) => [m.step, m.batch])).toEqual([
      ['0', 'print'],
    ]);
    // What is ready costs a plan nothing, and uses nothing up.
    const left = () => offersNow(place.db).find((o) => o.variant === variant)!.preparationMinutes;
    expect(left()).toBe(9);
    await tick('1', true);
    expect(left()).toBe(0);
    expect((await ahead()).uses.flatMap((u: { quantity: number }) => u.quantity)).toEqual(games > 1 ? [2 * (games - 1)] : []);
    await tick('1', false);
    expect(left()).toBe(9);
    expect((await tick('2', true)).body.error.field).toBe('step');
    expect((await tick('all', true)).status).toBe(422);
    // Other steps are not done by those that were.
    const { version } = (await ask('GET', `/variants/${variant}`)).body;
    await ask('PATCH', `/variants/${variant}`, { version, steps: [{ sort: 'bag', what: '', minutes: 1 }] });
    expect(left()).toBe(1);
  });
  it('is ready once it was played', async () => {
    const first = await plan('2026-11-10');
    const [seat] = first.rounds[0].tables[0].seats;
    const left = () => offersNow(place.db).find((o) => o.variant === seat.variant)!.preparationMinutes;
    expect(left()).toBe(7);
    await ask('POST', `/plans/${first.id}/played?today=${today}`, {});
    expect(left()).toBe(0);
  });
  it('adds up what is to be bought, where a price is written', async () => {
    await plan('2026-11-12');
    place.db.update(kinds).set({ quantity: 0, told: 'number' }).run();
    const [without] = (await ahead()).make.filter((m: { batch: string }) => m.batch === 'thing');
    expect(without.cost).toBeNull();
    const kind = place.db
      .select()
      .from(kinds)
      .all()
      .find((k) => k.title === without.title)!;
    await ask('PATCH', `/kinds/${kind.id}`, { price: 1.25 });
    const found = await ahead();
    const priced = found.make.find((m: { title: string }) => m.title === without.title);
    expect(priced.cost).toBeCloseTo(1.25 * Number(/^\d+/.exec(priced.what)![0]), 9);
    expect(found.cost).toBeCloseTo(priced.cost, 9);
    expect((await ask('PATCH', `/kinds/${kind.id}`, { price: -1 })).body.error.field).toBe('price');
  });
  it('is told by table too: what lies there, and who takes back what no later round uses', async () => {
    const p = await plan('2026-11-12');
    const { tables } = (await ask('GET', `/plans/${p.id}/gather`)).body;
    expect(tables.map((t: { title: string }) => t.title)).toEqual(p.rounds[0].tables.map((t: { title: string }) => t.title));
    for (const [i, t] of tables.entries()) {
      expect(t.things.map((m: { title: string; quantity: number }) => m.title)).toEqual(
        expect.arrayContaining(p.rounds[0].tables[i].materials.map((m: { title: string }) => m.title)),
      );
      expect(p.rounds[0].tables[i].seats.map((s: { learner: string }) => s.learner)).toContain(t.returns.learner);
      expect(t.returns.things[0]).toBe(t.title);
    }
  });
  it('keeps what came back apart from what was counted out', async () => {
    const p = await plan('2026-11-12');
    const { bins } = (await ask('GET', `/plans/${p.id}/gather`)).body;
    const { item } = bins[0].items[0];
    await ask('PUT', `/plans/${p.id}/gather`, { item: `back:${item}`, ticked: true });
    const after = (await ask('GET', `/plans/${p.id}/gather`)).body;
    expect(after.bins[0].items[0]).toMatchObject({ item, ticked: false, back: true });
    expect((await ask('PUT', `/plans/${p.id}/gather`, { item: 'back:kind:nothing', ticked: true })).status).toBe(422);
  });
});
