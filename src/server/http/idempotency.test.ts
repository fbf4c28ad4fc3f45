import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { evidence, idempotency, learners, plans } from '../db/schema';
import { closePool } from '../jobs/pool';
import { ask, Workspace } from '../workspace.testing';
import { pruneIdempotency } from './idempotency';
import { routes } from './routes';

let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());
afterAll(closePool);

const wren = { nickname: 'Wren', born: '2018-09' };
const key = (k: string) => ({ 'idempotency-key': k });
const note = { learner: 'wren', kind: 'note', skill: 'make-ten', result: 'alone' };

describe('a write with an Idempotency-Key', () => {
  it('is done once, however often it is sent', async () => {
    const first = await ask('POST', '/learners', wren, key('k1'));
    const again = await ask('POST', '/learners', wren, key('k1'));
    expect([first.status, again]).toEqual([201, first]);
    expect(place.db.select().from(learners).all()).toHaveLength(1);
  });
  it('is done once when it is sent many times at once', async () => {
    await ask('POST', '/learners', wren);
    const all = await Promise.all(Array.from({ length: 12 }, () => ask('POST', '/evidence', note, key('k2'))));
    expect(new Set(all.map((a) => a.body.id)).size).toBe(1);
    expect(place.db.select().from(evidence).all()).toHaveLength(1);
  });
  it('holds for work that takes a while: five plans at once are one plan', async () => {
    await ask('POST', '/learners', wren);
    await ask('POST', '/learners', { ...wren, nickname: 'Fern' });
    await ask('POST', '/library/two-lamps-lit/take');
    const request = { present: ['wren', 'fern'], rounds: 1, minutes: 15, tables: 1, helpers: 1, seconds: 0.1 };
    const all = await Promise.all(Array.from({ length: 5 }, () => ask('POST', '/plans', request, key('k3'))));
    expect(new Set(all.map((a) => `${a.status} ${a.body.id}`)).size).toBe(1);
    expect(place.db.select().from(plans).all()).toHaveLength(1);
  });
  it('finds the plan it made when the program ended before it could answer', async () => {
    await ask('POST', '/learners', wren);
    await ask('POST', '/library/two-lamps-lit/take');
    const request = { present: ['wren'], rounds: 1, minutes: 15, tables: 1, helpers: 1, seconds: 0.1 };
    const first = await ask('POST', '/plans', request, key('k4'));
    // As if the end had come between the plan and its answer.
    place.db.update(idempotency).set({ state: 'pending', status: null, body: null }).run();
    place.openAgain();
    const again = await ask('POST', '/plans', request, key('k4'));
    expect(again.body.id).toBe(first.body.id);
    expect(place.db.select().from(plans).all()).toHaveLength(1);
  });
  it('is done again when it was left pending, since answer and work are one transaction', async () => {
    await ask('POST', '/learners', wren);
    place.db
      .insert(idempotency)
      .values({ key: 'k5', route: 'POST /evidence', sent: 'x', state: 'pending', createdAt: '2026-11-10T10:00:00Z' })
      .run();
    expect((await ask('POST', '/evidence', note, key('k5'))).status).toBe(409);
    place.db.delete(idempotency).run();
    expect((await ask('POST', '/evidence', note, key('k5'))).status).toBe(201);
    expect(place.db.select().from(idempotency).all()).toMatchObject([{ key: 'k5', state: 'done', status: 201 }]);
  });
  it('refuses another body, or another address, under the same key', async () => {
    await ask('POST', '/learners', wren, key('k6'));
    for (const other of [
      await ask('POST', '/learners', { ...wren, nickname: 'Fern' }, key('k6')),
      await ask('POST', '/undo', {}, key('k6')),
    ])
      expect(other).toMatchObject({ status: 409, body: { error: { code: 'conflict', field: 'Idempotency-Key' } } });
    expect(place.db.select().from(learners).all()).toHaveLength(1);
  });
  it('leaves no key behind when it was refused, so that it can be mended and sent again', async () => {
    expect((await ask('POST', '/learners', { nickname: 'Wren', born: 'soon' }, key('k7'))).status).toBe(400);
    expect(place.db.select().from(idempotency).all()).toEqual([]);
    expect((await ask('POST', '/learners', wren, key('k7'))).status).toBe(201);
  });
  it('has a key of reasonable length, and is forgotten after a week', async () => {
    expect((await ask('POST', '/learners', wren, key('x'.repeat(201)))).status).toBe(400);
    await ask('POST', '/learners', wren, key('k8'));
    const at = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString();
    pruneIdempotency(place.db, at(6));
    expect(place.db.select().from(idempotency).all()).toHaveLength(1);
    pruneIdempotency(place.db, at(8));
    expect(place.db.select().from(idempotency).all()).toEqual([]);
  });
});

describe('routes', () => {
  it('say so when they do not answer at once', () => {
    for (const r of routes)
      if (r.handle.constructor.name === 'AsyncFunction') expect([r.method, r.path, r.waits]).toEqual([r.method, r.path, true]);
  });
});
