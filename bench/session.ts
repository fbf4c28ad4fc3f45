import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { shippedLibrary } from '../src/contract/shippedLibrary';
import { shippedGraph } from '../src/contract/shippedData';
import { addDays } from '../src/core/shared/days';
import { below, createRng, uniform } from '../src/core/shared/rng';
import { closeDb, openDb } from '../src/server/db/open';
import { kinds } from '../src/server/db/schema';
import { addEvidence, type EvidenceInput } from '../src/server/evidence/evidenceStore';
import { dispatch } from '../src/server/http/dispatch';
import { closePool } from '../src/server/jobs/pool';
import { insertLearners } from '../src/server/learners/learnerStore';
import { takeFromLibrary } from '../src/server/shelf/libraryRoutes';
import { putTerm } from '../src/server/term/termStore';

const today = '2026-11-10';
const noon = `${today}T12:00:00.000Z`;
const children = 30;
const notesEach = 25;
const weeks = 12;

/** What somebody at the board waits for: a check after an edit, a plan, a term, and other pages meanwhile. Through the API. */
export async function benchSession(): Promise<void> {
  const directory = mkdtempSync(join(tmpdir(), 'zeitgeber-session-'));
  process.env['ZEITGEBER_DATA'] = directory;
  fill();
  const names = Array.from({ length: children }, (_, i) => `child-${i + 1}`);
  const shape = { minutes: 15, helpers: 3 };
  const plan = await timed('a session of 30 in 4 rounds at 7 tables', () =>
    ask('/plans?wait=60', { ...shape, date: today, present: names, rounds: 4, tables: 7, seconds: 2 }),
  );
  const rounds = plan.rounds.map((r) => ({
    resting: r.resting,
    tables: r.tables.map((t) => ({ game: t.game, seats: t.seats.map(({ learner, variant }) => ({ learner, variant })) })),
  }));
  const took: number[] = [];
  for (let i = 0; i < 12; i++) {
    // Two children of one round change places, as by hand.
    const edited = structuredClone(rounds);
    const [a, b] = [edited[i % 4]!.tables[0]!, edited[i % 4]!.tables[1]!];
    const [x, y] = [a.seats[0]!.learner, b.seats[0]!.learner];
    a.seats[0] = { learner: y } as (typeof a.seats)[number];
    b.seats[0] = { learner: x } as (typeof b.seats)[number];
    const began = performance.now();
    await ask(`/plans/${plan.id}/check`, { rounds: edited });
    took.push(performance.now() - began);
  }
  took.sort((x, y) => x - y);
  console.log(
    `  a check after an edit: median ${took[6]!.toFixed(0)} ms, longest ${took.at(-1)!.toFixed(0)} ms (${(took[6]! / 100).toFixed(2)} of 100 ms)`,
  );
  putTerm(
    openDb(),
    {
      title: 'Bench',
      starts: today,
      ends: addDays(today, weeks * 7 - 1),
      weekdays: [2],
      startsAt: '10:00',
      rounds: 4,
      minutes: 15,
      tables: 6,
      helpers: 3,
    },
    noon,
  );
  let slowest = 0;
  const began = performance.now();
  const { job } = (await ask('/term/plan', {})) as unknown as { job: string };
  for (let status = ''; status !== 'done';) {
    const asked = performance.now();
    const state = (await ask(`/jobs/${job}`)) as unknown as { status: string; problem?: object };
    await ask('/learners?limit=5000');
    slowest = Math.max(slowest, performance.now() - asked);
    status = state.status;
    if (status === 'failed') throw new Error(JSON.stringify(state.problem));
    await new Promise((r) => setTimeout(r, 100));
  }
  const seconds = (performance.now() - began) / 1000;
  console.log(
    `  ${weeks} weeks of ${children} children, 4 rounds, 6 tables: ${seconds.toFixed(1)} s (${(seconds / 40).toFixed(2)} of 40 s); other pages answered within ${slowest.toFixed(0)} ms meanwhile (asked 200)`,
  );
  await closePool();
  closeDb();
  rmSync(directory, { recursive: true, force: true });
}

interface Plan {
  readonly id: string;
  readonly rounds: { resting: string[]; tables: { game: string; seats: { learner: string; variant: string }[] }[] }[];
}

async function timed(what: string, run: () => Promise<Plan>): Promise<Plan> {
  const cpu = process.cpuUsage();
  const began = performance.now();
  const made = await run();
  const { user, system } = process.cpuUsage(cpu);
  console.log(`  ${what}: ${((performance.now() - began) / 1000).toFixed(1)} s, ${((user + system) / 1e6).toFixed(1)} CPU s`);
  return made;
}

async function ask(path: string, body?: object): Promise<Plan> {
  const address = `http://127.0.0.1/api/v1${path}${path.includes('?') ? '&' : '?'}today=${today}`;
  const request = new Request(address, body ? { method: 'POST', body: JSON.stringify(body) } : {});
  const response = await dispatch(request, new URL(address).pathname.replace('/api/v1', ''));
  if (response.status >= 400) throw new Error(`${path}: ${await response.text()}`);
  return (await response.json()) as Plan;
}

function fill(): void {
  const db = openDb();
  const rng = createRng(12);
  db.transaction((tx) =>
    insertLearners(
      tx,
      Array.from({ length: children }, (_, i) => ({
        nickname: `Child ${i + 1}`,
        born: `${2015 + (i % 7)}-0${1 + (i % 9)}`,
        group: 'Room',
      })),
      addDays(today, -200),
      noon,
    ),
  );
  for (const game of shippedLibrary) takeFromLibrary(db, game.id, noon);
  db.update(kinds).set({ quantity: 40 }).run();
  const skills = shippedGraph().skills;
  for (let c = 1; c <= children; c++) {
    const age = 11 - ((c - 1) % 7);
    const notes = Array.from({ length: notesEach }, (_, i): EvidenceInput => {
      const skill = skills[below(rng, skills.length)]!;
      const right = uniform(rng) < 1 / (1 + Math.exp(-1.6 * (age - skill.wantedAt.us)));
      return { learner: `child-${c}`, at: addDays(today, -100 + 3 * i), kind: 'note', skill: skill.id, result: right ? 'alone' : 'stuck' };
    });
    addEvidence(db, notes, today, noon);
  }
}
