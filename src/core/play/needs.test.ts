import { describe, expect, it } from 'vitest';
import { shippedKinds } from '../../contract/shippedData';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById } from '../mechanisms/registry';
import { kindsFor, materialsFor, needText, numbersText, unmet } from './needs';

const shipped = (kind: string): boolean => shippedKinds.some((k) => k.id === kind);

describe('what a version needs', () => {
  it('is met by the die that has its faces, and else by cards that are drawn and put back', () => {
    expect(kindsFor({ chances: [1, 6], count: 2 })[0]).toEqual({ kind: 'pip-die', quantity: 2 });
    expect(kindsFor({ chances: [1, 4], count: 2 })[0]!.kind).toBe('four-sided-die');
    expect(kindsFor({ chances: [1, 20], count: 1 })[0]!.kind).toBe('twenty-sided-die');
    // Sums to twelve are no twelve-sided die's, and one to five no six-sided one's.
    expect(kindsFor({ chances: [1, 5], count: 2 }).map((k) => k.kind)).toEqual([
      'number-deck-1-10',
      'digit-cards-0-9',
      'playing-cards',
      'number-cards',
    ]);
    expect(kindsFor({ chances: [0, 20], count: 1 }).map((k) => k.kind)).toEqual(['number-cards']);
  });
  it('is met by a deck that has all its numbers often enough', () => {
    expect(kindsFor({ cards: [1, 10], each: 4 })[0]).toEqual({ kind: 'number-deck-1-10', quantity: 1 });
    expect(kindsFor({ cards: [1, 10], each: 8 })[0]).toEqual({ kind: 'number-deck-1-10', quantity: 2 });
    expect(kindsFor({ cards: [1, 12], each: 4 })[0]).toEqual({ kind: 'playing-cards', quantity: 1 });
    expect(kindsFor({ cards: [0, 9], each: 1 })[0]).toEqual({ kind: 'digit-cards-0-9', quantity: 1 });
    for (const cards of [
      [0, 10],
      [1, 19],
      [-10, 10],
      [5, 50],
    ] as const)
      expect(kindsFor({ cards, each: 4 }).map((k) => k.kind)).toEqual(['number-cards']);
  });
  it('adds up what two needs take of one kind', () =>
    expect(
      materialsFor([
        { kind: 'pegs', quantity: 2 },
        { kind: 'pegs', quantity: 3 },
      ]),
    ).toEqual([{ kind: 'pegs', quantity: 5 }]));
  it('says which need a list of things does not meet, and judges no list that names no numbers', () => {
    const needs = [
      { chances: [1, 20], count: 2 },
      { kind: 'paper', quantity: 1 },
    ] as const;
    expect(unmet(needs, ['twelve-sided-die'], shipped)).toEqual(needs[0]);
    expect(unmet(needs, ['twenty-sided-die'], shipped)).toBeNull();
    expect(unmet(needs, ['number-cards'], shipped)).toBeNull();
    expect(unmet(needs, ['paper'], shipped)).toBeNull();
    expect(unmet(needs, ['pip-die', 'spinner-of-ours'], shipped)).toBeNull();
    expect(needText(needs[0], (k) => k)).toBe('2 × twenty-sided-die (even chances from 1 to 20, 2 at once)');
    expect(numbersText({ cards: [-5, 5], each: 2 })).toBe('cards from −5 to 5, 2 of each');
  });
  it('is met by the things named for every version that ships', () => {
    for (const g of shippedLibrary)
      for (const v of g.variants) {
        const m = mechanismById(g.mechanism)!;
        const needs = m.needs({ ...m.defaults, ...v.parameters }, Math.max(m.seats.min, 2));
        const kinds = materialsFor(needs).map((x) => x.kind);
        expect([g.id, v.id, unmet(needs, kinds, shipped), kinds.filter((k) => !shipped(k))]).toEqual([g.id, v.id, null, []]);
      }
  });
  // The list of versions whose things once could not play them.
  it.each([
    ['short-change', 'to-twenty', 'twenty-sided-die'],
    ['branch-line', 'to-a-hundred-and-twenty-by-twelves', 'twelve-sided-die'],
    ['shutters-down', 'one-to-six-small-dice', 'four-sided-die'],
    ['any-spare-wire', 'twenties', 'number-cards'],
    ['matching-shades', 'four-apart', 'number-cards'],
    ['points-and-crossings', 'tens', 'special-cards'],
    ['both-sides-of-the-line', 'with-wild-cards', 'wild-cards'],
    ['turn-up-the-wick', 'on-the-line', 'number-line'],
    ['two-colours-of-wool', 'ten-from-the-bag', 'bag'],
    ['berries-in-the-cup', 'five', 'cup'],
    ['stepping-stones', 'to-a-hundred', 'place-cards'],
    ['buttons-in-trays', 'three-trays', 'sorting-things'],
    ['below-the-frost', 'one-card-colder', 'number-cards'],
    ['the-conductors-packet', 'falling-by-fives', 'number-cards'],
  ])('%s, %s names %s', (game, version, kind) => {
    const g = shippedLibrary.find((x) => x.id === game)!;
    const v = g.variants.find((x) => x.id === version)!;
    const m = mechanismById(g.mechanism)!;
    expect(materialsFor(m.needs({ ...m.defaults, ...v.parameters }, 3)).map((x) => x.kind)).toContain(kind);
  });
});
