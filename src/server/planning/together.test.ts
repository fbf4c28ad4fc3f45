import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { kinds } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
const day = `today=${today}`;
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  place.db.update(kinds).set({ quantity: 6 }).run();
});
afterEach(() => place.remove());
afterAll(closePool);
const children = (count: number): string[] =>
  Array.from({ length: count }, (_, i) => createLearner(place.db, { nickname: `C${i}`, born: `${2017 + (i % 2)}-03` }, today, now).id);

interface Seat {
  learner: string;
  variant: string;
  with: string | null;
  why: string;
  doses: { skill: string; items: number }[];
}
interface Table {
  game: string;
  grownUp: boolean;
  helper: boolean;
  seats: Seat[];
}
interface Plan {
  id: string;
  version: number;
  status: string;
  locks: object[];
  rounds: { tables: Table[]; resting: string[]; meanwhile: { learner: string; text: string }[] }[];
}

describe('a session with too few seats', () => {
  it('makes partners before anybody rests, says so, and can be checked, edited and saved', async () => {
    for (const game of ['two-lamps-lit', 'high-signal']) takeFromLibrary(place.db, game, now);
    const present = children(8);
    const made = (await ask('POST', `/plans?${day}&wait=60`, { present, rounds: 1, minutes: 15, tables: 1, helpers: 2, seconds: 0.2 }))
      .body as Plan;
    expect(made.status).toBe('partial');
    const [round] = made.rounds as [Plan['rounds'][number]];
    const partners = round.tables.flatMap((t) => t.seats.filter((s) => s.with !== null));
    expect(partners.length).toBeGreaterThan(1);
    for (const t of round.tables)
      for (const s of t.seats.filter((x) => x.with !== null)) {
        const holder = t.seats.find((x) => x.learner === s.with)!;
        expect(holder.with).toBeNull();
        expect(s.variant).toBe(holder.variant);
        expect(s.why).toMatch(/^Partners with C\d on one seat/);
        expect(s.doses).toEqual(holder.doses);
      }
    expect(new Set([...round.tables.flatMap((t) => t.seats.map((s) => s.learner)), ...round.resting]).size).toBe(8);
    expect(round.meanwhile.map((m) => m.learner)).toEqual(round.resting);
    const rounds = made.rounds.map((r) => ({
      resting: r.resting,
      tables: r.tables.map((t) => ({
        game: t.game,
        seats: t.seats.map((s) => ({ learner: s.learner, variant: s.variant, ...(s.with ? { with: s.with } : {}) })),
      })),
    }));
    const check = (await ask('POST', `/plans/${made.id}/check?${day}`, { rounds })).body;
    expect(check.violations.filter((v: { rule: string }) => v.rule !== 'placed')).toEqual([]);
    // Each on a seat of the own: more than the game has.
    const alone = rounds.map((r) => ({ ...r, tables: r.tables.map((t) => ({ ...t, seats: t.seats.map(({ with: _, ...s }) => s) })) }));
    expect(
      (await ask('POST', `/plans/${made.id}/check?${day}`, { rounds: alone })).body.violations.map((v: { rule: string }) => v.rule),
    ).toContain('size');
    const saved = await ask('PUT', `/plans/${made.id}?${day}`, { rounds, version: made.version });
    expect(saved.status).toBe(200);
    expect(((await ask('GET', `/plans/${made.id}?${day}`)).body as Plan).rounds[0]!.tables).toEqual(round.tables);
    // A seat is shared with somebody who has one, and by two.
    const [first] = partners as [Seat];
    // Whoever has the seat alone meets twice as much there.
    const before = round.tables.flatMap((t) => t.seats).find((s) => s.learner === first.with)!.doses;
    const without = rounds.map((r) => ({
      resting: [...r.resting, first.learner],
      tables: r.tables.map((t) => ({ ...t, seats: t.seats.filter((s) => s.learner !== first.learner) })),
    }));
    saved.body.version = (await ask('PUT', `/plans/${made.id}?${day}`, { rounds: without, version: saved.body.version })).body.version;
    const seatsNow = ((await ask('GET', `/plans/${made.id}?${day}`)).body as Plan).rounds[0]!.tables.flatMap((t) => t.seats);
    const whole = seatsNow.find((s) => s.learner === first.with)!.doses;
    expect(before.map((d) => d.items)).toEqual(whole.map((d) => Math.round(d.items / 2)));
    expect(whole[0]!.items).toBeGreaterThan(before[0]!.items);
    const stray = rounds.map((r) => ({
      ...r,
      tables: r.tables.map((t) => ({ ...t, seats: t.seats.filter((s) => s.learner !== first.with) })),
      resting: [...r.resting, first.with!],
    }));
    const refused = await ask('PUT', `/plans/${made.id}?${day}`, { rounds: stray, version: saved.body.version });
    expect([refused.status, refused.body.error.field]).toEqual([422, 'rounds.0.tables']);
    const three = rounds.map((r) => ({
      ...r,
      tables: r.tables.map((t) => ({
        ...t,
        seats: t.seats.map((s) =>
          s.learner === first.with ||
          partners.some((p) => p.learner === s.learner && p.with !== first.with && t.seats.some((x) => x.learner === first.with))
            ? { ...s, ...(s.learner === first.with ? {} : { with: first.with! }) }
            : s,
        ),
      })),
    }));
    expect((await ask('PUT', `/plans/${made.id}?${day}`, { rounds: three, version: saved.body.version })).body.error.code).toBe(
      'duplicate',
    );
  });
});

describe('a grown-up at the table', () => {
  it('takes a seat where a child is alone, and is there when the session is checked', async () => {
    for (const game of ['two-lamps-lit', 'high-signal']) takeFromLibrary(place.db, game, now);
    const present = children(1);
    const made = (await ask('POST', `/plans?${day}&wait=60`, { present, rounds: 1, minutes: 15, tables: 1, helpers: 1, seconds: 0.2 }))
      .body as Plan;
    const [table] = made.rounds[0]!.tables as [Table];
    expect([table.grownUp, table.helper, table.seats.length]).toEqual([true, true, 1]);
    const seats = table.seats.map((s) => ({ learner: s.learner, variant: s.variant }));
    const rules = async (grownUp: boolean): Promise<string[]> => {
      const rounds = [{ resting: [], tables: [{ game: table.game, ...(grownUp ? { grownUp } : {}), seats }] }];
      return (await ask('POST', `/plans/${made.id}/check?${day}`, { rounds })).body.violations.map((v: { rule: string }) => v.rule);
    };
    expect(await rules(true)).toEqual([]);
    expect(await rules(false)).toContain('size');
  });
});

describe('a grown-up who is put at a table by hand', () => {
  it('is one of the players there, and bound by it; leaving the seat frees both', async () => {
    for (const game of ['two-lamps-lit', 'high-signal', 'milepost']) takeFromLibrary(place.db, game, now);
    const present = children(4);
    const made = (await ask('POST', `/plans?${day}&wait=60`, { present, rounds: 1, minutes: 15, tables: 2, helpers: 1, seconds: 0.2 }))
      .body as Plan;
    const tables = (grownUp: boolean, more = false) =>
      made.rounds[0]!.tables.map((t, i) => ({
        game: t.game,
        ...(grownUp && (i === 0 || more) ? { grownUp: true } : {}),
        seats: t.seats.map((s) => ({ learner: s.learner, variant: s.variant })),
      }));
    const check = async (rounds: object[]) => (await ask('POST', `/plans/${made.id}/check?${day}`, { rounds })).body;
    const rules = async (list: object[]): Promise<string[]> =>
      (await check([{ resting: [], tables: list }])).violations.map((v: { rule: string }) => v.rule);
    expect(await rules(tables(false))).toEqual([]);
    expect(await rules(tables(true))).toEqual([]);
    const [first] = made.rounds[0]!.tables as [Table];
    const alone = [{ game: first.game, grownUp: true, seats: [{ learner: first.seats[0]!.learner, variant: first.seats[0]!.variant }] }];
    const rest = present.filter((l) => l !== first.seats[0]!.learner);
    const one = await check([{ resting: rest, tables: alone }]);
    expect(one.violations.map((v: { rule: string }) => v.rule)).toEqual([]);
    expect(one.rounds[0].tables[0]).toMatchObject({ grownUp: true, helper: true });
    if (made.rounds[0]!.tables.length > 1) expect(await rules(tables(true, true))).toContain('helpers');
  });
});

describe('a round for everybody', () => {
  it('is offered from what seats all at once, planned so, kept when planned again, and let go', async () => {
    const present = children(7);
    const made = (await ask('POST', `/plans?${day}&wait=60`, { present, rounds: 2, minutes: 15, tables: 3, helpers: 2, seconds: 0.2 }))
      .body as Plan;
    expect((await ask('GET', `/plans/${made.id}/everybody?${day}`)).body.items).toEqual([]);
    const whole = (await ask('GET', `/library?limit=500&${day}`)).body.items.filter((g: { variants: { players: { max: number } }[] }) =>
      g.variants.some((v) => v.players.max >= 7),
    );
    expect(whole.length).toBeGreaterThan(0);
    for (const g of whole.slice(0, 2)) takeFromLibrary(place.db, g.id, now);
    for (const g of ['two-lamps-lit', 'high-signal', 'milepost', 'relay-of-products'])
      if (!whole.slice(0, 2).some((w: { id: string }) => w.id === g)) takeFromLibrary(place.db, g, now);
    place.db.update(kinds).set({ quantity: 40 }).run();
    await ask('POST', `/plans/${made.id}/replan?${day}&wait=60`, { version: made.version, seconds: 0.2 });
    const { items } = (await ask('GET', `/plans/${made.id}/everybody?${day}`)).body;
    expect(items.length).toBeGreaterThan(0);
    expect(items[0].for).toBeGreaterThan(3);
    const now1 = (await ask('GET', `/plans/${made.id}?${day}`)).body as Plan;
    const together = (
      await ask('POST', `/plans/${made.id}/replan?${day}&wait=60`, {
        version: now1.version,
        seconds: 0.2,
        everybody: [{ round: 0, game: items[0].game }],
      })
    ).body as Plan;
    expect(together.rounds[0]!.tables.map((t) => [t.game, t.seats.length])).toEqual([[items[0].game, 7]]);
    expect(together.rounds[1]!.tables.length).toBeGreaterThan(1);
    // Nothing was fixed by hand.
    expect(together.locks).toEqual([]);
    const again = (await ask('POST', `/plans/${made.id}/replan?${day}&wait=60`, { version: together.version, seconds: 0.2 })).body as Plan;
    expect(again.rounds[0]!.tables.map((t) => t.game)).toEqual([items[0].game]);
    const apart = (await ask('POST', `/plans/${made.id}/replan?${day}&wait=60`, { version: again.version, seconds: 0.2, everybody: [] }))
      .body as Plan;
    expect(apart.rounds[0]!.tables.length).toBeGreaterThan(1);
    const far = await ask('POST', `/plans/${made.id}/replan?${day}`, {
      version: apart.version,
      everybody: [{ round: 5, game: items[0].game }],
    });
    expect(far.body.error.field).toBe('everybody.0.round');
  });
});
