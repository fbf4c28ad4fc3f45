import { readFileSync } from 'node:fs';
import { type Program, today } from './program';

/** Names of things that are there, for requests that should reach further than the first check. */
export interface World {
  readonly learners: readonly string[];
  readonly games: readonly string[];
  readonly variants: readonly string[];
  readonly plan: string;
  readonly meeting: string;
  readonly skill: string;
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
  const skill = (await must('POST', '/skills', ownSkill('Own'))).id as string;
  const skills = ['make-ten', 'add-in-20', 'pairs-of-10'];
  return {
    learners,
    games,
    variants,
    plan: plan.id,
    meeting,
    skill,
    ids: [...learners, ...games, ...variants, plan.id, meeting, ...skills],
  };
}

export const ownSkill = (title: string): Record<string, unknown> => ({
  title,
  looksLike: 'Says it.',
  strand: 'add',
  nature: 'concept',
  wantedAt: { us: 7, england: 7 },
  predicate: null,
  whyNoItems: 'A talk.',
});

/** An address that leads to something that is there. */
export const reach = (template: string, w: World): string =>
  template
    .replace('/learners/{id}', `/learners/${w.learners[0]!}`)
    .replace('/games/{id}', `/games/${w.games[0]!}`)
    .replace('/variants/{id}', `/variants/${w.variants[0]!}`)
    .replace('/plans/{id}', `/plans/${w.plan}`)
    .replace('/meetings/{id}', `/meetings/${w.meeting}`)
    .replace('/skills/{id}', `/skills/${w.skill}`)
    .replace('/kinds/{id}', '/kinds/pegs')
    .replace('/frameworks/{id}', '/frameworks/us')
    .replace(/\{\w+\}/g, 'none');

/** A body that the route takes as it is, to be pulled to its edges one place at a time. */
export function honest(address: string, w: World): Record<string, unknown> {
  const [learner] = w.learners;
  const session = { present: w.learners.slice(0, 3), rounds: 1, minutes: 15, tables: 2, helpers: 1 };
  const note = { learner, kind: 'note', skill: 'make-ten', result: 'alone' };
  const table = { mechanism: 'running-total', seats: 2, seed: 7 };
  const bodies: Readonly<Record<string, Record<string, unknown>>> = {
    'POST /learners': { nickname: 'Edge', born: '2018-04' },
    'POST /games': { title: 'Edge' },
    'POST /variants': { title: 'Edge', game: w.games[0] },
    'POST /skills': ownSkill('Edge'),
    'PUT /skills/{id}': ownSkill('Own'),
    'POST /skills/examples': { predicate: { op: 'add' } },
    'POST /skills/{id}/needs': { id: 'make-ten', sort: 'idea' },
    'POST /evidence': note,
    'POST /evidence/batch': { items: [note] },
    'POST /learners/{id}/placement': { answers: [{ skill: 'make-ten', result: 'alone' }] },
    'POST /recommendations': { learners: [learner] },
    'POST /plans': { ...session, seconds: 0.2 },
    'POST /plans/{id}/instead': { rounds: [{ tables: [], resting: w.learners.slice(0, 6) }], round: 0, table: 0 },
    'POST /plans/{id}/replan': { seconds: 0.2 },
    'PUT /plans/{id}': { rounds: [{ tables: [], resting: w.learners.slice(0, 6) }] },
    'POST /plans/{id}/check': { rounds: [{ tables: [], resting: w.learners.slice(0, 6) }] },
    'PUT /plans/{id}/gather': { item: 'none', ticked: true },
    'PUT /term': {
      ...session,
      present: undefined,
      title: 'Autumn',
      starts: '2026-11-02',
      ends: '2026-12-04',
      weekdays: [2],
      startsAt: '10:00',
    },
    'PUT /kinds/{id}/stock': { quantity: 3 },
    'POST /simulations': { ...table, games: 200 },
    'POST /fairness': table,
    'POST /changes': { ...table, wish: 'more-subtraction' },
    'POST /stories': table,
    'POST /frameworks/{id}/ties': { ties: [{ identifier: 'none', skill: 'make-ten', relation: 'same' }] },
    'POST /imports/framework': { text: '{}' },
    'POST /imports/shelf': { text: 'game\nEdge' },
    'POST /imports/roster': { text: 'nickname,born\nEdge,2018-04' },
    'POST /imports/evidence': { text: `learner,day,skill,result\n${learner},2026-11-10,make-ten,alone` },
  };
  return bodies[address] ?? {};
}
