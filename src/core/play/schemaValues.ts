import type { Problem } from '../shared/codes';
import { impossible } from './refuse';

type FieldSchema = Readonly<Record<string, unknown>>;

/** Values to try instead of the one in use, from the parameter's own schema: near ones first. */
export function otherValues(schema: FieldSchema, value: unknown): unknown[] {
  if (Array.isArray(schema['enum'])) return (schema['enum'] as unknown[]).filter((v) => v !== value);
  if (schema['type'] === 'boolean') return [!value];
  if (schema['type'] === 'integer' || schema['type'] === 'number') {
    const [low, high, now] = [Number(schema['minimum']), Number(schema['maximum']), Number(value)];
    const tries = [
      now + 1,
      now - 1,
      now * 2,
      Math.floor(now / 2),
      now + 3,
      now - 3,
      now + 10,
      now + 30,
      low,
      high,
      Math.floor((low + high) / 2),
    ];
    return [...new Set(tries)].filter((v) => v >= low && v <= high && v !== now);
  }
  const items = (schema['items'] ?? {}) as { enum?: unknown[] };
  return items.enum ? [items.enum, ...items.enum.map((v) => [v])].filter((v) => JSON.stringify(v) !== JSON.stringify(value)) : [];
}

/**
 * Whether parameters fit a mechanism's schema, without a schema library: the page's worker
 * may not compile code. Names the first field that does not fit.
 */
export function schemaProblem(properties: Readonly<Record<string, FieldSchema>>, parameters: object): Problem | null {
  for (const [name, value] of Object.entries(parameters)) {
    const schema = properties[name];
    if (!schema) return impossible(name, `There is no parameter "${name}".`);
    if (!fits(schema, value))
      return impossible(name, `"${(schema['title'] as string | undefined) ?? name}" cannot be ${JSON.stringify(value)}.`);
  }
  return null;
}

function fits(schema: FieldSchema, value: unknown): boolean {
  if (Array.isArray(schema['enum'])) return (schema['enum'] as unknown[]).includes(value);
  if (schema['type'] === 'boolean') return typeof value === 'boolean';
  if (schema['type'] === 'array') {
    if (!Array.isArray(value)) return false;
    const items = schema['items'] as FieldSchema;
    const most = Number(schema['maxItems'] ?? Infinity);
    return (
      value.length >= Number(schema['minItems'] ?? 0) &&
      value.length <= most &&
      value.every((v) => fits(items, v)) &&
      (!schema['uniqueItems'] || new Set(value).size === value.length)
    );
  }
  if (typeof value !== 'number' || !Number.isFinite(value)) return false;
  if (schema['type'] === 'integer' && !Number.isInteger(value)) return false;
  return value >= Number(schema['minimum'] ?? -Infinity) && value <= Number(schema['maximum'] ?? Infinity);
}
