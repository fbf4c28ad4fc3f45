import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { ask, Workspace } from '../workspace.testing';

let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

const rows = [
  {
    title: 'Make ten pairs',
    note: 'face DOWN in rows. flip two, keep them if they make 10, go again',
    grade: 'K-1',
    materials: 'cards 0-10',
  },
  { title: 'Poster of the number line' },
  { title: 'Addition Bingo', note: 'I read 6 plus 7, they cover 13' },
];

describe('rows without a file', () => {
  it('are told in the order they came, with the words that decided, like the preview of a file', async () => {
    const { status, body } = await ask('POST', '/recognise', { rows });
    expect([status, body.total]).toEqual([200, 3]);
    expect(body.items.map((i: { title: string }) => i.title)).toEqual(rows.map((r) => r.title));
    expect([body.items[0].family, body.items[2].family]).toEqual(['pair-memory', 'cover-grid']);
    expect(body.items[0].why).toMatch(/“.+”: Pair memory\.$/);
    expect(body.items[0].guesses[0]).toMatchObject({ mechanism: 'pair-memory', chance: body.items[0].sure, because: body.items[0].why });
    const csv = `game,notes,materials\n"${rows[0]!.title}","${rows[0]!.note}","${rows[0]!.materials}"\n`;
    await ask('POST', '/imports/shelf', { text: csv, commit: true });
    const { items } = (await ask('GET', '/recognise')).body;
    expect(items[0].guesses[0].mechanism).toBe(body.items[0].family);
    expect(items[0].guesses[0].chance).toBeCloseTo(body.items[0].sure, 6);
    expect(items[0].guesses[0].parameters).toMatchObject(body.items[0].parameters);
  });
  it('that speak of no family clearly have none, and are not more sure than one', async () => {
    const [, poster] = (await ask('POST', '/recognise', { rows })).body.items;
    expect(poster.family).toBeNull();
    expect(poster.variant).toBeNull();
    expect(poster.sure).toBeLessThan(0.5);
  });
  it('are 400 at most and one at least', async () => {
    expect((await ask('POST', '/recognise', { rows: Array.from({ length: 400 }, () => rows[0]) })).status).toBe(200);
    for (const many of [0, 401]) {
      const { status, body } = await ask('POST', '/recognise', { rows: Array.from({ length: many }, () => rows[0]) });
      expect([status, body.error.code, body.error.field]).toEqual([400, 'malformed', 'rows']);
    }
  });
});
