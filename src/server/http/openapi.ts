import type { programWire } from '../../contract/wire/api';
import type { Answer, Kept } from '../../contract/wire/route';
import type { TSchema } from '@sinclair/typebox';
import { obj, problem } from '../../contract/wire/schema';
import type { Route } from './route';

const todayParameter = {
  name: 'today',
  in: 'query',
  required: false,
  description: 'Stands for the clock: the day on which the request takes place.',
  schema: { type: 'string', format: 'date' },
};

const problemSchema: TSchema = obj({ error: problem });

/** The OpenAPI 3.1 description, made from the same table that answers requests. */
export function openApi(routes: readonly Route[], version: string): Kept<Answer<(typeof programWire)['GET /openapi.json']>> {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const route of routes) {
    const pathParameters = [...route.path.matchAll(/\{(\w+)\}/g)].map((m) => ({
      name: m[1],
      in: 'path',
      required: true,
      schema: { type: 'string' },
    }));
    const queryParameters = Object.entries(route.query ?? {}).map(([name, schema]) => ({ name, in: 'query', required: false, schema }));
    const keyParameter =
      route.method === 'GET' ? [] : [{ name: 'Idempotency-Key', in: 'header', required: false, schema: { type: 'string' } }];
    const media = route.media?.split(';')[0] ?? 'application/json';
    const error = {
      description: 'Refused, with a code, a sentence, and the field or row it is about.',
      content: { 'application/json': { schema: { $ref: '#/components/schemas/Problem' } } },
    };
    (paths[route.path] ??= {})[route.method.toLowerCase()] = {
      operationId: `${route.method.toLowerCase()}${route.path.replace(/[^a-zA-Z0-9]+(\w)/g, (_, c: string) => c.toUpperCase()).replace(/[^a-zA-Z0-9]/g, '')}`,
      summary: route.summary,
      parameters: [...pathParameters, ...queryParameters, todayParameter, ...keyParameter],
      ...(route.body ? { requestBody: { required: true, content: { 'application/json': { schema: route.body } } } } : {}),
      responses: {
        [String(route.status ?? 200)]: { description: route.summary, content: { [media]: { schema: route.response } } },
        '400': error,
        '404': error,
        '409': error,
        '422': error,
      },
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Zeitgeber',
      version,
      description:
        'Games on the shelf, learners and their skills, sessions planned and played. Loopback only; long work answers 202 with a job.',
    },
    servers: [{ url: '/api/v1' }],
    paths,
    components: { schemas: { Problem: problemSchema } },
  };
}
