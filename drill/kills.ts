import { Dice } from './dice';
import { Program, Score, today } from './program';

interface Write {
  readonly key: string;
  readonly path: string;
  readonly body: Record<string, unknown>;
  /** Where it can be seen, and by which text. */
  readonly seen: { readonly list: string; readonly field: string; readonly text: string };
}

const write = (kind: number, n: number, learner: string): Write => {
  const key = `kill-${n}`;
  if (kind === 0)
    return {
      key,
      path: '/learners',
      body: { nickname: `Child ${n}`, born: '2018-04', group: 'Hill' },
      seen: { list: '/learners', field: 'nickname', text: `Child ${n}` },
    };
  if (kind === 1)
    return { key, path: '/games', body: { title: `Game ${n}`, bin: 'Bees' }, seen: { list: '/games', field: 'title', text: `Game ${n}` } };
  if (kind === 2)
    return {
      key,
      path: '/evidence/batch',
      body: { items: [1, 2, 3].map(() => ({ learner, kind: 'statement', skill: 'make-ten', result: 'alone' })) },
      seen: { list: `/evidence?learner=${learner}`, field: 'id', text: '' },
    };
  return {
    key,
    path: '/imports/roster',
    body: { text: `nickname,born\nA ${n},2018-04\nB ${n},2018-05\nC ${n},2018-06`, commit: true },
    seen: { list: '/learners', field: 'nickname', text: `A ${n}` },
  };
};

/** The plug is pulled while writes are under way: what was confirmed is there, and what was not is whole or not at all. */
export async function drillKills(seed: number, kills: number): Promise<Score> {
  const score = new Score('hard kills during writes');
  const dice = new Dice(seed, 1);
  const program = new Program();
  const confirmed: Write[] = [];
  let n = 0;
  await program.start();
  const { body: first } = await program.ask('POST', '/learners', { nickname: 'Wren', born: '2018-09' });
  const learner = first.id as string;
  let notes = 0;
  for (let kill = 0; kill < kills; kill++) {
    score.tried++;
    const pending: Write[] = [];
    let going = true;
    const stream = (async () => {
      while (going) {
        const w = write(dice.below(4), ++n, learner);
        pending.push(w);
        const told = await program.ask('POST', `${w.path}?today=${today}`, w.body, { 'idempotency-key': w.key });
        if (typeof told.status === 'number' && told.status < 300) {
          confirmed.push(w);
          if (w.path === '/evidence/batch') notes += 3;
          pending.splice(pending.indexOf(w), 1);
        } else if (told.status !== 'no answer') score.fail(`${w.path} answered ${told.status}: ${JSON.stringify(told.body)}`);
        else break;
      }
    })();
    await new Promise((r) => setTimeout(r, 20 + dice.below(300)));
    await program.kill();
    going = false;
    await stream;
    await program.start();
    const db = program.readBeside();
    if (db.pragma('integrity_check', { simple: true }) !== 'ok') score.fail(`kill ${kill}: the database is not whole`);
    db.close();
    // What was not confirmed is sent again under its key, and then stands exactly once.
    for (const w of pending) {
      score.note('writes sent again');
      const told = await program.ask('POST', `${w.path}?today=${today}`, w.body, { 'idempotency-key': w.key });
      if (typeof told.status !== 'number' || told.status >= 300)
        score.fail(`kill ${kill}: ${w.path} sent again answered ${told.status}: ${JSON.stringify(told.body)}`);
      else {
        confirmed.push(w);
        if (w.path === '/evidence/batch') notes += 3;
      }
    }
    const seen = new Map<string, string[]>();
    for (const list of ['/learners', '/games'])
      seen.set(
        list,
        ((await program.ask('GET', `${list}?limit=5000`)).body.items as Record<string, string>[]).map((x) => x['nickname'] ?? x['title']!),
      );
    for (const w of confirmed.slice(-40).filter((x) => x.path !== '/evidence/batch')) {
      const found = seen.get(w.seen.list)!.filter((t) => t === w.seen.text).length;
      if (found !== 1) score.fail(`kill ${kill}: “${w.seen.text}” was confirmed and stands ${found} times`);
    }
    const stand = (await program.ask('GET', `/evidence?learner=${learner}&limit=1`)).body.total as number;
    if (stand !== notes) score.fail(`kill ${kill}: ${notes} notes were confirmed, ${stand} stand`);
  }
  score.notes.set('writes confirmed', confirmed.length);
  await program.remove();
  return score;
}
