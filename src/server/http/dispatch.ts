import Ajv2020 from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { ValidateFunction } from 'ajv';
import type { Problem } from '../../core/shared/codes';
import { isDay } from '../../core/shared/days';
import type { Db } from '../db/db';
import { openDb } from '../db/open';
import { momentNow, momentOn, todayHere, zoneHere } from '../shared/clock';
import { log } from '../shared/log';
import { StartupError } from '../shared/startupError';
import { makeReady } from '../workspace/makeReady';
import { bodyProblem } from './bodyProblem';
import { keepAnswer, onceOnly, pruneIdempotency, type Sent, sentOf } from './idempotency';
import { ProblemError, refuse, statusOf } from './problemError';
import { parseJson, readText } from './readBody';
import { Commit, Reply, type Route } from './route';
import { routes } from './routes';

const ajv = new Ajv2020({ allErrors: false, strict: false, coerceTypes: false, useDefaults: false });
addFormats(ajv);

interface Compiled {
  readonly route: Route;
  readonly pattern: RegExp;
  readonly names: readonly string[];
  readonly checkBody: ValidateFunction | null;
  readonly query: ReadonlyMap<string, ValidateFunction>;
}

const compiled: Compiled[] = routes.map((route) => {
  const names = [...route.path.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!);
  const pattern = new RegExp(`^${route.path.replaceAll('.', '\\.').replace(/\{\w+\}/g, '([^/]+)')}$`);
  const query = new Map(Object.entries(route.query ?? {}).map(([name, schema]) => [name, ajv.compile(schema)]));
  return { route, pattern, names, checkBody: route.body ? ajv.compile(route.body) : null, query };
});

type Asked = Parameters<Route['handle']>[0];

/** Writes after which kept answers are looked through once. */
const pruneEvery = 500;
let writes = 0;

/** Answers one API request: find the route, parse, run the use case, respond. */
export async function dispatch(request: Request, path: string): Promise<Response> {
  const id = crypto.randomUUID().slice(0, 8);
  try {
    return await answer(request, path);
  } catch (error) {
    return failure(error, id, `${request.method} ${path}`);
  }
}

/** Says what went wrong; what was not foreseen is told by the id under which the log has it. */
function failure(error: unknown, id: string, what: string): Response {
  if (error instanceof ProblemError) return problem(error.problem, error.status);
  if (error instanceof StartupError) return problem(error.problem, 503);
  const code = (error as { code?: string }).code ?? '';
  log().error(
    { request: id, what, error: error instanceof Error ? { message: error.message, stack: error.stack, code } : String(error) },
    'request failed',
  );
  // A transaction that found no room was rolled back whole.
  if (code === 'SQLITE_FULL' || code === 'ENOSPC')
    return problem({ code: 'no-room', message: 'There is no room left on the disk, so this was not saved. Make room and try again.' }, 507);
  if (code.startsWith('SQLITE_IOERR') || code.startsWith('SQLITE_READONLY') || code.startsWith('SQLITE_CORRUPT'))
    return problem(
      {
        code: 'damaged',
        message: `The database could not be read or written (${code}). Check the disk; if it stays so, put a copy of the data directory in its place if you kept one.`,
      },
      503,
    );
  return problem(
    {
      code: 'internal',
      message: `Something went wrong inside the program. The log has it under ${id}. Look whether it was saved before you try again.`,
      detail: { request: id },
    },
    500,
  );
}

let begun = false;

/** The first request of a program that was just started sets off what the others will find ready. */
function readyOnce(db: Db, today: string): void {
  if (begun || process.env['ZEITGEBER_SERVER'] !== '1') return;
  begun = true;
  makeReady(db, today).catch((error: unknown) => log().warn({ error: String(error) }, 'not everything was made ready'));
}

async function answer(request: Request, path: string): Promise<Response> {
  const matching = compiled.filter((c) => c.pattern.test(path));
  if (matching.length === 0)
    throw new ProblemError({ code: 'not-found', message: `There is no ${path} in this interface. See /api/v1/openapi.json.` });
  const found = matching.find((c) => c.route.method === request.method);
  if (!found) return problem({ code: 'malformed', message: `${path} does not take ${request.method}.` }, 405);
  const url = new URL(request.url);
  const { today: asked, ...given } = Object.fromEntries(url.searchParams);
  if (asked !== undefined && !isDay(asked)) throw refuse('malformed', `"${asked}" is not a day like 2026-11-10.`, 'today');
  const today = asked ?? todayHere();
  const query = readQuery(found, given);
  const params = Object.fromEntries(found.names.map((name, i) => [name, decode(found.pattern.exec(path)![i + 1]!)]));
  const body = found.checkBody ? checkedBody(parseJson(await readText(request)), found.checkBody) : null;
  const db = openDb();
  readyOnce(db, today);
  // A file that is asked for changes nothing, so there is no answer to keep.
  const key = request.method === 'GET' || found.route.media ? null : request.headers.get('idempotency-key');
  const context: Asked = { db, params, query: query as never, body: body as null, today, now: momentOn(today), zone: zoneHere(), key };
  if (!key) return respond(found.route, replyOf(found.route, await run(found.route, context, null)));
  const sent = sentOf(key, `${request.method} ${path}`, url.search, body);
  if (++writes % pruneEvery === 1) pruneIdempotency(db, momentNow());
  let reply: Reply | null = null;
  const kept = await onceOnly(db, sent, async () => {
    reply = replyOf(found.route, await run(found.route, context, sent));
    return { status: reply.status, body: reply.body };
  });
  return reply ? respond(found.route, reply) : json(kept.status, kept.body);
}

/** Runs the use case; with a key, its work and the kept answer are one transaction. */
async function run(route: Route, context: Asked, sent: Sent | null): Promise<unknown> {
  const { db } = context;
  const finish = (work: () => unknown): unknown =>
    sent === null
      ? work()
      : db.transaction((tx) => {
          const result = work();
          keepAnswer(tx, sent, replyOf(route, result));
          return result;
        });
  if (!route.waits) return finish(() => route.handle(context));
  const result = await route.handle(context);
  if (result instanceof Commit) return finish(result.work);
  // Where work goes on as a job there is no answer yet to keep; what it stores has an id made of the key.
  const reply = replyOf(route, result);
  if (sent && reply.status !== 202) keepAnswer(db, sent, reply);
  return result;
}

const replyOf = (route: Route, result: unknown): Reply => (result instanceof Reply ? result : new Reply(route.status ?? 200, result));

function respond(route: Route, reply: Reply): Response {
  const headers = { 'cache-control': 'no-store', 'x-content-type-options': 'nosniff', ...reply.headers };
  if (typeof reply.body === 'string')
    return new Response(reply.body, {
      status: reply.status,
      headers: { 'content-type': route.media ?? 'text/plain; charset=utf-8', ...headers },
    });
  if (reply.body instanceof Uint8Array)
    return new Response(Buffer.from(reply.body), {
      status: reply.status,
      headers: { 'content-type': route.media ?? 'application/octet-stream', ...headers },
    });
  return json(reply.status, reply.body, reply.headers);
}

function decode(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    throw refuse('malformed', 'The address holds a broken % sign.');
  }
}

/** Query texts by the same checker as bodies: numbers are read as numbers, names must be known. */
function readQuery(found: Compiled, given: Readonly<Record<string, string>>): Readonly<Record<string, string | number>> {
  const query: Record<string, string | number> = {};
  for (const [name, text] of Object.entries(given)) {
    const check = found.query.get(name);
    if (!check) throw refuse('malformed', `This address takes no "${name}".`, name);
    const { type } = found.route.query![name] as { type?: string };
    const value = type === 'integer' || type === 'number' ? (text.trim() === '' ? NaN : Number(text)) : text;
    if (typeof value === 'number' && !Number.isFinite(value)) throw refuse('malformed', `"${name}" must be a number, not "${text}".`, name);
    if (!check(value)) {
      const { message } = bodyProblem({ ...check.errors![0]!, instancePath: `/${name}` });
      throw refuse('malformed', message.replace(/\.$/, `, not "${text}".`), name);
    }
    query[name] = value;
  }
  return query;
}

function checkedBody(body: unknown, check: ValidateFunction): unknown {
  if (!check(body)) throw new ProblemError(bodyProblem(check.errors![0]!));
  return body;
}

function problem(p: Problem, status = statusOf(p.code)): Response {
  const { code, message, field, row, detail } = p;
  return json(status, { error: { code, message, field, row, detail } });
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
