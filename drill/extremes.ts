import { apiWire } from '../src/contract/wire/api';
import type { WireRoutes } from '../src/contract/wire/route';
import { judge } from './badRequests';
import { Dice } from './dice';
import { Program, Score, today, Watch } from './program';
import { edges, sample, type Schema } from './samples';
import { furnish } from './world';

/** Long work at its longest is not what this drill asks about: it is begun as a job and stopped. */
const skipped = new Set(['DELETE /workspace']);

/** Every body at the edges of what its schema takes, one place at a time: longest texts and lists, least and greatest numbers. */
export async function drillExtremes(seed: number): Promise<Score> {
  const score = new Score('extremes within the schema');
  const program = new Program();
  await program.start();
  const world = await furnish(program);
  const watch = new Watch(program.readBeside());
  const dice = new Dice(seed, 4);
  for (const [address, route] of Object.entries(apiWire as WireRoutes)) {
    if (!route.body || skipped.has(address)) continue;
    const [method, template] = address.split(' ') as [string, string];
    const usual = sample(route.body as unknown as Schema, dice, world.ids);
    for (const body of edges(route.body as unknown as Schema, usual)) {
      const path = template.replace(/\{\w+\}/g, () => encodeURIComponent(template.includes('/plans/') ? world.plan : dice.one(world.ids)));
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
