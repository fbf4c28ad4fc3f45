import { Program, Score, type Told, today } from './program';
import { furnish, ownSkill, type World } from './world';

interface Versioned {
  readonly version: number;
}

interface Contest {
  readonly what: string;
  readonly method: string;
  readonly path: string;
  readonly bodies: (round: number, version: number) => readonly [object, object];
  /** Where the version and the result are read; absent where the last one counts. */
  readonly read?: string;
  /** The thing in a list that was read. */
  readonly thing?: (told: Told) => Versioned;
  /** What of the read thing one of the two must have won. */
  readonly pick: (told: Told) => unknown;
  readonly wanted: (body: object) => unknown;
}

const contests = (w: World, own: string): Contest[] => {
  const field = (name: string) => ({
    pick: (t: Told) => t.body[name] as unknown,
    wanted: (b: object) => (b as Record<string, unknown>)[name],
  });
  return [
    {
      what: 'a game',
      method: 'PATCH',
      path: `/games/${w.games[0]!}`,
      read: `/games/${w.games[0]!}`,
      bodies: (r, version) => [
        { notes: `a${r}`, version },
        { notes: `b${r}`, version },
      ],
      ...field('notes'),
    },
    {
      what: 'a version',
      method: 'PATCH',
      path: `/variants/${w.variants[0]!}`,
      read: `/variants/${w.variants[0]!}`,
      bodies: (r, version) => [
        { minutes: 10 + r, version },
        { minutes: 60 + r, version },
      ],
      ...field('minutes'),
    },
    {
      what: 'a learner',
      method: 'PATCH',
      path: `/learners/${w.learners[0]!}`,
      read: `/learners/${w.learners[0]!}`,
      bodies: (r, version) => [
        { actions: [`a${r}`], version },
        { actions: [`b${r}`], version },
      ],
      pick: (t) => JSON.stringify(t.body.actions),
      wanted: (b) => JSON.stringify((b as { actions: string[] }).actions),
    },
    {
      what: 'an own skill',
      method: 'PUT',
      path: `/skills/${own}`,
      read: '/skills/own',
      thing: (t) => (t.body.skills as (Versioned & { id: string })[]).find((s) => s.id === own)!,
      bodies: (r, version) => [skill(`Own a${r}`, version), skill(`Own b${r}`, version)],
      pick: (t) => (t.body.skills as { id: string; title: string }[]).find((s) => s.id === own)!.title,
      wanted: (b) => (b as { title: string }).title,
    },
    {
      what: 'a session',
      method: 'PUT',
      path: `/plans/${w.plan}`,
      read: `/plans/${w.plan}`,
      bodies: (r, version) => [
        { rounds: [{ tables: [], resting: w.learners.slice(0, 3 + (r % 2)) }], version },
        { rounds: [{ tables: [], resting: w.learners.slice(0, 1 + (r % 2)) }], version },
      ],
      pick: (t) => (t.body.rounds[0].resting as string[]).length,
      wanted: (b) => (b as { rounds: { resting: string[] }[] }).rounds[0]!.resting.length,
    },
    {
      what: 'a meeting',
      method: 'PATCH',
      path: `/meetings/${w.meeting}`,
      read: '/term',
      thing: (t) => (t.body.meetings as (Versioned & { id: string })[]).find((m) => m.id === w.meeting)!,
      bodies: (r, version) => [
        { minutes: 10 + r, version },
        { minutes: 40 + r, version },
      ],
      pick: (t) => (t.body.meetings as { id: string; minutes: number }[]).find((m) => m.id === w.meeting)!.minutes,
      wanted: (b) => (b as { minutes: number }).minutes,
    },
  ];
};

const skill = (title: string, version: number): object => ({ ...ownSkill(title), ...(version > 0 ? { version } : {}) });

/** Two people change the same thing at once, seeing the same version: one is told, and what stands is what the other wrote. */
export async function drillWriters(rounds: number): Promise<Score> {
  const score = new Score('two writers on everything');
  const program = new Program();
  await program.start();
  const world = await furnish(program);
  const at = (path: string): string => `${path}${path.includes('?') ? '&' : '?'}today=${today}`;
  const own = world.skill;
  for (const c of contests(world, own))
    for (let r = 0; r < rounds; r++) {
      score.tried++;
      const before = await program.ask('GET', at(c.read!));
      const { version } = c.thing?.(before) ?? (before.body as Versioned);
      const bodies = c.bodies(r, version);
      const told = await Promise.all(bodies.map((b) => program.ask(c.method, at(c.path), b)));
      const won = told.map((t) => typeof t.status === 'number' && t.status < 300);
      if (won.filter(Boolean).length !== 1 || !told.some((t) => t.status === 409)) {
        score.fail(`${c.what}, round ${r}: ${told.map((t) => `${t.status} ${JSON.stringify(t.body).slice(0, 120)}`).join(' and ')}`);
        continue;
      }
      const stands = c.pick(await program.ask('GET', at(c.read!)));
      if (stands !== c.wanted(bodies[won[0] ? 0 : 1])) score.fail(`${c.what}, round ${r}: ${JSON.stringify(stands)} stands`);
    }
  // The same write twice at once, under one key: once only.
  for (let r = 0; r < rounds; r++) {
    score.tried++;
    const send = () => program.ask('POST', at('/learners'), { nickname: `Twin ${r}`, born: '2018-04' }, { 'idempotency-key': `twin-${r}` });
    const told = await Promise.all([send(), send(), send()]);
    const { body } = await program.ask('GET', at('/learners?limit=5000'));
    const n = (body.items as { nickname: string }[]).filter((l) => l.nickname === `Twin ${r}`).length;
    if (n !== 1 || told.some((t) => t.status !== 201))
      score.fail(`one key, round ${r}: stands ${n} times; ${told.map((t) => t.status).join(', ')}`);
  }
  // Things without a version: the last counts, nobody gets an error of the program, and one of both stands.
  for (let r = 0; r < rounds; r++) {
    score.tried++;
    const kind = (await program.ask('GET', at('/kinds?limit=1'))).body.items[0].id as string;
    const told = await Promise.all([r + 1, r + 100].map((quantity) => program.ask('PUT', at(`/kinds/${kind}/stock`), { quantity })));
    const stands = (await program.ask('GET', at('/kinds?limit=1'))).body.items[0].quantity as number;
    if (told.some((t) => t.status !== 200) || ![r + 1, r + 100].includes(stands))
      score.fail(`stock, round ${r}: ${told.map((t) => t.status).join(', ')}, stands ${stands}`);
    const taken = await Promise.all([1, 2].map(() => program.ask('POST', at('/library/branch-line/take'), {})));
    if (taken.filter((t) => t.status === 201).length !== 1)
      score.fail(`a library game, round ${r}: ${taken.map((t) => t.status).join(', ')}`);
    const change = taken.find((t) => t.status === 201)?.body.change as string;
    const undone = await Promise.all([1, 2].map(() => program.ask('POST', at('/undo'), { change })));
    if (undone.filter((t) => t.status === 200).length !== 1 || undone.some((t) => typeof t.status !== 'number' || t.status >= 500))
      score.fail(`undo, round ${r}: ${undone.map((t) => `${t.status} ${JSON.stringify(t.body).slice(0, 100)}`).join(' and ')}`);
  }
  await program.remove();
  return score;
}
