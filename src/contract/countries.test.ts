import Ajv from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { mechanismById } from '../core/mechanisms/registry';
import { usualSeats } from '../core/simulate/usualSeats';
import { saidIn } from '../core/play/country';
import { ENGINE } from '../core/simulate/simulation';
import { asWritten, countries, countryById } from './countries';
import { howToWire } from './howToOf';
import { libraryIn, measuredIn, titlesAnywhere } from './libraryIn';
import { checkTable } from './parameters';
import { shippedLibrary, shippedProfile } from './shippedLibrary';

const text = { type: 'string', minLength: 1 };
const valid = new Ajv().compile({
  type: 'array',
  minItems: 3,
  items: {
    type: 'object',
    additionalProperties: false,
    required: ['id', 'title', 'coins', 'coinMm', 'money', 'ruler', 'paper', 'dates', 'words'],
    properties: {
      id: { type: 'string', pattern: '^[a-z][a-z-]*$' },
      title: text,
      coins: { type: 'array', minItems: 2, uniqueItems: true, items: { type: 'integer', minimum: 1, maximum: 100 } },
      coinMm: { type: 'array', minItems: 2, items: { type: 'number', minimum: 14, maximum: 40 } },
      money: {
        type: 'object',
        additionalProperties: false,
        required: ['sign', 'before', 'parts', 'point'],
        properties: { sign: text, before: { type: 'boolean' }, parts: text, point: { enum: ['.', ','] } },
      },
      ruler: { enum: ['centimetres', 'inches'] },
      paper: { enum: ['a4', 'letter'] },
      dates: { enum: ['day-first', 'month-first'] },
      words: { type: 'object', additionalProperties: text, propertyNames: { pattern: '^[^A-Z]+$' } },
    },
  },
});

const us = countryById('us')!;

describe('the countries', () => {
  it('are whole, and everything is written as the first says it', () => {
    expect(valid(countries) ? null : valid.errors).toBeNull();
    expect(new Set(countries.map((c) => c.id)).size).toBe(countries.length);
    expect(asWritten.words).toEqual({});
    for (const c of countries) expect([c.id, [...c.coins].sort((x, y) => x - y)]).toEqual([c.id, c.coins]);
  });
  it('have the coins in use there up to the unit', () => {
    // Circulating coins: United States Mint; The Royal Mint; European Central Bank (all from memory; rare coins are left out).
    expect(us.coins).toEqual([1, 5, 10, 25]);
    expect(countryById('uk')!.coins).toEqual([1, 2, 5, 10, 20, 50, 100]);
    expect(countryById('euro')!.coins).toEqual([1, 2, 5, 10, 20, 50, 100]);
  });

  it.each(countries.map((c) => [c.id, c] as const))('in %s every version of the library can be played, and is measured', (_, country) => {
    for (const g of libraryIn(country))
      for (const v of g.variants) {
        const table = checkTable(g.mechanism, v.parameters, usualSeats(v.players));
        expect([g.id, v.id, table.ok]).toEqual([g.id, v.id, true]);
        const coins = (v.parameters as { coins?: number[] }).coins ?? [];
        expect([v.id, coins.filter((c) => !country.coins.includes(c))]).toEqual([v.id, []]);
      }
    for (const { game, variant, name } of measuredIn(country)) {
      expect([name, shippedProfile(game.id, variant.id, country.id)?.engine]).toEqual([name, ENGINE]);
      // Other numbers take other minutes, yet the time stated holds there too.
      expect(shippedProfile(game.id, variant.id, country.id)!.minutes[2]).toBeLessThanOrEqual(variant.minutes);
    }
  });

  it('change only what the country has otherwise', () => {
    expect(measuredIn(us).map((v) => v.name)).toEqual(['plank-and-rule/centimetres@us', 'rain-chart/scale-of-five@us']);
    expect(measuredIn(asWritten).every(({ variant }) => 'coins' in variant.parameters)).toBe(true);
    const plank = libraryIn(us)
      .find((g) => g.id === 'plank-and-rule')!
      .variants.find((v) => v.id === 'centimetres')!;
    expect(plank).toMatchObject({ title: 'inches', parameters: { unit: 'inches' } });
    expect(libraryIn(us).find((g) => g.id === 'row-of-sleepers')!.title).toBe('Row of Ties');
    expect(libraryIn(us).find((g) => g.id === 'tales-from-the-signal-box')!.title).toBe('Tales from the Signal Tower');
    expect(titlesAnywhere('row-of-sleepers')).toEqual(['Row of Sleepers', 'Row of Ties']);
    expect(new Set(libraryIn(us).map((g) => g.title)).size).toBe(shippedLibrary.length);
  });

  it('leave no word of elsewhere in what is read there', () => {
    const elsewhere = /colour|neighbour|metres?\b|litre|wagon|carriage|sleepers|signal box|shunting|grey|pavement|weathercock/i;
    for (const g of libraryIn(us)) {
      expect([g.title, g.story].filter((line) => elsewhere.test(line))).toEqual([]);
      for (const v of g.variants) {
        const h = howToWire(mechanismById(g.mechanism)!, v.parameters, 3, v.ages, (k) => k, us);
        const lines = [v.title, ...h.setUp, ...h.turn, ...h.scoring, h.end, h.timeUp, h.tool, h.smaller, ...h.card];
        expect(lines.filter((line) => elsewhere.test(line))).toEqual([]);
      }
    }
  });

  it('say a line as it stands where nothing is said otherwise', () => {
    for (const g of shippedLibrary) expect(saidIn(asWritten, g.story)).toBe(g.story);
  });
});
