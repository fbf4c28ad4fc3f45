import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readParameters } from './cells';
import { readGameFile } from './gameFile';
import { parametersText } from './parametersText';

const rowOf = (json: unknown): Record<string, string> => {
  const t = readGameFile(json)!;
  return Object.fromEntries(t.rows[0]!.cells.map((name, i) => [name, t.rows[1]!.cells[i]!]));
};

describe('a game file from elsewhere', () => {
  it('is read in any of the shapes that schema.org allows', () => {
    const plain = {
      '@context': 'http://schema.org/',
      '@graph': [
        {
          '@type': ['http://schema.org/Game'],
          name: ['Ten Bridge'],
          numberOfPlayers: '2-4',
          typicalAgeRange: '11-',
          timeRequired: 'PT1H5M',
          material: 'one deck; 2 dice',
          teaches: { '@type': 'DefinedTerm', termCode: '1.OA.C.6', name: 'Make ten' },
          description: { '@value': 'Lay the cards.' },
        },
      ],
    };
    expect(rowOf(plain)).toMatchObject({
      game: 'Ten Bridge',
      variant: 'as it comes',
      ages: '11+',
      'players min': '2',
      'players max': '4',
      minutes: '65',
      materials: 'one deck; 2 dice',
      notes: 'Lay the cards.\nTeaches: 1.OA.C.6 Make ten',
      mechanism: '',
    });
    expect(rowOf([{ '@type': 'Game', name: 'A', numberOfPlayers: { minValue: 3 }, timeRequired: '15 min' }])).toMatchObject({
      'players min': '3',
      'players max': '',
      minutes: '15 min',
    });
  });
  it('that holds no game is none', () => {
    for (const none of [{}, [], null, 7, { '@type': 'Book', name: 'x' }, { '@graph': [] }]) expect(readGameFile(none)).toBeNull();
  });
});

describe('parameters as text', () => {
  it('are read again as they were: numbers, words, ticks, lists of one and more', () => {
    const value = fc.oneof(
      fc.integer({ min: -999, max: 9999 }),
      fc.boolean(),
      fc.constantFrom('sum', 'two-dice-sum', 'rows-columns'),
      fc.array(fc.constantFrom('add', 'subtract', 'multiply'), { minLength: 1, maxLength: 3 }),
      fc.array(fc.integer({ min: 0, max: 99 }), { minLength: 1, maxLength: 4 }),
    );
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom('high', 'low', 'operations', 'rule', 'coins'), value), (p) => {
        expect(readParameters(parametersText(p))).toEqual({ ...p });
      }),
    );
  });
  it('leave out what could not be read again', () => {
    expect(parametersText({ jumps: [[3, 9]], a: 1, b: 'x;y', empty: [] })).toBe('a=1');
  });
});
