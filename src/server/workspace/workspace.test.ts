import { getTableName, is } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import * as schema from '../db/schema';
import { createGame } from '../shelf/shelfStore';
import { problemOf, Workspace } from '../workspace.testing';
import { emptyWorkspace } from './emptyWorkspace';
import { pageTitle } from './pageTitle';

let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => {
  vi.unstubAllEnvs();
  place.remove();
});

describe('taking everything away', () => {
  it('is for the demo alone, and only when it is said', () => {
    expect(problemOf(() => emptyWorkspace(place.db, 'empty')).code).toBe('forbidden');
    vi.stubEnv('ZEITGEBER_DEMO', '1');
    expect(problemOf(() => emptyWorkspace(place.db, undefined))).toMatchObject({ code: 'malformed', field: 'confirm' });
  });
  it('leaves nothing but the kinds that ship', () => {
    vi.stubEnv('ZEITGEBER_TEST', '1');
    createGame(place.db, { title: 'Two Lamps' }, '2026-11-10T09:00:00.000Z');
    place.db
      .insert(schema.kinds)
      .values({ id: 'own', title: 'Own', alsoCalled: [], unit: 'piece', smallParts: false, plentiful: false, shipped: false })
      .run();
    emptyWorkspace(place.db, 'empty');
    const left = Object.values(schema as Record<string, unknown>).flatMap((t) =>
      is(t, SQLiteTable) && place.db.select().from(t).all().length > 0 ? [getTableName(t)] : [],
    );
    expect(left).toEqual(['kinds']);
    expect(
      place.db
        .select()
        .from(schema.kinds)
        .all()
        .every((k) => k.shipped),
    ).toBe(true);
  });
});

it('a page is titled by what it is about, and knows when that is not there', () => {
  createGame(place.db, { title: 'Two Lamps' }, '2026-11-10T09:00:00.000Z');
  expect([
    pageTitle('game', 'two-lamps'),
    pageTitle('game', 'nothing'),
    pageTitle('learner', 'nobody'),
    pageTitle('session', 'none'),
  ]).toEqual(['Two Lamps', null, null, null]);
});
