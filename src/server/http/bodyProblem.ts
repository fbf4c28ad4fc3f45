import type { ErrorObject } from 'ajv';
import type { Problem } from '../../core/shared/codes';
import { timePattern } from '../../core/shared/days';

/** The schema checker's finding in words for the person who sent it. */
export function bodyProblem(error: ErrorObject): Problem {
  const at = error.instancePath.slice(1).replaceAll('/', '.');
  const join = (name: string): string => (at ? `${at}.${name}` : name);
  const params = error.params as Record<string, unknown>;
  if (error.keyword === 'required') {
    const field = join(String(params['missingProperty']));
    return { code: 'malformed', field, message: `"${field}" is missing.` };
  }
  if (error.keyword === 'additionalProperties') {
    const field = join(String(params['additionalProperty']));
    return { code: 'malformed', field, message: `"${field}" is not a field here.` };
  }
  const what = at ? `"${at}"` : 'The body';
  return { code: 'malformed', field: at, message: `${what} ${wordsOf(error.keyword, params, error.message ?? 'is not right')}.` };
}

const kinds: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  integer: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  null: 'empty',
};

function wordsOf(keyword: string, params: Readonly<Record<string, unknown>>, otherwise: string): string {
  const limit = params['limit'];
  const things = limit === 1 ? 'thing' : 'things';
  switch (keyword) {
    case 'type':
      return `must be ${[params['type']]
        .flat()
        .map((t) => kinds[String(t)] ?? String(t))
        .join(' or ')}`;
    case 'enum':
      return `is one of ${(params['allowedValues'] as unknown[]).map((v) => (v === null ? 'nothing' : String(v))).join(', ')}`;
    case 'const':
      return `must be ${String(params['allowedValue'])}`;
    case 'minItems':
      return `holds too little: at least ${String(limit)} ${things}`;
    case 'maxItems':
      return `holds too much: at most ${String(limit)} ${things}`;
    case 'minLength':
      return limit === 1 ? 'is empty' : `is too short: at least ${String(limit)} letters`;
    case 'maxLength':
      return `is too long: at most ${String(limit)} letters`;
    case 'maxProperties':
      return `holds too much: at most ${String(limit)} fields`;
    case 'minimum':
      return `must be at least ${String(limit)}`;
    case 'maximum':
      return `must be at most ${String(limit)}`;
    case 'exclusiveMinimum':
      return `must be more than ${String(limit)}`;
    case 'uniqueItems':
      return 'names something twice';
    case 'format':
      return params['format'] === 'date' ? 'is not a day like 2026-11-10' : `is not a ${String(params['format'])}`;
    case 'pattern':
      return params['pattern'] === timePattern ? 'is not a time of day like 09:30' : 'is not written as expected';
    default:
      return otherwise;
  }
}
