import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { kinds } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { ask, Workspace } from '../workspace.testing';
import { takeFromLibrary } from './libraryRoutes';
import { mergeGames } from './mergeGames';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const nickname of ['Wren', 'Fern']) createLearner(place.db, { nickname, born: '2018-03' }, today, now);
  takeFromLibrary(place.db, 'two-lamps-lit', now);
  place.db.update(kinds).set({ quantity: 6 }).run();
});
afterEach(() => place.remove());
afterAll(closePool);
const history = async () => (await ask('GET', '/games/two-lamps-lit/history')).body;

describe('the history of a game', () => {
  it('tells when it was played, by whom, and how it went; a plan is not yet history', async () => {
    const body = { present: ['wren', 'fern'], rounds: 1, minutes: 15, tables: 1, helpers: 1, seconds: 0.2 };
    const plan = (await ask('POST', `/plans?today=${today}&wait=60`, body)).body;
    expect((await history()).plays).toEqual([]);
    await ask('POST', `/plans/${plan.id}/played?today=${today}`, {});
    const [seat] = plan.rounds[0].tables[0].seats;
    const note = { learner: seat.learner, kind: 'note', skill: 'make-ten', result: 'support', variant: seat.variant, session: plan.id };
    await ask('POST', `/evidence?today=${today}`, { ...note, by: { role: 'helper' } });
    const { plays } = await history();
    expect(plays).toMatchObject([{ plan: plan.id, date: today, round: 0, notes: { alone: 0, support: 1, stuck: 0 } }]);
    expect(plays[0].learners.map((l: { nickname: string }) => l.nickname).toSorted()).toEqual(['Fern', 'Wren']);
    expect((await ask('GET', '/games/nowhere/history')).status).toBe(404);
    // A game that takes this one in has its history too.
    takeFromLibrary(place.db, 'high-signal', now);
    mergeGames(place.db, 'high-signal', 'two-lamps-lit', now);
    expect((await ask('GET', '/games/high-signal/history')).body.plays).toMatchObject([{ plan: plan.id, notes: { support: 1 } }]);
  });
  it('tells who asks for it; said twice it is said once, and it can be taken back', async () => {
    const say = (learners: string[], liked: boolean) => ask('POST', '/games/two-lamps-lit/liked', { learners, liked });
    await say(['wren'], true);
    await say(['wren', 'fern'], true);
    expect((await history()).liked.map((l: { nickname: string }) => l.nickname)).toEqual(['Wren', 'Fern']);
    expect((await ask('GET', '/learners/wren')).body.likings).toEqual(['two-lamps-lit']);
    await say(['wren'], false);
    expect((await history()).liked.map((l: { learner: string }) => l.learner)).toEqual(['fern']);
    const wrong = await say(['fern', 'stranger'], false);
    expect([wrong.status, wrong.body.error.field]).toEqual([422, 'learners.1']);
    expect((await history()).liked).toHaveLength(1);
  });
});
