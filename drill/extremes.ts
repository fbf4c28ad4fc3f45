import { apiWire } from '../src/contract/wire/api';
import type { WireRoutes } from '../src/contract/wire/route';
import { judge } from './badRequests';
import { Program, Score, today, Watch } from './program';
import { edges, type Schema } from './samples';
import { furnish, honest, reach } from './world';

/** Long work at its longest is not what this drill asks about: it is begun as a job and stopped. */
const skipped = new Set(['DELETE /workspace']);

/** Every body at the edges of what its schema takes, one place at a time: longest texts and lists, least and greatest numbers. */
export async function drillExtremes(): Promise<Score> {
  const score = new Score('extremes within the schema');
  const program = new Program();
  await program.start();
  const world = await furnish(program);
  const watch = new Watch(program.readBeside());
  for (const [address, route] of Object.entries(apiWire as WireRoutes)) {
    if (!route.body || skipped.has(address)) continue;
    const [method, template] = address.split(' ') as [string, string];
    const path = reach(template, world);
    const schema = route.body as unknown as Schema;
    const versioned = 'version' in ((schema['properties'] ?? {}) as object);
    for (const body of edges(schema, honest(address, world))) {
      const whole = body as Record<string, unknown>;
      if (versioned && whole['version'] === undefined) whole['version'] = await versionOf(program, path);
      watch.changed();
      const told = await program.ask(method, `${path}?today=${today}${route.job ? '&wait=0' : ''}`, body);
      score.tried++;
      const text = JSON.stringify(body);
      judge(score, `${address} ${text.length > 160 ? `${text.slice(0, 120)} … (${text.length} letters)` : text}`, told, watch);
      if (told.body?.job) await program.ask('DELETE', `/jobs/${String(told.body.job)}`);
    }
  }
  await program.remove();
  return score;
}

/** The version that a page would have seen. */
async function versionOf(program: Program, path: string): Promise<number> {
  const [, what, id] = path.split('/');
  if (what === 'skills') {
    const { body } = await program.ask('GET', '/skills/own');
    return (body.skills as { id: string; version: number }[]).find((s) => s.id === id)?.version ?? 1;
  }
  return ((await program.ask('GET', `/${what}/${id}`)).body.version as number | undefined) ?? 1;
}
