import { policies } from '../../core/mechanisms/mechanism';
import { type Static, Type } from '@sinclair/typebox';
import { anything, arr, bool, int, num, obj, oneOf, opt, record, str } from './schema';
import { span } from './things';

const bounds = { minimum: opt(num), maximum: opt(num), minItems: opt(int), maxItems: opt(int), uniqueItems: opt(bool) };

/** How a family asks for one of its parameters: a small part of JSON Schema. */
const parameterField = obj({
  ...bounds,
  type: opt(oneOf('boolean', 'integer', 'number', 'string', 'array', 'object')),
  title: opt(str),
  enum: opt(arr(anything)),
  items: opt(obj({ ...bounds, type: opt(str), enum: opt(arr(Type.Union([Type.String(), Type.Number()]))), items: opt(record(anything)) })),
});

export type ParameterField = Static<typeof parameterField>;

export const mechanism = obj({
  id: str,
  family: str,
  title: str,
  words: arr(str),
  earlyEnding: str,
  told: arr(str),
  parametersSchema: obj({
    type: Type.Literal('object'),
    additionalProperties: Type.Literal(false),
    properties: record(parameterField),
  }),
  policies: arr(oneOf(...policies)),
  example: record(anything),
  seats: span,
});

export type MechanismWire = Static<typeof mechanism>;
