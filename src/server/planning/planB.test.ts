/* eslint-disable @typescript-eslint/no-explicit-any -- answers are read as a foreign script would: without types. */
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { eq } from 'drizzle-orm';
import { kinds, planBs, plans } from '../db/schema';
import { eraseLearner } from '../learners/eraseLearner';
import { createLearner } from '../learners/learnerStore';
import { closePool } from '../jobs/pool';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = '2026-11-10T10:00:00.000Z';
const day = `today=${today}`;
const children = ['Wren', 'Fern', 'Moss', 'Robin', 'Hazel', 'Alder'];
const present = children.map((c) => c.toLowerCase());
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const [i, nickname] of children.entries())
    createLearner(place.db, { nickname, born: `${2016 + (i % 4)}-03`, group: 'Lamps' }, today, now);
  for (const game of ['two-lamps-lit', 'high-signal', 'relay-of-products', 'milepost']) takeFromLibrary(place.db, game, now);
  place.db.update(kinds).set({ quantity: 6 }).run();
});
afterEach(() => place.remove());
afterAll(closePool);

const asked = { present, rounds: 2, minutes: 15, tables: 3, helpers: 2, seconds: 0.2 };
const planned = async () => (await ask('POST', `/plans?${day}`, asked)).body;
const planB = (id: string, wait = 60) => ask('POST', `/plans/${id}/plan-b?${day}&wait=${wait}`);

describe('plan B of a session', () => {
  it('says who would do what if two were away, each game incomplete or ten minutes missing, and keeps it', async () => {
    const plan = await planned();
    const { status, body } = await planB(plan.id);
    expect(status).toBe(200);
    expect(body.away).toHaveLength(3);
    expect(body.away[2].learners).toEqual([...body.away[0].learners, ...body.away[1].learners]);
    const games = new Set(plan.rounds.flatMap((r: any) => r.tables.map((t: any) => t.game)));
    expect(new Set(body.without.map((w: any) => w.game))).toEqual(games);
    // Twice fifteen less ten: twice ten, or one of fifteen.
    expect([
      [2, 10],
      [1, 15],
    ]).toContainEqual([body.shorter.count, body.shorter.minutes]);
    for (const answer of [...body.away, ...body.without, body.shorter])
      for (const { text } of answer.say) expect(text).toMatch(/^(Round \d: .+\.|Nobody moves; .+\.|Everybody plays what was planned\.)$/);
    expect(place.db.select().from(planBs).all()).toMatchObject([{ planId: plan.id, version: plan.version, madeOn: today }]);
    // Asked again it is there at once, with the day on which it was made.
    expect((await ask('POST', `/plans/${plan.id}/plan-b?today=2026-11-11&wait=1`)).body).toEqual(body);
  });

  it('is worked out anew when the session was changed, and begins as a job where nobody waits', async () => {
    const plan = await planned();
    await planB(plan.id);
    const again = (await ask('POST', `/plans/${plan.id}/replan?${day}`, { version: plan.version, present: present.slice(1), seconds: 0.2 }))
      .body;
    const begun = await planB(plan.id, 0);
    expect(begun.status).toBe(202);
    const { body } = await planB(plan.id);
    expect(JSON.stringify(body)).not.toContain('wren');
    expect(place.db.select().from(planBs).all()).toMatchObject([{ version: again.version }]);
  });

  it('is worked out by itself a while after a session was saved or changed, and for no session that is over', async () => {
    const past = (await ask('POST', `/plans?${day}`, { ...asked, date: '2026-11-09' })).body;
    const plan = await planned();
    const stored = () => place.db.select().from(planBs).all();
    expect(stored()).toEqual([]);
    await expect.poll(stored, { timeout: 60_000, interval: 250 }).toMatchObject([{ planId: plan.id, version: plan.version }]);
    const seats = (t: any) => t.seats.map((s: any) => ({ learner: s.learner, variant: s.variant }));
    const rounds = plan.rounds.map((r: any) => ({
      tables: r.tables.map((t: any) => ({ game: t.game, seats: seats(t) })),
      resting: r.resting,
    }));
    const body = { version: plan.version, locks: [], rounds };
    const edited = (await ask('PUT', `/plans/${plan.id}?${day}`, body)).body;
    await expect.poll(stored, { timeout: 60_000, interval: 250 }).toMatchObject([{ planId: plan.id, version: edited.version }]);
    expect(past.number).toBe(1);
    // A session that came without one has it by the time its list is read.
    place.db.delete(planBs).run();
    await ask('GET', `/plans/${plan.id}/gather?${day}`);
    await ask('GET', `/plans/${plan.id}/gather?${day}`);
    await expect.poll(stored, { timeout: 60_000, interval: 250 }).toMatchObject([{ planId: plan.id, version: edited.version }]);
  });

  it('forgets a child with everything else of it', async () => {
    const plan = await planned();
    await planB(plan.id);
    eraseLearner(place.db, 'fern', 'Fern');
    expect(place.db.select().from(planBs).all()).toEqual([]);
    expect(JSON.stringify((await planB(plan.id)).body)).not.toContain('fern');
  });

  it('can be planned so: fewer rounds that are shorter, with what was fixed in a round that falls away let go of', async () => {
    const plan = await planned();
    const last = plan.rounds[1].tables[0];
    const locks = [{ learner: last.seats[0].learner, round: 1, game: last.game }];
    const body = { version: plan.version, rounds: 1, minutes: 12, fewChanges: true, locks, seconds: 0.2 };
    const short = await ask('POST', `/plans/${plan.id}/replan?${day}`, body);
    expect(short.status).toBe(200);
    expect(short.body.rounds).toHaveLength(1);
    expect(short.body.request).toMatchObject({ rounds: 1, minutes: 12 });
    expect(short.body.locks).toEqual([]);
  });
});

describe('plan B done with a button', () => {
  it('is what it says: the same seats come out', async () => {
    const seatsOf = (rounds: any): unknown =>
      rounds.map((r: any) => r.tables.flatMap((t: any) => t.seats.map((s: any) => `${s.learner} ${s.variant}`)).sort());
    const plan = await planned();
    await planB(plan.id);
    const { answers } = place.db.select().from(planBs).get()!;
    const troubles = [
      ...answers.away.map((a) => ({ rounds: a.rounds, body: { present: present.filter((l) => !a.learners.includes(l)) } })),
      ...answers.without.map((w) => ({ rounds: w.rounds, body: { withoutGames: [w.game], present } })),
      ...(answers.shorter
        ? [{ rounds: answers.shorter.rounds, body: { rounds: answers.shorter.count, minutes: answers.shorter.minutes, present } }]
        : []),
    ];
    expect(troubles.length).toBeGreaterThan(5);
    const before = place.db.select().from(plans).where(eq(plans.id, plan.id)).get()!;
    for (const { rounds, body } of troubles) {
      const now = (await ask('GET', `/plans/${plan.id}?${day}`)).body;
      const done = await ask('POST', `/plans/${plan.id}/replan?${day}`, { version: now.version, planB: true, ...body });
      expect(done.status).toBe(200);
      expect(seatsOf(done.body.rounds), JSON.stringify(body)).toEqual(seatsOf(rounds));
      // Back to the session as it was, for the next trouble.
      place.db
        .update(plans)
        .set({ ...before, version: done.body.version + 1 })
        .where(eq(plans.id, plan.id))
        .run();
    }
  }, 120_000);
});

describe('the number of a session', () => {
  it('is given once: not again when the session that had it is gone', async () => {
    const [first, second] = [await planned(), (await ask('POST', `/plans?${day}`, { ...asked, date: '2026-11-11' })).body];
    expect([first.number, second.number]).toEqual([1, 2]);
    await ask('DELETE', `/plans/${second.id}?${day}`);
    expect((await ask('POST', `/plans?${day}`, { ...asked, date: '2026-11-12' })).body.number).toBe(3);
    expect(place.db.select().from(plans).where(eq(plans.id, first.id)).get()!.number).toBe(1);
  });
});
