import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { games, variants } from '../db/schema';
import { type ProblemError } from '../http/problemError';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { undoChange } from '../undo/undo';
import { Workspace } from '../workspace.testing';
import { countryOf, setCountry } from './country';

const now = '2026-11-29T10:00:00.000Z';
let place: Workspace;
beforeEach(() => (place = new Workspace()));
afterEach(() => place.remove());

describe('the country of the owner', () => {
  it('is as everything is written until somebody says, and what is known only', () => {
    expect(countryOf(place.db).id).toBe('uk');
    expect(setCountry(place.db, 'us')).toEqual({ country: 'us', dates: 'month-first' });
    expect(countryOf(place.db)).toMatchObject({ id: 'us', paper: 'letter' });
    try {
      setCountry(place.db, 'moon');
      expect.unreachable();
    } catch (error) {
      expect((error as ProblemError).problem).toMatchObject({ code: 'unknown-value', field: 'country' });
      expect((error as ProblemError).problem.message).toContain('uk, us, euro');
    }
    expect(countryOf(place.db).id).toBe('us');
  });
  it('gives games that are taken its words and rulers, which stay when it changes', () => {
    setCountry(place.db, 'us');
    takeFromLibrary(place.db, 'row-of-sleepers', now);
    takeFromLibrary(place.db, 'plank-and-rule', now);
    setCountry(place.db, 'uk');
    const titles = place.db
      .select()
      .from(games)
      .all()
      .map((g) => g.title);
    expect(titles).toContain('Row of Ties');
    const inches = place.db
      .select()
      .from(variants)
      .all()
      .find((v) => v.title === 'inches');
    expect(inches!.parameters).toMatchObject({ unit: 'inches' });
  });
  it('knows a game again by any of its names, and takes it back and anew', () => {
    setCountry(place.db, 'us');
    const { change } = takeFromLibrary(place.db, 'row-of-sleepers', now);
    setCountry(place.db, 'uk');
    expect(() => takeFromLibrary(place.db, 'row-of-sleepers', now)).toThrow(/on the shelf already/);
    undoChange(place.db, change, now);
    expect(takeFromLibrary(place.db, 'row-of-sleepers', now).id).toBe('row-of-sleepers');
  });
});
