import { describe, expect, it } from 'vitest';
import { checkParameters } from '../../contract/parameters';
import { asWritten, countries } from '../../contract/countries';
import { shippedLibrary } from '../../contract/shippedLibrary';
import type { Operation } from '../items/item';
import { cardLines, type HowTo, mostCardLines, mostLines, presenceFor } from '../play/howTo';
import type { Country } from '../play/country';
import { createRng, below } from '../shared/rng';
import type { Mechanism } from './mechanism';
import { run } from './playing.testing';
import { mechanismById, mechanisms } from './registry';
import { usualSeats } from '../simulate/usualSeats';

/** Every version that ships, and the families as they come; where a country changes one, that too. */
const asShipped = [
  ...mechanisms.map((m) => ({ name: `${m.id} as it comes`, m, parameters: {}, players: m.seats })),
  ...shippedLibrary.flatMap((g) =>
    g.variants.map((v) => ({
      name: `${g.id}/${v.id}`,
      m: mechanismById(g.mechanism)!,
      parameters: v.parameters as object,
      players: v.players,
    })),
  ),
].map((v) => ({ ...v, country: asWritten }));
const versions = [
  ...asShipped,
  ...countries.flatMap((country) =>
    asShipped.flatMap((v) => {
      if (!v.m.inCountry) return [];
      return [
        { ...v, name: `${v.name} in ${country.id}`, country, parameters: v.m.inCountry({ ...v.m.defaults, ...v.parameters }, country) },
      ];
    }),
  ),
];
const told = (m: Mechanism, parameters: object, country = asWritten): HowTo => m.howTo({ ...m.defaults, ...parameters }, country);
const ruleLines = (h: HowTo): string[] => [...h.setUp, ...h.turn, ...h.scoring, h.end];

/** What words of a rule claim that players do, and the operations of items that make it true. */
const claims: readonly (readonly [RegExp, readonly Operation[]])[] = [
  [
    /\b(multipl(y|ied)|times facts?|product)\b/i,
    [
      'multiply',
      'area',
      'times-family',
      'factor',
      'divide',
      'power',
      'times-fraction',
      'machine-rule',
      'estimate-product',
      'plus-times',
      'multiply-fraction',
      'multiply-decimal',
    ],
  ],
  [
    /\b(add(s|ed)? (it|them|your|each|the|row)|two numbers to add|the sum\b|add up)/i,
    ['add', 'compose', 'fact-family', 'add-fraction', 'next-in-sequence', 'add-decimal', 'sum-of-three'],
  ],
  [
    /\btake (it|them|the smaller|the part|\d+) (away|from)|take the smaller from/i,
    ['subtract', 'decompose', 'fact-family', 'balance', 'compose'],
  ],
  [/\b(share (it|the larger)|sharing facts?)\b/i, ['divide', 'times-family']],
  [/\bround(ed)? to the nearest|a number to round/i, ['round']],
  [
    /\bfractions?\b/i,
    [
      'percent-name',
      'fraction-of',
      'simplify-fraction',
      'mixed-number',
      'times-fraction',
      'multiply-fraction',
      'divide-fraction',
      'divide-to-fraction',
      'name-fraction',
      'equivalent-fraction',
      'compare-fraction',
      'add-fraction',
      'subtract-fraction',
      'add',
      'subtract',
      'multiply',
      'divide',
    ],
  ],
  [/\bcounts? back\b/i, ['next-in-sequence']],
  [/\bcoins?\b/i, ['count-money', 'subtract-decimal']],
  [/\bclock face|time it is\b/i, ['tell-time', 'elapsed-time', 'clock-24']],
];

/** Numbers that stand in a rule without being a parameter or coming from two of them. */
const small = new Set([0, 1, 2, 3, 4, 6, 7, 9, 10, 100, 1000]);

function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (Array.isArray(value)) return value.flatMap(numbersIn);
  if (typeof value === 'string') return [...value.matchAll(/\d+/g)].map((x) => Number(x[0]));
  return [];
}

/** What may stand as a number: a parameter, or what comes of two of them (spans, grids, sums of faces). */
/** Lengths in centimetres may stand in inches. */
function allowed(parameters: object, { ruler }: Country): (n: number) => boolean {
  const own = new Set(Object.values(parameters).flatMap(numbersIn).map(Math.abs));
  if (ruler === 'inches') for (const x of [...own]) own.add(Math.round(x / 2.54));
  const two = new Set<number>();
  for (const x of own)
    for (const y of own)
      for (const z of [x + y, Math.abs(x - y), x * y, Math.abs(x - y) + 1, Math.ceil(x / 2), Math.floor(x / 2), x + 1, Math.floor(x / y)])
        two.add(z);
  return (n) => small.has(n) || own.has(n) || two.has(n);
}

describe('how a version is played', () => {
  it.each(versions.map((v) => [v.name, v] as const))('%s: enough to begin, short enough to read', (_, { m, parameters, country }) => {
    const h = told(m, parameters, country);
    expect([h.setUp.length, h.turn.length, h.scoring.length].every((n, i) => n <= [3, 4, 2][i]! && (i === 2 || n >= 1))).toBe(true);
    // What is needed and how it ends early take a line each.
    expect(ruleLines(h).length + 2).toBeLessThanOrEqual(mostLines);
    // The card keeps every rule in its order, in five lines that can be read at a table.
    expect(cardLines(h).length).toBeLessThanOrEqual(mostCardLines);
    expect(cardLines(h).join(' ')).toBe(ruleLines(h).join(' '));
    expect(Math.max(...cardLines(h).map((line) => line.length))).toBeLessThanOrEqual(210);
    expect(h.pictures).toHaveLength(3);
    for (const line of [...ruleLines(h), h.tool, h.smaller, ...h.pictures.map((p) => p.say)]) {
      expect(line).toMatch(/^[A-Z0-9].*[.?!…]$/);
      expect(line).not.toMatch(/undefined|NaN|null|\[object|as agreed|if agreed/);
      expect(line.length).toBeLessThanOrEqual(210);
      expect(line).not.toMatch(/ {2}|\.\.|,\.|\b1 (cards|points|rounds|counters|numbers|weights|throws|facts|tasks)\b/);
    }
    expect(h.ask).toMatch(/\?$/);
    expect(new Set(ruleLines(h)).size).toBe(ruleLines(h).length);
  });

  it.each(versions.map((v) => [v.name, v] as const))('%s: names only its own numbers', (_, { m, parameters, country }) => {
    const full = { ...m.defaults, ...parameters };
    const may = allowed(full, country);
    // The family's own reading of what two numbers make is checked by its sheets and lists; here every number must come from somewhere.
    const derived = new Set(numbersIn(m.sheets(full, usualSeats(m.seats)).map((s) => Object.values(s.data))));
    for (const line of ruleLines(m.howTo(full, country)))
      for (const n of numbersIn(line)) expect([line, n, may(n) || derived.has(n) || exampleIn(m.id)]).toEqual([line, n, true]);
  });

  it.each(versions.map((v) => [v.name, v] as const))(
    '%s: what it says is done, is done when it is played',
    (name, { m, parameters, players, country }) => {
      const ops = new Set(run(m.id, parameters, usualSeats(players), 40).items.map((i) => i.op));
      for (const line of ruleLines(told(m, parameters, country)))
        for (const [words, needs] of claims)
          if (words.test(line)) expect([name, line, needs.some((op) => ops.has(op))]).toEqual([name, line, true]);
    },
  );

  it.each(mechanisms.map((m) => [m.id, m] as const))('%s: tells whatever is agreed, for every parameter', (id, m) => {
    const rng = createRng(5);
    for (const [name, schema] of Object.entries(m.parametersSchema.properties)) {
      if (untold.has(name) || untold.has(`${id}.${name}`)) continue;
      let changed = false;
      for (let i = 0; i < 400 && !changed; i++) {
        // Beside another setting where it says nothing in the usual one.
        const base = i < 40 ? {} : randomly(m, rng);
        const full = { ...m.defaults, ...base };
        const other = { ...full, [name]: anotherValue(schema, (full as Record<string, unknown>)[name], rng) };
        if (!checkParameters(id, full).ok || !checkParameters(id, other).ok) continue;
        changed = JSON.stringify(ruleLines(m.howTo(full, asWritten))) !== JSON.stringify(ruleLines(m.howTo(other, asWritten)));
      }
      expect([id, name, changed]).toEqual([id, name, true]);
    }
  });

  it('asks for a grown-up where the rules do, and for the youngest', () => {
    const alone = { presence: { is: 'alone', for: '' } } as const;
    expect(presenceFor(alone, [7, 9]).is).toBe('alone');
    expect(presenceFor(alone, [5, 8]).is).toBe('nearby');
    expect(presenceFor(alone, [4, 6]).is).toBe('needed');
    expect(presenceFor({ presence: { is: 'needed', for: 'reads' } }, [9, 12])).toEqual({ is: 'needed', for: 'reads' });
    const needing = (id: string, parameters = {}): string => told(mechanismById(id)!, parameters).presence.is;
    for (const id of ['bound-guess', 'cover-grid', 'quick-look', 'call-and-claim', 'story-cards'])
      expect([id, needing(id)]).toEqual([id, 'needed']);
    expect(needing('story-cards', { readAloud: 'read-alone' })).toBe('alone');
    expect(needing('task-hunt')).toBe('nearby');
    expect(needing('task-hunt', { cards: 'passed' })).toBe('alone');
  });
});

/** Families whose lines carry an example in numbers: a number built, a digit drawn, a sequence dealt. */
const exampleIn = (id: string): boolean =>
  [
    'build-a-number',
    'place-digit-hop',
    'deal-order-puzzle',
    'edge-tiles',
    'split-and-spill',
    'fill-the-whole',
    'money-race',
    'sets-and-runs',
    'match-sets',
    'tens-or-ones',
  ].includes(id);

/** Parameters that are no rule: how well somebody plays, what is gone from a deck, how a board is drawn. */
const untold = new Set(['missing', 'memory', 'holdAt', 'steady', 'seconds', 'aim', 'wasted']);

function anotherValue(schema: Readonly<Record<string, unknown>>, now: unknown, rng: ReturnType<typeof createRng>): unknown {
  if (schema['type'] === 'boolean') return now !== true;
  if (Array.isArray(schema['enum'])) return (schema['enum'] as unknown[])[below(rng, (schema['enum'] as unknown[]).length)];
  if (schema['type'] === 'integer') {
    const [low, high] = [Number(schema['minimum']), Number(schema['maximum'])];
    const near = Number(now) + (below(rng, 2) === 0 ? 1 : -1) * (1 + below(rng, 5));
    return below(rng, 2) === 0 ? Math.max(low, Math.min(high, near)) : low + below(rng, high - low + 1);
  }
  const options = (schema['items'] as { enum?: unknown[] } | undefined)?.enum;
  if (options)
    return options.filter((o, i) => i === 0 || below(rng, 2) === 0 || o === (now as unknown[])[0]).slice(0, 1 + below(rng, options.length));
  if (schema['type'] === 'array') return [[9, 3]];
  return now;
}

function randomly(m: Mechanism, rng: ReturnType<typeof createRng>): object {
  const out: Record<string, unknown> = {};
  for (const [name, schema] of Object.entries(m.parametersSchema.properties))
    if (below(rng, schema['type'] === 'integer' ? 4 : 2) === 0)
      out[name] = anotherValue(schema, (m.defaults as Record<string, unknown>)[name], rng);
  return out;
}
