import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { eq } from 'drizzle-orm';
import { kinds, variants } from '../db/schema';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { Workspace } from '../workspace.testing';
import { packSets } from './packSets';

const now = '2026-11-10T10:00:00.000Z';
let place: Workspace;
beforeAll(() => {
  place = new Workspace();
  for (const game of ['milestones', 'relay-of-products']) takeFromLibrary(place.db, game, now);
});
afterAll(() => place.remove());

const versionsOf = (game: string): string[] =>
  place.db
    .select({ id: variants.id })
    .from(variants)
    .where(eq(variants.gameId, game))
    .all()
    .map((v) => v.id);
const table = (...seats: (readonly [variant: string, players: number])[]) => ({
  seats: seats.flatMap(([variant, n]) => Array.from({ length: n }, () => ({ variant }))),
});
const copies = (tables: readonly ReturnType<typeof table>[], asked: { everything?: boolean } = {}): Record<string, number> =>
  Object.fromEntries(packSets(place.db, tables, asked, 'a4').sets.map((s) => [`${s.label} ${s.sheet}`, s.copies!]));
const title = (id: string): string => place.db.select().from(variants).where(eq(variants.id, id)).get()!.title;

describe('the sheets of a session', () => {
  it('are as many as write on them, also where one table plays three versions, and again at the next table', () => {
    const [a, b, c] = versionsOf('milestones');
    const name = (id: string | undefined): string => `${title(id!)} sequence-grid`;
    // Two grids on a page, one for each child.
    expect(copies([table([a!, 3], [b!, 2], [c!, 1])])).toEqual({ [name(a)]: 2, [name(b)]: 1, [name(c)]: 1 });
    expect(copies([table([a!, 4]), table([a!, 2], [b!, 1])])).toEqual({ [name(a)]: 3, [name(b)]: 1 });
  });
  it('are printed once where they are kept, and not at all where they lie in the cupboard', () => {
    const [cards] = versionsOf('relay-of-products');
    const twice = [table([cards!, 2]), table([cards!, 3])];
    expect(Object.values(copies(twice, { everything: true }))).toEqual([1]);
    place.db.update(kinds).set({ quantity: 4, told: 'number' }).run();
    expect(copies(twice)).toEqual({});
  });
});
