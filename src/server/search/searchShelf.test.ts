import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { offersNow } from '../shelf/offers';
import { createGame, updateGame } from '../shelf/shelfStore';
import { createVariant } from '../shelf/variantStore';
import { ask, Workspace } from '../workspace.testing';
import { searchShelf } from './searchShelf';

const now = '2026-11-29T10:00:00.000Z';
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());
const find = (q: string) => searchShelf(place.db, q, 1000);
const games = (q: string): string[] => [...new Set(find(q).items.map((i) => i.game))];

describe('search by meaning', () => {
  beforeEach(() => {
    for (const g of shippedLibrary.slice(0, 40)) takeFromLibrary(place.db, g.id, now);
    // Known without playing: what the owner says.
    for (const [title, skill, dose] of [
      ['Lanterns by twos', 'pairs-of-10', 9],
      ['Copper kettles', 'pairs-of-10', 14],
      ['Rope ladder', 'count-back-20', 8],
    ] as const) {
      const game = createGame(place.db, { title, bin: 'Blue tote', notes: 'the felt mat lives with it' }, now).id;
      createVariant(place.db, game, {
        title: 'as it comes',
        declared: [{ skill, perTenMinutes: dose }],
        materials: [{ kind: 'dominoes', quantity: 1 }],
      });
    }
  });

  it.each(['make ten', 'pairs of ten', 'bonds to 10', 'make-ten', 'Friends of ten', 'K.OA.A.4', 'ccss.math.content.k.oa.a.4'])(
    '“%s” finds the same step, its games by how much of it is in them',
    (words) => {
      const { steps, items } = find(words);
      expect(steps[0]).toEqual({ skill: 'pairs-of-10', title: 'Pairs of ten' });
      const own = items.filter((i) => i.game === 'lanterns-by-twos' || i.game === 'copper-kettles').map((i) => i.game);
      expect(own).toEqual(['copper-kettles', 'lanterns-by-twos']);
      const doses = items.filter((i) => i.skill === 'pairs-of-10').map((i) => i.perTenMinutes!);
      expect(doses.length).toBeGreaterThan(1);
      const offers = new Map(offersNow(place.db).map((o) => [o.variant, o]));
      expect(items.every((i) => i.variant === null || offers.has(i.variant))).toBe(true);
    },
  );

  it('puts a game of that name first, and finds it as it is begun, with any accent', () => {
    expect(games('copp')[0]).toBe('copper-kettles');
    createGame(place.db, { title: 'Échelle de corde' }, now);
    expect(games('echelle')).toEqual(['echelle-de-corde']);
    expect(find('echelle').items).toEqual([{ game: 'echelle-de-corde', variant: null }]);
  });

  it('finds by bin, thing and notes, and by what was changed a moment ago', () => {
    expect(games('blue tote')).toEqual(expect.arrayContaining(['copper-kettles', 'lanterns-by-twos', 'rope-ladder']));
    expect(games('domino')).toContain('rope-ladder');
    expect(games('felt mat')).toContain('rope-ladder');
    updateGame(place.db, 'rope-ladder', { notes: 'zebra stripes' }, 1);
    expect(games('zebra')).toEqual(['rope-ladder']);
    expect(games('zebra stripes unknownword')).toEqual([]);
  });

  it('says nothing to nothing and to signs, and never breaks on what is typed', () => {
    for (const words of ['', '   ', '"', 'a OR b NOT', 'name : x', '*', '(', '😀', 'x'.repeat(200)])
      expect(() => find(words)).not.toThrow();
    expect(find('').items).toEqual([]);
  });

  it('is asked for through the API', async () => {
    const { body } = await ask('GET', '/search?q=make%20ten&limit=3');
    expect(body.items).toHaveLength(3);
  });
});
