import { eq, lt } from 'drizzle-orm';
import { shippedGraph } from '../contract/shippedData';
import { createRng, uniform } from '../core/shared/rng';
import type { Db } from '../server/db/db';
import { openDb } from '../server/db/open';
import { games, meetings, plans, settings } from '../server/db/schema';
import { addEvidence, type EvidenceInput } from '../server/evidence/evidenceStore';
import { closePool } from '../server/jobs/pool';
import { createLearner } from '../server/learners/learnerStore';
import { planById, startPlan } from '../server/planning/planStore';
import { wirePlan } from '../server/planning/wirePlan';
import { offersOf } from '../server/shelf/offers';
import { createGame, createVariant, setStock } from '../server/shelf/shelfStore';
import { putTerm } from '../server/term/termStore';
import { demoGames, type DemoLearner, demoLearners, demoStock } from './world';

const daysBefore = (day: string, n: number): string => new Date(Date.parse(day) - n * 86_400_000).toISOString().slice(0, 10);
const seedOfWorld = 20;

/** Brings the demo world in, dated around `today`. Everything in it is invented; the same day gives the same world. */
export async function seedDemo(today: string): Promise<void> {
  const db = openDb();
  if (db.select().from(games).all().length > 0) return;
  const termStart = daysBefore(today, 7);
  const noon = (day: string): string => `${day}T10:00:00.000Z`;
  for (const { variants, ...game } of demoGames) {
    const { id } = createGame(db, game, noon(termStart));
    for (const v of variants) createVariant(db, id, v);
  }
  for (const [kind, quantity] of Object.entries(demoStock)) setStock(db, kind, quantity);
  const ids = new Map<string, DemoLearner>();
  for (const l of demoLearners) {
    const born = new Date(Date.parse(today) - l.ageMonths * 30.4375 * 86_400_000).toISOString().slice(0, 7);
    const { id } = createLearner(db, { nickname: l.nickname, born, framework: 'us', group: l.group, supportsInUse: [...(l.supportsInUse ?? [])], actions: [...(l.actions ?? [])] }, termStart, noon(termStart));
    ids.set(id, l);
  }
  const weekday = (day: string): number => new Date(day).getUTCDay() || 7;
  putTerm(db, { title: 'Signal Box co-op', starts: daysBefore(termStart, weekday(termStart) - 1), ends: daysBefore(termStart, weekday(termStart) - 1 - 7 * 8 + 1), weekdays: [weekday(today), weekday(daysBefore(today, 4))], startsAt: '10:00', rounds: 3, minutes: 15, tables: 4, helpers: 3 });
  db.delete(meetings).where(lt(meetings.date, daysBefore(today, 7))).run();
  for (const [id, l] of ids) addEvidence(db, placementOf(id, l, daysBefore(today, 8)), today, noon(today));
  await offersOf(db);
  for (const [i, day] of [daysBefore(today, 7), daysBefore(today, 4)].entries()) await playedSession(db, day, today, ids, i);
  const job = await (await startPlan(db, sessionRequest(today, [...ids.keys()]), today, noon(today))).finished;
  if (job.status !== 'done') throw new Error(job.problem?.message);
  // Profiles at the sizes the plans use, so that no page waits for them.
  for (const p of db.select().from(plans).all()) await wirePlan(db, p);
  db.insert(settings).values({ key: 'demo', value: today }).onConflictDoNothing().run();
}

const sessionRequest = (date: string, present: string[]) => ({ date, present, rounds: 3, minutes: 15, tables: 4, helpers: 3, seed: seedOfWorld, seconds: 1 });

function levelOf(l: DemoLearner, strand: string): number {
  return l.ageMonths / 12 + (l.ahead[strand] ?? 0);
}

/** A ladder walk in every strand around the child's level. */
function placementOf(id: string, l: DemoLearner, day: string): EvidenceInput[] {
  const graph = shippedGraph();
  return graph.strands.flatMap((strand) => {
    const level = levelOf(l, strand.id);
    const ladder = strand.skills.map((s) => graph.skills[graph.indexOf.get(s)!]!).filter((s) => Math.abs(s.wantedAt.us - level) < 1.1);
    return ladder.map((s): EvidenceInput => {
      const gap = level - s.wantedAt.us;
      return { learner: id, at: `${day}T10:00:00Z`, kind: 'placement', skill: s.id, result: gap > 0.15 ? 'alone' : gap > -0.3 ? 'support' : 'stuck', by: { role: 'organiser' } };
    });
  });
}

/** Plans a past day, plays it and notes what helpers would have noted. */
async function playedSession(db: Db, day: string, today: string, ids: ReadonlyMap<string, DemoLearner>, index: number): Promise<void> {
  const present = [...ids.keys()].filter((_, i) => index === 0 || i !== 2);
  const job = await (await startPlan(db, { ...sessionRequest(day, present), seed: seedOfWorld + index }, day, `${day}T09:00:00.000Z`)).finished;
  if (job.status !== 'done') throw new Error(job.problem?.message);
  const plan = planById(db, job.result!.plan);
  const graph = shippedGraph();
  const rng = createRng(seedOfWorld, index);
  const wired = (await wirePlan(db, plan)) as { rounds: { tables: { seats: { learner: string; variant: string; doses: { skill: string }[] }[] }[] }[] };
  const notes: EvidenceInput[] = [];
  wired.rounds.forEach((round, r) =>
    round.tables.forEach((table) =>
      table.seats.forEach((seat) => {
        const skill = seat.doses[0]?.skill;
        if (!skill || uniform(rng) < 0.15) return;
        const s = graph.skills[graph.indexOf.get(skill)!]!;
        const gap = levelOf(ids.get(seat.learner)!, s.strand) - s.wantedAt.us + (uniform(rng) - 0.5) * 0.6;
        const result = gap > 0.1 ? 'alone' : gap > -0.4 ? 'support' : 'stuck';
        notes.push({
          learner: seat.learner,
          at: `${day}T${String(10 + Math.floor((r * 20) / 60)).padStart(2, '0')}:${String((r * 20 + 12) % 60).padStart(2, '0')}:00Z`,
          kind: 'note',
          skill,
          result,
          ...(result === 'support' ? { support: ids.get(seat.learner)!.supportsInUse?.[0] ?? 'hint' } : {}),
          ...(result === 'alone' ? { how: uniform(rng) < 0.5 ? 'knew' : 'worked-out' } : {}),
          variant: seat.variant,
          session: plan.id,
          ...(result === 'stuck' && s.strand === 'subtract' ? { items: [{ op: 'subtract', a: 13, b: 8, correct: false }] } : {}),
          by: { role: 'helper' },
        });
      }),
    ),
  );
  addEvidence(db, notes, today, `${day}T12:00:00.000Z`);
  db.update(plans).set({ playedAt: `${day}T11:00:00.000Z` }).where(eq(plans.id, plan.id)).run();
}

const today = process.env['ZEITGEBER_TODAY'] ?? new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
await seedDemo(today);
await closePool();
process.exit(0);
