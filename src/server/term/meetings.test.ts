import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { meetings, plans } from '../db/schema';
import { createLearner } from '../learners/learnerStore';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = '2026-11-10T10:00:00.000Z';
const day = `today=${today}`;
let place: Workspace;

beforeEach(() => {
  place = new Workspace();
  createLearner(place.db, { nickname: 'Wren', born: '2018-03' }, today, now);
  const seat = { learner: 'wren', variant: 'two-lamps-lit-fives', why: 'x' };
  place.db
    .insert(plans)
    .values({
      id: 'session',
      date: today,
      request: { date: today, present: ['wren'], rounds: 1, minutes: 15, tables: 1, helpers: 1 },
      rounds: [{ resting: [], tables: [{ game: 'two-lamps-lit', helper: false, seats: [seat] }] }],
      locks: [],
      status: 'good',
      objective: 1,
      bound: 1,
      createdAt: now,
    })
    .run();
});
afterEach(() => place.remove());

describe('meetings', () => {
  const term = {
    title: 'Autumn',
    starts: '2026-11-02',
    ends: '2026-11-29',
    weekdays: [2],
    startsAt: '10:00',
    rounds: 1,
    minutes: 15,
    tables: 1,
    helpers: 1,
  };
  it('refuse a time that no clock shows, and the calendar stays readable', async () => {
    expect(await ask('PUT', '/term', { ...term, startsAt: '25:99' })).toMatchObject({
      status: 400,
      body: { error: { field: 'startsAt', message: expect.stringContaining('09:30') } },
    });
    await ask('PUT', '/term', term);
    const [first] = place.db.select().from(meetings).all();
    for (const startsAt of ['99:99', 'half past nine', '9:30'])
      expect((await ask('PATCH', `/meetings/${first!.id}`, { startsAt, version: 1 })).status).toBe(400);
    expect((await ask('GET', `/term/calendar?${day}`)).status).toBe(200);
  });
  it('count their changes, so that calendars take the newer one, and leave nicknames at home', async () => {
    await ask('PUT', '/term', term);
    const meeting = place.db.select().from(meetings).where(eq(meetings.date, today)).get()!;
    const sequences = async () =>
      [...String((await ask('GET', `/term/calendar?${day}`)).body).matchAll(/SEQUENCE:(\d+)/g)].map((m) => Number(m[1]));
    const before = await sequences();
    await ask('PATCH', `/meetings/${meeting.id}`, { off: true, offBecause: 'snow', version: meeting.version });
    expect(await ask('PATCH', `/meetings/${meeting.id}`, { off: false, version: meeting.version })).toMatchObject({
      status: 409,
      body: { error: { code: 'conflict', detail: { current: { offBecause: 'snow', version: meeting.version + 1 } } } },
    });
    const after = await sequences();
    expect(after.reduce((x, y) => x + y) - before.reduce((x, y) => x + y)).toBe(1);
    expect((await ask('GET', `/term/calendar?${day}`)).body).not.toContain('Wren');
    expect((await ask('GET', `/term/calendar?${day}&names=true`)).body).toContain('Wren');
  });
});
