import { describe, expect, it } from 'vitest';
import {
  dateAsRange,
  isBareCount,
  isOwnPieces,
  isTotal,
  readGrades,
  readMinutesLoosely,
  readPlayersLoosely,
  tellsMore,
  thingsIn,
  withoutRemark,
} from './lenient';

describe('a grade', () => {
  // US grade n is n+5 to n+6 years, English Year n is n+4 to n+5.
  it.each<[string, [number, number] | null]>([
    ['3', [8, 9]],
    ['1-2', [6, 8]],
    ['1 to 2', [6, 8]],
    ['K-2', [5, 8]],
    ['K', [5, 6]],
    ['PreK-K', [4, 6]],
    ['Pre-K', [4, 5]],
    ['2nd', [7, 8]],
    ['Grade 3', [8, 9]],
    ['gr. 1-2', [6, 8]],
    ['4–6', [9, 12]],
    ['3+', [8, 12]],
    ['2 and up', [7, 12]],
    ['Year 2', [6, 7]],
    ['Y2-Y3', [6, 8]],
    ['Reception', [4, 5]],
    ['3-1', [8, 7]],
    ['99', null],
    ['1-2-3', null],
    ['some', null],
  ])('%s', (text, ages) => expect(readGrades(text, 12)).toEqual(ages));
});

describe('players as people write them', () => {
  it.each<[string, [number, number] | null, string | null]>([
    ['15ish', [2, 15], 'taken as up to 15'],
    ['2-15ish', [2, 15], 'taken as up to 15'],
    ['~6', [2, 6], 'taken as up to 6'],
    ['up to 12', [2, 12], null],
    ['any', [2, 4], 'taken as 2 to 4'],
    ['?', [2, 4], 'taken as 2 to 4'],
    ['whole group', [2, 4], 'taken as 2 to 4'],
    ['small grp', [3, 5], 'taken as 3 to 5'],
    ['pairs', [2, 2], null],
    ['2 teams', [2, 4], 'taken as 2 or more'],
    ['at least 3', [3, 4], 'taken as 3 or more'],
    ['9-2ish', null, null],
    ['-3', null, null],
    ['abc', null, null],
  ])('%s', (text, players, guess) => expect(readPlayersLoosely(text, [2, 4])).toEqual(players === null ? null : { value: players, guess }));
  it.each<[string, number | null]>([
    ['15ish', 15],
    ['~15 min', 15],
    ['about 20', 20],
    ['any', 15],
    ['soon', null],
  ])('minutes: %s', (text, minutes) => expect(readMinutesLoosely(text, 15)?.value ?? null).toBe(minutes));
});

describe('a list of things', () => {
  it('falls apart at commas and semicolons, not inside brackets or numbers', () => {
    expect(thingsIn('2 decks (no face cards, no jokers), sand timer; pencils\npaper')).toEqual([
      '2 decks (no face cards, no jokers)',
      'sand timer',
      'pencils',
      'paper',
    ]);
    expect(thingsIn('1,5 dice, cup')).toEqual(['1,5 dice', 'cup']);
    expect(thingsIn(' , ')).toEqual([]);
  });
  it('knows what only tells more of the thing before', () => {
    expect(['A to 9 only', 'no faces', 'A-10', 'four of each', 'with lids'].map(tellsMore)).toEqual([true, true, true, true, true]);
    expect(['pencils', '2 dice', 'digit cards 0-9', 'answer key'].map(tellsMore)).toEqual([false, false, false, false]);
  });
  it('takes a remark in brackets off, and keeps one that counts', () => {
    expect(withoutRemark('2 decks (no face cards)')).toBe('2 decks');
    expect(withoutRemark('bingo boards (16)')).toBe('bingo boards (16)');
    expect(withoutRemark('dot cards ( 30 )')).toBe('dot cards ( 30 )');
    expect(withoutRemark('bears (about 60')).toBe('bears');
    expect(withoutRemark('2 decks - no faces')).toBe('2 decks');
    expect(withoutRemark('1 die per group')).toBe('1 die');
    expect(withoutRemark('digit cards 0-9')).toBe('digit cards 0-9');
    expect(['TOTAL', 'Grand total:', 'Subtotal', 'Total Recall'].map(isTotal)).toEqual([true, true, true, false]);
  });
  it('knows the cards that come with a game from packs out of the cupboard', () => {
    expect([isOwnPieces('task cards', 16), isOwnPieces('task cards', 2), isOwnPieces('dice', 12)]).toEqual([true, false, false]);
  });
});

describe('what spreadsheets do to ranges and counts', () => {
  it.each([
    ['2026-02-04', '2-4'],
    ['2026-02-04T00:00:00', '2-4'],
    ['4-Feb', '2-4'],
    ['Feb-04', '2-4'],
    ['4. February', null],
    ['2-4', null],
    ['4-Foo', null],
    ['', null],
  ])('%s was typed as %s', (text, range) => expect(dateAsRange(text)).toBe(range));
  it('counts the thing before a number that stands alone', () => {
    expect(thingsIn('linking cubes, 30')).toEqual(['30 linking cubes']);
    expect(thingsIn('2 dice, 30')).toEqual(['2 dice', '30']);
    expect(thingsIn('30')).toEqual(['30']);
  });
  it('keeps a range apart from a remark', () => {
    expect([withoutRemark('cards 0 - 10'), withoutRemark('2 decks - no faces')]).toEqual(['cards 0 - 10', '2 decks']);
  });
  it('knows a bare count under a table, which is no row without a name', () => {
    const bare = [{ game: '20' }, { game: '', players: '91' }, { game: '24', notes: 'four cards' }, {}].map((c) =>
      isBareCount(c as Record<string, string>),
    );
    expect(bare).toEqual([true, false, false, false]);
  });
});
