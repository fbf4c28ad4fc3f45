import Ajv2020 from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { ErrorObject, ValidateFunction } from 'ajv';
import { eq } from 'drizzle-orm';
import type { Problem } from '../../core/shared/codes';
import type { Db } from '../db/db';
import { openDb } from '../db/open';
import { idempotency } from '../db/schema';
import { ProblemError, statusOf } from './problemError';
import { Reply, type RequestContext, type Route } from './route';
import { routes } from './routes';

const ajv = new Ajv2020({ allErrors: false, strict: false, coerceTypes: false, useDefaults: false });
addFormats(ajv);

const bodyLimitBytes = 8 * 1024 * 1024;

interface Compiled {
  readonly route: Route;
  readonly pattern: RegExp;
  readonly names: readonly string[];
  readonly checkBody: ValidateFunction | null;
}

const compiled: Compiled[] = routes.map((route) => {
  const names = [...route.path.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!);
  const pattern = new RegExp(`^${route.path.replaceAll('.', '\\.').replace(/\{\w+\}/g, '([^/]+)')}$`);
  return { route, pattern, names, checkBody: route.body ? ajv.compile(route.body) : null };
});

/** Answers one API request: find the route, parse, run the use case, respond. */
export async function dispatch(request: Request, path: string): Promise<Response> {
  try {
    return await answer(request, path);
  } catch (error) {
    if (error instanceof ProblemError) return problem(error.problem, error.status);
    const text = error instanceof Error ? error.message : String(error);
    if (/Another Zeitgeber|is damaged|workers are not built/.test(text)) return problem({ code: 'worker-lost', message: text }, 503);
    console.error(error);
    return problem({ code: 'worker-lost', message: 'Something went wrong inside the program; nothing was changed.' }, 500);
  }
}

async function answer(request: Request, path: string): Promise<Response> {
  const matching = compiled.filter((c) => c.pattern.test(path));
  if (matching.length === 0)
    throw new ProblemError({ code: 'not-found', message: `There is no ${path} in this interface. See /api/v1/openapi.json.` });
  const found = matching.find((c) => c.route.method === request.method);
  if (!found) return problem({ code: 'malformed', message: `${path} does not take ${request.method}.` }, 405);
  const url = new URL(request.url);
  const query = Object.fromEntries(url.searchParams);
  checkQuery(found.route, query);
  const today = todayOf(query['today']);
  const params = Object.fromEntries(found.names.map((name, i) => [name, decode(found.pattern.exec(path)![i + 1]!)]));
  const body = found.checkBody ? await readBody(request, found.checkBody) : null;
  const db = openDb();
  const key = request.method === 'GET' ? null : request.headers.get('idempotency-key');
  const route = `${request.method} ${path}`;
  if (key) {
    const known = db.select().from(idempotency).where(eq(idempotency.key, key)).get();
    if (known && known.route !== route)
      throw new ProblemError({ code: 'conflict', message: 'This Idempotency-Key was used for another request.' });
    if (known) return json(known.status, known.body);
  }
  const context: RequestContext = { db, params, query, body, today, now: momentOn(today) };
  const result = await found.route.handle(context);
  const reply = result instanceof Reply ? result : new Reply(found.route.status ?? 200, result);
  if (key && reply.status < 300) remember(db, key, route, reply);
  if (typeof reply.body === 'string')
    return new Response(reply.body, {
      status: reply.status,
      headers: { 'content-type': found.route.media ?? 'text/plain; charset=utf-8', ...reply.headers },
    });
  if (reply.body instanceof Uint8Array)
    return new Response(Buffer.from(reply.body), {
      status: reply.status,
      headers: { 'content-type': found.route.media ?? 'application/octet-stream', ...reply.headers },
    });
  return json(reply.status, reply.body, reply.headers);
}

function decode(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    throw new ProblemError({ code: 'malformed', message: 'The address holds a broken % sign.' });
  }
}

function remember(db: Db, key: string, route: string, reply: Reply): void {
  db.insert(idempotency)
    .values({ key, route, status: reply.status, body: reply.body, createdAt: new Date().toISOString() })
    .onConflictDoNothing()
    .run();
}

const dayPattern = /^\d{4}-\d{2}-\d{2}$/;

export function isDay(text: string): boolean {
  return dayPattern.test(text) && new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);
}

/** `today` of the request, else of the environment, else of the clock. */
export function todayOf(asked: string | undefined): string {
  if (asked === undefined) {
    const now = new Date();
    const local = new Date(now.getTime() - now.getTimezoneOffset() * 60_000);
    return process.env['ZEITGEBER_TODAY'] ?? local.toISOString().slice(0, 10);
  }
  let good = false;
  try {
    good = isDay(asked);
  } catch {
    good = false;
  }
  if (!good) throw new ProblemError({ code: 'malformed', field: 'today', message: `"${asked}" is not a day like 2026-11-10.` }, 400);
  return asked;
}

/** The clock's time of day, on the day of the request. */
function momentOn(today: string): string {
  return `${today}${new Date().toISOString().slice(10)}`;
}

function checkQuery(route: Route, query: Record<string, string>): void {
  for (const [name, text] of Object.entries(query)) {
    if (name === 'today') continue;
    const schema = route.query?.[name] as { type?: string; minimum?: number; maximum?: number; enum?: string[] } | undefined;
    if (!schema) throw new ProblemError({ code: 'malformed', field: name, message: `This address takes no "${name}".` });
    const wrong = (why: string): ProblemError =>
      new ProblemError({ code: 'malformed', field: name, message: `"${name}" ${why}, not "${text}".` });
    if (schema.type === 'integer' || schema.type === 'number') {
      const n = Number(text);
      if (text.trim() === '' || !Number.isFinite(n) || (schema.type === 'integer' && !Number.isInteger(n))) throw wrong('must be a number');
      if (schema.minimum !== undefined && n < schema.minimum) throw wrong(`must be at least ${schema.minimum}`);
      if (schema.maximum !== undefined && n > schema.maximum) throw wrong(`must be at most ${schema.maximum}`);
    }
    if (schema.enum && !schema.enum.includes(text)) throw wrong(`is one of ${schema.enum.join(', ')}`);
  }
}

async function readBody(request: Request, check: ValidateFunction): Promise<unknown> {
  const announced = Number(request.headers.get('content-length') ?? 0);
  if (announced > bodyLimitBytes) throw tooLarge();
  const text = await request.text();
  if (text.length > bodyLimitBytes) throw tooLarge();
  let body: unknown;
  try {
    body = text === '' ? {} : JSON.parse(text);
  } catch {
    throw new ProblemError({ code: 'malformed', message: 'The request body is not JSON.' });
  }
  if (!check(body)) throw new ProblemError(bodyProblem(check.errors![0]!));
  return body;
}

const tooLarge = (): ProblemError =>
  new ProblemError({ code: 'too-large', message: 'That is more than 8 MB, far more than any shelf or roster. Nothing was read.' });

function bodyProblem(error: ErrorObject): Problem {
  const at = error.instancePath.slice(1).replaceAll('/', '.');
  const join = (name: string): string => (at ? `${at}.${name}` : name);
  if (error.keyword === 'required') {
    const field = join((error.params as { missingProperty: string }).missingProperty);
    return { code: 'malformed', field, message: `"${field}" is missing.` };
  }
  if (error.keyword === 'additionalProperties') {
    const field = join((error.params as { additionalProperty: string }).additionalProperty);
    return { code: 'malformed', field, message: `"${field}" is not a field here.` };
  }
  const allowed = error.keyword === 'enum' ? `: ${(error.params as { allowedValues: unknown[] }).allowedValues.join(', ')}` : '';
  return { code: 'malformed', field: at, message: `${at ? `"${at}"` : 'The body'} ${error.message}${allowed}.` };
}

function problem(p: Problem, status = statusOf(p.code)): Response {
  return json(status, {
    error: {
      code: p.code,
      message: p.message,
      ...(p.field === undefined ? {} : { field: p.field }),
      ...(p.row === undefined ? {} : { row: p.row }),
      ...(p.detail === undefined ? {} : { detail: p.detail }),
    },
  });
}

function json(status: number, body: unknown, headers: Readonly<Record<string, string>> = {}): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
      ...headers,
    },
  });
}
