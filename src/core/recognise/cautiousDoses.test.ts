import { describe, expect, it } from 'vitest';
import { cautiousDoses } from './cautiousDoses';
import { libraryTwin, type ShippedVersion } from './libraryTwin';

describe('what a row is planned with until somebody says how it is played', () => {
  it('takes the steps it names before anything else', () => {
    expect(cautiousDoses(['pairs-of-10'], [['add-in-10', 20]], ['count-on'])).toEqual([{ skill: 'pairs-of-10', perTenMinutes: 4 }]);
  });
  it('takes a careful part of the likeliest shipped game: its three strongest, none above a named step', () => {
    expect(
      cautiousDoses(
        [],
        [
          ['a', 2],
          ['b', 30],
          ['c', 5],
          ['d', 0.1],
        ],
        [],
      ),
    ).toEqual([
      { skill: 'b', perTenMinutes: 4 },
      { skill: 'c', perTenMinutes: 2 },
      { skill: 'a', perTenMinutes: 0.8 },
    ]);
  });
  it('leaves out what would be nothing', () => {
    expect(cautiousDoses([], [['a', 0.1]], ['x'])).toEqual([]);
  });
  it('gives least to a step of the grade alone, and nothing to nothing', () => {
    expect(cautiousDoses([], null, ['count-on'])).toEqual([{ skill: 'count-on', perTenMinutes: 1 }]);
    expect(cautiousDoses([], [], [])).toEqual([]);
  });
});

const version = (game: string, parameters: Record<string, unknown>, ages: [number, number] = [5, 8]): ShippedVersion => ({
  game,
  version: 'v',
  mechanism: 'pair-memory',
  parameters,
  ages,
});
const usual = { sum: 10, rows: 3, columns: 4 };

describe('the shipped version nearest to a row', () => {
  it('is the one without a contradiction', () => {
    const twin = libraryTwin('pair-memory', { sum: 9 }, usual, null, [version('tens', {}), version('nines', { sum: 9 })]);
    expect(twin).toEqual({ game: 'nines', version: 'v', differs: [] });
  });
  it('says in what it differs where none is the same', () => {
    expect(libraryTwin('pair-memory', { sum: 7 }, usual, null, [version('tens', {})])).toEqual({
      game: 'tens',
      version: 'v',
      differs: ['sum'],
    });
  });
  it('is made for the same ages where the numbers say nothing', () => {
    const shipped = [version('old', {}, [9, 11]), version('young', {}, [5, 7])];
    expect(libraryTwin('pair-memory', {}, usual, [5, 6], shipped)!.game).toBe('young');
    expect(libraryTwin('pair-memory', {}, usual, [10, 11], shipped)!.game).toBe('old');
  });
  it('is not the same where much was set that nobody spoke of', () => {
    const far = version('far', { a: 1, b: 2, c: 3, d: 4 });
    expect(libraryTwin('pair-memory', {}, usual, null, [far])!.differs).toEqual(['a', 'b', 'c', 'd']);
  });
  it('is none where the family ships none', () => {
    expect(libraryTwin('quick-look', {}, usual, null, [version('tens', {})])).toBeNull();
  });
});
