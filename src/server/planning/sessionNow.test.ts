import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { kinds } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { setStock } from '../things/thingStore';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
beforeEach(() => {
  place = new Workspace();
  for (const [nickname, born] of [
    ['Ada', '2021-05'],
    ['Ben', '2019-05'],
    ['Cleo', '2017-05'],
  ])
    createLearner(place.db, { nickname: nickname!, born: born! }, today, now);
});
afterEach(() => place.remove());
afterAll(closePool);
const only = (here: Record<string, number>): void => {
  for (const k of place.db.select().from(kinds).all()) setStock(place.db, k.id, { quantity: here[k.id] ?? 0 });
};
const play = (present: string[]) => ask('POST', `/sessions/now?today=${today}&wait=60`, { present });

describe('a session now', () => {
  it('seats everybody from a kitchen cupboard, on an empty shelf, before any placement', async () => {
    only({ 'pip-die': 6, 'playing-cards': 2, dominoes: 1, coins: 1, paper: 100, pencils: 10 });
    const { status, body } = await play(['ada', 'ben', 'cleo']);
    expect(status).toBe(201);
    expect(body.taken.length).toBeGreaterThan(3);
    const plan = (await ask('GET', `/plans/${body.plan}?today=${today}`)).body;
    expect(plan.missing).toBeNull();
    for (const round of plan.rounds) {
      expect(round.resting).toEqual([]);
      expect(round.tables.flatMap((t: { seats: { learner: string }[] }) => t.seats.map((s) => s.learner)).toSorted()).toEqual([
        'ada',
        'ben',
        'cleo',
      ]);
    }
    const needed = plan.rounds.flatMap((r: { tables: { materials: { kind: string }[] }[] }) =>
      r.tables.flatMap((t) => t.materials.map((m) => m.kind)),
    );
    expect(needed.every((k: string) => ['pip-die', 'playing-cards', 'dominoes', 'coins', 'paper', 'pencils'].includes(k))).toBe(true);
    // Asked again, nothing more is taken: the shelf has enough by now.
    expect((await play(['ada', 'ben', 'cleo'])).body.taken.length).toBeLessThan(body.taken.length);
  });
  it('needs nothing where nothing is there, and somebody to play', async () => {
    only({});
    const { body } = await play(['ben', 'cleo']);
    const plan = (await ask('GET', `/plans/${body.plan}?today=${today}`)).body;
    // Games with the voice and what every house has.
    for (const table of plan.rounds.flatMap((r: { tables: object[] }) => r.tables)) expect(table.materials).toEqual([]);
    const nobody = await play([]);
    expect([nobody.status, nobody.body.error.field]).toEqual([422, 'present']);
    expect((await play(['stranger'])).body.error.code).toBe('nobody-present');
  });
});
