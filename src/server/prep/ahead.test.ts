import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { kinds, variants } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
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
        (m: { minutes: number; first: string; batch: string }) => m.minutes === 7 && m.first >= '2026-11-12' && m.batch === 'game',
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
