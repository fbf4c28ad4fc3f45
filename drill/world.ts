import { readFileSync } from 'node:fs';
import { type Program, today } from './program';

/** Names of things that are there, for requests that should reach further than the first check. */
export interface World {
  readonly learners: readonly string[];
  readonly games: readonly string[];
  readonly variants: readonly string[];
  readonly plan: string;
  readonly meeting: string;
  readonly ids: readonly string[];
}

const base64 = (file: string): string => readFileSync(file).toString('base64');

/** A small shelf, a roster, notes, a term and a session, brought in as a person would. */
export async function furnish(program: Program): Promise<World> {
  const must = async (method: string, path: string, body?: unknown) => {
    const told = await program.ask(method, `${path}${path.includes('?') ? '&' : '?'}today=${today}`, body);
    if (typeof told.status !== 'number' || told.status >= 300) throw new Error(`${method} ${path}: ${JSON.stringify(told).slice(0, 300)}`);
    return told.body;
  };
  await must('POST', '/imports/shelf', { base64: base64('examples/shelf.csv'), commit: true });
  await must('POST', '/imports/roster', { base64: base64('examples/roster.csv'), commit: true });
  await must('PUT', '/term', {
    title: 'Autumn',
    starts: '2026-11-02',
    ends: '2026-12-04',
    weekdays: [2],
    startsAt: '10:00',
    rounds: 2,
    minutes: 15,
    tables: 3,
    helpers: 1,
  });
  const idsOf = async (path: string): Promise<string[]> =>
    ((await must('GET', `${path}?limit=200`)).items as { id: string }[]).map((x) => x.id);
  const learners = await idsOf('/learners');
  const games = await idsOf('/games');
  const variants = await idsOf('/variants');
  for (const learner of learners) await must('POST', '/evidence', { learner, kind: 'note', skill: 'make-ten', result: 'alone' });
  const plan = await must('POST', '/plans?wait=60', {
    date: today,
    present: learners.slice(0, 6),
    rounds: 2,
    minutes: 15,
    tables: 3,
    helpers: 1,
    seconds: 0.5,
  });
  const meeting = (await must('GET', '/term')).meetings[0].id as string;
  const skills = ['make-ten', 'add-in-20', 'pairs-of-10'];
  return { learners, games, variants, plan: plan.id, meeting, ids: [...learners, ...games, ...variants, plan.id, meeting, ...skills] };
}
