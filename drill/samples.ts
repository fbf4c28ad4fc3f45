import type { Dice } from './dice';

export type Schema = Readonly<Record<string, unknown>>;

const words = ['Lamp', 'Wren', 'two words', 'Ünïcode ✓', '=1+1', "it's", '<b>', '0', 'null', 'a\u200bb', '🦉'];

/** A value that fits a schema, most often; `ids` are values that name something that is there. */
export function sample(schema: Schema, dice: Dice, ids: readonly string[], depth = 0): unknown {
  const options = (schema['enum'] ?? null) as unknown[] | null;
  if (options) return dice.one(options);
  if ('const' in schema) return schema['const'];
  const either = (schema['anyOf'] ?? null) as Schema[] | null;
  if (either) return sample(dice.one(either), dice, ids, depth);
  switch (schema['type']) {
    case 'object': {
      const properties = (schema['properties'] ?? {}) as Record<string, Schema>;
      const required = new Set((schema['required'] ?? []) as string[]);
      return Object.fromEntries(
        Object.entries(properties)
          .filter(([name]) => required.has(name) || (depth < 3 && dice.chance(2)))
          .map(([name, s]) => [name, sample(s, dice, ids, depth + 1)]),
      );
    }
    case 'array': {
      const least = Number(schema['minItems'] ?? 0);
      const n = Math.min(Number(schema['maxItems'] ?? 3), Math.max(least, dice.below(3)));
      return Array.from({ length: n }, () => sample((schema['items'] ?? {}) as Schema, dice, ids, depth + 1));
    }
    case 'integer':
    case 'number': {
      const low = Number(schema['minimum'] ?? -10);
      const high = Number(schema['maximum'] ?? 10);
      // Small honest numbers: large ones have a drill of their own.
      const value = Math.max(low, Math.min(high, dice.below(12)));
      return schema['type'] === 'integer' ? Math.round(value) : value;
    }
    case 'boolean':
      return dice.chance(2);
    case 'null':
      return null;
    default:
      if (schema['format'] === 'date') return '2026-11-10';
      if (schema['pattern']) return '09:30';
      return dice.chance(2) && ids.length > 0 ? dice.one(ids) : dice.one(words);
  }
}

const bad: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  -1e308,
  1.5,
  9007199254740993,
  '',
  ' ',
  'NaN',
  '\u0000',
  '../../etc',
  "'; DROP TABLE learners; --",
  'x'.repeat(5000),
  [],
  [[]],
  {},
  { $ref: '#' },
  { constructor: { prototype: {} } },
  { length: 1e9 },
  Array.from({ length: 400 }, () => 'x'),
];

/** The same value with one thing in it made wrong: another type, a field gone, one too many, a number far out. */
export function spoil(value: unknown, dice: Dice): unknown {
  if (Array.isArray(value) && value.length > 0 && !dice.chance(3)) {
    const at = dice.below(value.length);
    return value.map((v, i) => (i === at ? spoil(v, dice) : v));
  }
  if (typeof value === 'object' && value !== null && !dice.chance(5)) {
    const entries = Object.entries(value);
    const what = dice.below(3);
    if (what === 0 || entries.length === 0) return { ...value, [dice.one(['extra', '__proto__x', 'version', 'id', ''])]: dice.one(bad) };
    const at = dice.below(entries.length);
    if (what === 1) return Object.fromEntries(entries.filter((_, i) => i !== at));
    return Object.fromEntries(entries.map(([k, v], i) => [k, i === at ? spoil(v, dice) : v]));
  }
  return dice.one(bad);
}

/** Values at the edges of what a schema takes, one place at a time, the rest as given. */
export function edges(schema: Schema, usual: unknown): unknown[] {
  const either = schema['anyOf'] as Schema[] | undefined;
  if (either) return either.flatMap((s) => edges(s, usual));
  if (schema['enum']) return schema['enum'] as unknown[];
  const found: unknown[] = [];
  if (schema['type'] === 'object') {
    const properties = (schema['properties'] ?? {}) as Record<string, Schema>;
    const whole = (usual ?? {}) as Record<string, unknown>;
    for (const [name, s] of Object.entries(properties)) for (const value of edges(s, whole[name])) found.push({ ...whole, [name]: value });
  } else if (schema['type'] === 'array') {
    const items = (schema['items'] ?? {}) as Schema;
    const list = Array.isArray(usual) && usual.length > 0 ? usual : [textOf(items)];
    const most = Number(schema['maxItems'] ?? 1000);
    found.push(
      [],
      Array.from({ length: most }, (_, i) => list[i % list.length]),
    );
    for (const value of edges(items, list[0])) found.push([value]);
  } else if (schema['type'] === 'integer' || schema['type'] === 'number') {
    if (schema['minimum'] !== undefined) found.push(schema['minimum']);
    if (schema['maximum'] !== undefined) found.push(schema['maximum']);
  } else if (schema['type'] === 'string' && !schema['format'] && !schema['pattern']) {
    const most = Number(schema['maxLength'] ?? 100_000);
    found.push('', 'x'.repeat(most), '字'.repeat(most));
  } else if (schema['type'] === 'boolean') found.push(true, false);
  else if (schema['type'] === 'null') found.push(null);
  return found;
}

function textOf(schema: Schema): unknown {
  if (schema['type'] === 'integer' || schema['type'] === 'number') return schema['minimum'] ?? 1;
  if (schema['enum']) return (schema['enum'] as unknown[])[0];
  if (schema['type'] === 'object')
    return Object.fromEntries(
      ((schema['required'] ?? []) as string[]).map((k) => [k, textOf((schema['properties'] as Record<string, Schema>)[k]!)]),
    );
  return 'x';
}
