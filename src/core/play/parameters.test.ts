import { describe, expect, it } from 'vitest';
import { channelOfOperation, fourOperations, operationChannels, operationSigns, wholeResult } from './arithmetic';
import { Deck } from './deck';
import { missingCards, oneOf, pairs, parameters, share, someOf, whole, yesNo } from './parameters';
import { firstOf, impossible, inOrder, ownOnly, sharedBy } from './refuse';
import { otherValues, schemaProblem } from './schemaValues';

describe('parameters', () => {
  const set = parameters({
    high: whole('Highest', 1, 9, 4),
    chance: share('Chance', 0.5),
    swift: yesNo('Swift', true),
    way: oneOf('Way', ['up', 'down'], 'up'),
    signs: someOf('Signs', ['+', '−'], ['+']),
    gone: missingCards(),
    jumps: pairs('Jumps', 20, [[3, 7]]),
  });
  it('stand with their usual values', () =>
    expect(set.DEFAULTS).toEqual({ high: 4, chance: 0.5, swift: true, way: 'up', signs: ['+'], gone: [], jumps: [[3, 7]] }));
  it('stand as a schema', () =>
    expect(set.SCHEMA).toEqual({
      type: 'object',
      additionalProperties: false,
      properties: {
        high: { type: 'integer', minimum: 1, maximum: 9, title: 'Highest' },
        chance: { type: 'number', minimum: 0, maximum: 1, title: 'Chance' },
        swift: { type: 'boolean', title: 'Swift' },
        way: { enum: ['up', 'down'], title: 'Way' },
        signs: { type: 'array', minItems: 1, uniqueItems: true, items: { enum: ['+', '−'] }, title: 'Signs' },
        gone: { type: 'array', maxItems: 40, items: { type: 'integer', minimum: 0, maximum: 100 }, title: 'Cards that are missing' },
        jumps: {
          type: 'array',
          maxItems: 20,
          items: { type: 'array', minItems: 2, maxItems: 2, items: { type: 'integer', minimum: 0, maximum: 20 } },
          title: 'Jumps',
        },
      },
    }));
  it.each([
    [{ high: 1 }, null],
    [{ high: 9 }, null],
    [{ high: 0 }, '"Highest" cannot be 0.'],
    [{ high: 10 }, '"Highest" cannot be 10.'],
    [{ high: 2.5 }, '"Highest" cannot be 2.5.'],
    [{ high: '4' }, '"Highest" cannot be "4".'],
    [{ chance: 1 }, null],
    [{ chance: 1.01 }, '"Chance" cannot be 1.01.'],
    [{ swift: 'yes' }, '"Swift" cannot be "yes".'],
    [{ way: 'round' }, '"Way" cannot be "round".'],
    [{ signs: [] }, '"Signs" cannot be [].'],
    [{ signs: ['+', '+'] }, '"Signs" cannot be ["+","+"].'],
    [{ signs: '+' }, '"Signs" cannot be "+".'],
    [{ gone: Array.from({ length: 40 }, () => 3) }, null],
    [{ gone: Array.from({ length: 41 }, () => 3) }, /cannot be/],
    [{ jumps: [[1, 2, 3]] }, /cannot be/],
    [{ other: 1 }, 'There is no parameter "other".'],
  ] as const)('%j', (given, want) => {
    const found = schemaProblem(set.SCHEMA.properties, given);
    if (want === null) expect(found).toBeNull();
    else if (typeof want === 'string')
      expect(found).toMatchObject({ code: 'impossible-parameters', field: Object.keys(given)[0], message: want });
    else expect(found!.message).toMatch(want);
  });
  it('without a title are refused by their name', () =>
    expect(schemaProblem({ n: { type: 'integer', minimum: 1 } }, { n: 0 })!.message).toBe('"n" cannot be 0.'));
  it('have other values inside their span, the edges too', () => {
    const { high, swift, way, signs } = set.SCHEMA.properties;
    expect(otherValues(high!, 4)).toEqual([5, 3, 8, 2, 7, 1, 9]);
    expect(otherValues(swift!, true)).toEqual([false]);
    expect(otherValues(way!, 'up')).toEqual(['down']);
    expect(otherValues(signs!, ['+'])).toEqual([['+', '−'], ['−']]);
    expect(otherValues({ type: 'array', items: { type: 'integer' } }, [])).toEqual([]);
  });
});

describe('refusals', () => {
  it('are in words, the first that holds', () => {
    expect(inOrder(3, 2, 'high', 'card')).toEqual({
      code: 'impossible-parameters',
      field: 'high',
      message: 'The highest card (2) is below the lowest (3).',
    });
    expect(inOrder(3, 3, 'high', 'card')).toBeNull();
    expect(firstOf(null, false, impossible('a', 'A'), impossible('b', 'B'))).toMatchObject({ field: 'a' });
    expect(firstOf(null, false)).toBeNull();
  });
  it('name what a table must share, and let own things differ', () => {
    const seats = [{ parameters: { high: 5, own: 1 } }, { parameters: { high: 5, own: 2 } }];
    expect(sharedBy(seats, ['high'])).toBeNull();
    expect(sharedBy(seats, ['high', 'own'])).toMatchObject({ field: 'own', message: '"own" must be the same for everyone at the table.' });
    expect(ownOnly(seats, ['own'])).toBeNull();
    expect(ownOnly(seats, ['high'])).toMatchObject({ field: 'own' });
  });
});

describe('the four operations', () => {
  it('stand in one order with their signs and channels', () => {
    expect(fourOperations.map((op) => [op, channelOfOperation[op], operationSigns[op]])).toEqual([
      ['add', 0, '+'],
      ['subtract', 1, '−'],
      ['multiply', 2, '×'],
      ['divide', 3, '÷'],
    ]);
    expect(operationChannels()).toEqual(fourOperations.map((op) => ({ op, unknown: 'result', rep: 'numerals' })));
    expect(operationChannels('pips')[0]).toEqual({ op: 'add', unknown: 'result', rep: 'pips' });
  });
  it('have whole results or none', () => {
    expect([
      wholeResult('divide', 0, 0),
      wholeResult('divide', 7, 2),
      wholeResult('divide', 6, 2),
      wholeResult('subtract', 3, 3),
      wholeResult('subtract', 2, 3),
    ]).toEqual([-1, -1, 3, 0, -1]);
  });
});

it('a deck knows how many it is of, however many are left', () => {
  const deck = new Deck([1, 2, 3]);
  deck.draw({ next: () => 0 } as never);
  expect([deck.size, deck.left]).toEqual([3, 2]);
});
