import { apiWire } from '../src/contract/wire/api';
import type { WireRoutes } from '../src/contract/wire/route';
import { Dice } from './dice';
import { Program, Score, type Told, today, Watch } from './program';
import { sample, type Schema, spoil } from './samples';
import { furnish, type World } from './world';

const oddPaths = [
  '',
  '..',
  '%2e%2e',
  '%00',
  '%ff',
  '%',
  'a%2Fb',
  'x'.repeat(3000),
  '🦉',
  "' OR 1=1 --",
  'null',
  'undefined',
  '-1',
  '__proto__',
];
const oddBodies = [
  '{',
  '[]',
  'null',
  '"text"',
  '1e999',
  '{"a":',
  '\u0000',
  '[[[[[[[[[[',
  `{"a":${'['.repeat(20_000)}${']'.repeat(20_000)}}`,
  'nickname=Wren',
];
const oddQueries = [
  'limit=0',
  'limit=-1',
  'limit=abc',
  'limit=1e9',
  'offset=-5',
  'today=yesterday',
  'today=2026-02-30',
  'nonsense=1',
  'wait=61',
  'limit=1&limit=2',
  'limit=%00',
];

/** Requests that no honest page sends, over every route: each is refused in words and changes nothing, or is fine after all. */
export async function drillBadRequests(seed: number, most: number): Promise<Score> {
  const score = new Score('bad requests over every route');
  const program = new Program();
  await program.start();
  let world = await furnish(program);
  let watch = new Watch(program.readBeside());
  watch.changed();
  const dice = new Dice(seed, 2);
  // Emptying everything and erasing children come last in each round, or nothing would be left to reach.
  const routes = Object.entries(apiWire as WireRoutes).filter(([address]) => address !== 'DELETE /workspace');
  for (let i = 0; i < most; i++) {
    const [address, route] = routes[i % routes.length]!;
    const [usual, template] = address.split(' ') as [string, string];
    const odd = dice.below(8);
    const method = odd === 0 ? dice.one(['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD']) : usual;
    const path = template.replace(/\{\w+\}/g, () => (odd === 1 ? dice.one(oddPaths) : encodeURIComponent(dice.one(world.ids))));
    const good = route.body ? sample(route.body as unknown as Schema, dice, world.ids) : undefined;
    const body =
      method === 'GET' || method === 'HEAD' ? undefined : odd === 2 ? dice.one(oddBodies) : quick(odd === 3 ? good : spoil(good, dice));
    const query = odd === 4 ? dice.one(oddQueries) : `today=${today}${route.job && method === 'POST' ? '&wait=0' : ''}`;
    const headers: Record<string, string> =
      odd === 5 ? { 'idempotency-key': dice.one(['', 'x'.repeat(4000), 'same', 'ü'.normalize('NFC').slice(0, 0) + 'k']) } : {};
    const told = await program.ask(method, `${path}?${query}`, body, headers);
    score.tried++;
    judge(score, `${method} ${path.slice(0, 80)}?${query} ${JSON.stringify(body)?.slice(0, 160) ?? ''}`, told, watch);
    if (told.body?.job) await program.ask('DELETE', `/jobs/${String(told.body.job)}`);
    if (told.status === 'no answer') {
      await program.kill();
      await program.start();
      watch = new Watch(program.readBeside());
      watch.changed();
    }
    // Some are fine after all and take things away; the world is furnished anew now and then.
    if (i % 1250 === 1249) world = await again(program, world);
    watch.changed();
  }
  await program.remove();
  return score;
}

/** A long work that was asked for by chance is asked for shortly. */
function quick(body: unknown): unknown {
  if (typeof body !== 'object' || body === null) return body;
  const b = body as Record<string, unknown>;
  return {
    ...b,
    ...(typeof b['games'] === 'number' && b['games'] > 2000 && b['games'] <= 2_000_000 ? { games: 2000 } : {}),
    ...(typeof b['seconds'] === 'number' && b['seconds'] > 1 && b['seconds'] <= 60 ? { seconds: 0.5 } : {}),
    ...(typeof b['secondsPerMeeting'] === 'number' ? { secondsPerMeeting: 0.05 } : {}),
  };
}

async function again(program: Program, world: World): Promise<World> {
  await program.ask('DELETE', '/workspace?confirm=empty');
  return furnish(program).catch(() => world);
}

/** An answer below 500 in time, with a code and a sentence where it refuses, and nothing changed then. */
export function judge(score: Score, what: string, told: Told, watch: Watch): void {
  if (typeof told.status !== 'number') return score.fail(`${what}: ${told.status} ${String(told.body).slice(0, 200)}`);
  if (told.status >= 500) return score.fail(`${what}: ${told.status} ${JSON.stringify(told.body)}`);
  if (told.milliseconds > 10_000) score.fail(`${what}: took ${Math.round(told.milliseconds)} ms`);
  if (told.status < 400) return score.note('fine after all');
  score.note(`refused with ${told.status}`);
  const error = told.body?.error as { code?: string; message?: string } | undefined;
  // A proxy-like refusal (method, address the server itself does not know) may come without our words.
  if (typeof told.body === 'object' && told.body !== null && (!error?.code || !error.message))
    score.fail(`${what}: refused without words ${JSON.stringify(told.body).slice(0, 200)}`);
  if (watch.changed()) score.fail(`${what}: refused with ${told.status}, yet something changed`);
}
