import { addDays, daysBetween } from '../core/shared/days';
import { eq } from 'drizzle-orm';
import { shippedGraph } from '../contract/shippedData';
import { ASSUMPTIONS } from '../core/cohort/assumptions';
import { numberStrands } from '../core/cohort/placeLearner';
import { chanceOfRight, type InventedLearner, inventLearner, practise, trulyHolds } from '../core/cohort/simulateLearner';
import { answerOf } from '../core/cohort/simulateTerm';
import type { LearnerFacts, NotedItem } from '../core/mastery/evidence';
import { emptyMap, seeEvidence } from '../core/mastery/mapState';
import { nextQuestion, type PlacementReply } from '../core/mastery/nextQuestion';
import { below, createRng, type Rng, uniform } from '../core/shared/rng';
import { meanDoses } from '../core/simulate/meanDoses';
import { exampleItems } from '../core/skills/exampleItems';
import type { Db } from '../server/db/db';
import { plans } from '../server/db/schema';
import { addEvidence, type EvidenceInput } from '../server/evidence/evidenceStore';
import { profileTask, resultOf } from '../server/simulations/profileStore';
import type { VariantRow } from '../server/shelf/shelfRows';
import { variantsInUse } from '../server/shelf/measure';
import { type PlanRow, planById } from '../server/planning/planById';
import { startPlan } from '../server/planning/startPlan';
import { wirePlan } from '../server/planning/wirePlan';
import type { DemoLearner } from './world';

/** The world's learners are of the steady sort; see `core/cohort/assumptions`. */
const nature = ASSUMPTIONS[0]!;
export const daysBefore = (day: string, n: number): string => addDays(day, -n);
const daysFrom = (from: string, day: string): number => daysBetween(from, day);

/** A learner of the demo world: what the helpers do not know, and what they do. */
export interface Inhabitant {
  readonly id: string;
  readonly facts: LearnerFacts;
  readonly truth: InventedLearner;
  readonly supports: readonly string[];
}

export function settle(id: string, l: DemoLearner, facts: LearnerFacts, ageAtStart: number, seed: number): Inhabitant {
  const graph = shippedGraph();
  const truth = inventLearner(graph, ageAtStart, { ...nature, learnerYears: 0.25, strandYears: 0.15 }, createRng(seed, l.ageMonths));
  for (const [k, s] of graph.skills.entries()) truth.ability[k]! += (l.ahead[s.strand] ?? 0) / nature.yearsPerUnit;
  return { id, facts, truth, supports: l.supportsInUse ?? [] };
}

/** Questions on the lines of number, and on all others afterwards. */
const mostQuestions: readonly [number, number] = [14, 4];

/** The placement a helper would have made on the first day, question by question. */
export function placed(who: Inhabitant, day: string, seed: number): EvidenceInput[] {
  const graph = shippedGraph();
  const rng = createRng(seed, 900 + who.truth.age * 12);
  const map = emptyMap(graph);
  const out: EvidenceInput[] = [];
  for (const [i, lines] of [numberStrands, graph.strands.map((s) => s.id)].entries()) {
    const replies: PlacementReply[] = [];
    for (let q = 0; q < mostQuestions[i]!; q++) {
      const next = nextQuestion(graph, who.facts, map, day, lines, replies);
      if (!next) break;
      const at = `${day}T09:${String(out.length).padStart(2, '0')}:00.000Z`;
      const { result } = answerOf(who.truth, next.skill, 0, nature, 3, rng);
      replies.push({ skill: next.skill, alone: result === 'alone' });
      seeEvidence(graph, who.facts, map, {
        id: `q${out.length}`,
        at,
        kind: 'placement',
        skill: graph.skills[next.skill]!.id,
        result,
        correct: null,
        total: null,
        how: null,
        support: null,
        items: [],
        by: { role: 'organiser', ownChild: false },
      });
      out.push({ learner: who.id, at, kind: 'placement', skill: graph.skills[next.skill]!.id, result, by: { role: 'organiser' } });
    }
  }
  return out;
}

export const sessionRequest = (date: string, present: string[], seed: number, seconds: number) => ({
  date,
  present,
  rounds: 3,
  minutes: 15,
  tables: 4,
  helpers: 3,
  seed,
  seconds,
});

const notedShare = 0.85;
const awayShare = 0.08;
const answersWatched = 6;
const itemsKept = 5;

/** Plans a past day, plays it, and notes what helpers would have noted. */
export async function playedSession(
  db: Db,
  day: string,
  start: string,
  people: readonly Inhabitant[],
  seed: number,
  stream: number,
): Promise<Judged> {
  const rng = createRng(seed, stream);
  const present = people.filter(() => uniform(rng) >= awayShare);
  const job = await (
    await startPlan(
      db,
      sessionRequest(
        day,
        present.map((p) => p.id),
        seed + stream,
        0.4,
      ),
      day,
      `${day}T09:00:00.000Z`,
    )
  ).finished;
  if (job.status !== 'done') throw new Error(job.problem?.message);
  const plan = planById(db, job.result!.plan);
  const wired = await wirePlan(db, plan);
  const notes: EvidenceInput[] = [];
  const days = daysFrom(start, day);
  const judged = await judgedSeats(db, plan, people, days);
  wired.rounds.forEach((round, r) => {
    for (const seat of round.tables.flatMap((t) => t.seats)) {
      const who = people.find((p) => p.id === seat.learner)!;
      const k = shippedGraph().indexOf.get(seat.skill ?? seat.doses[0]?.skill ?? '');
      if (k === undefined) continue;
      if (uniform(rng) < notedShare)
        notes.push({
          learner: who.id,
          at: `${day}T${String(10 + Math.floor((r * 20 + 12) / 60)).padStart(2, '0')}:${String((r * 20 + 12) % 60).padStart(2, '0')}:00Z`,
          kind: 'note',
          ...noted(who, k, days, rng),
          variant: seat.variant,
          session: plan.id,
          by: { role: 'helper' },
        });
      practise(shippedGraph(), who.truth, k, days, nature);
    }
  });
  if (notes.length > 0) addEvidence(db, notes, day, `${day}T12:00:00.000Z`);
  db.update(plans)
    .set({ playedAt: `${day}T11:00:00.000Z` })
    .where(eq(plans.id, plan.id))
    .run();
  return judged;
}

/** Seats of a session, and those that are well placed by what the invented children truly can. */
export interface Judged {
  readonly seats: number;
  readonly open: number;
  readonly well: number;
}

/** The share of answers that may come right where a step is well placed, and the least share of answers about it. */
const wellFrom = 0.45;
const wellTo = 0.92;
const leastAbout = 0.35;

/**
 * Well placed: the named step is not held in truth, its answers come right between .45 and .92 of the time with no
 * tool, and 35 % of the seat's answers at least are about it. `open` leaves the last out.
 */
export async function judgedSeats(db: Db, plan: PlanRow, people: readonly Inhabitant[], day: number): Promise<Judged> {
  const graph = shippedGraph();
  const rows = new Map(variantsInUse(db).map((v) => [v.id, v]));
  const judged = { seats: 0, open: 0, well: 0 };
  for (const table of plan.rounds.flatMap((r) => r.tables))
    for (const seat of table.seats) {
      const { truth } = people.find((p) => p.id === seat.learner)!;
      judged.seats++;
      const k = graph.indexOf.get(seat.skill ?? '');
      if (k === undefined || trulyHolds(truth, k, day, nature)) continue;
      const p = chanceOfRight(truth, k, day, nature, false);
      if (p < wellFrom || p > wellTo) continue;
      judged.open++;
      if ((await shareAbout(db, rows.get(seat.variant)!, table.seats.length, seat.skill!)) >= leastAbout) judged.well++;
    }
  return judged;
}

/** Share of a version's answers at a table that are about a step; by the owner's word where nobody counted. */
async function shareAbout(db: Db, v: VariantRow, seats: number, skill: string): Promise<number> {
  if (v.mechanism === null) {
    const all = v.declared.reduce((sum, d) => sum + d.perTenMinutes, 0);
    return (v.declared.find((d) => d.skill === skill)?.perTenMinutes ?? 0) / all;
  }
  const r = await resultOf(db, profileTask(db, v, seats));
  const answers = (10 * r.measures['itemsPerTurn']! * r.turns.mean) / r.minutes.mean / r.seats;
  return (meanDoses(r).get(skill)?.mean ?? 0) / answers;
}

function noted(who: Inhabitant, k: number, day: number, rng: Rng): Pick<EvidenceInput, 'skill' | 'result' | 'how' | 'support' | 'items'> {
  const { result, how, support } = answerOf(who.truth, k, day, nature, answersWatched, rng);
  const items = answered(who, k, day, itemsKept, rng);
  return {
    skill: shippedGraph().skills[k]!.id,
    result,
    ...(how ? { how } : {}),
    ...(support ? { support: support === 'hint' ? 'hint' : (who.supports[0] ?? 'fingers') } : {}),
    items,
  };
}

/** Facts of a by-heart skill as they were answered: adding, taking away, times and sharing only. */
function answered(who: Inhabitant, k: number, day: number, count: number, rng: Rng): NotedItem[] {
  const { predicate } = shippedGraph().skills[k]!;
  if (!predicate) return [];
  const facts = exampleItems(predicate, count * 2, 1 + below(rng, 1000)).match.filter((i) =>
    ['add', 'subtract', 'multiply', 'divide'].includes(i.op),
  );
  const p = chanceOfRight(who.truth, k, day, nature, false);
  return facts.slice(0, count).map((i) => ({ op: i.op, a: i.a, b: i.b, correct: uniform(rng) < p + (1 - p) * easeOf(i) }));
}

/** How much easier a fact is than its skill as a whole: with a nought, a one or a two in it, much. */
function easeOf(i: { readonly op: string; readonly a: number; readonly b: number; readonly result: number }): number {
  const small = i.op === 'subtract' || i.op === 'divide' ? Math.min(i.b, i.result) : Math.min(i.a, i.b);
  return small <= 1 ? 0.92 : small === 2 ? 0.6 : small === 3 ? 0.3 : 0;
}

const sheetItems = 10;

/** A sheet of ten, done alone, on a skill practised lately. */
export function checkIn(db: Db, who: Inhabitant, day: string, start: string, skill: string, seed: number): void {
  const k = shippedGraph().indexOf.get(skill)!;
  const rng = createRng(seed, k);
  const items = answered(who, k, daysFrom(start, day), sheetItems, rng);
  const p = chanceOfRight(who.truth, k, daysFrom(start, day), nature, false);
  const total = items.length > 3 ? items.length : sheetItems;
  const correct =
    items.length > 3
      ? items.filter((i) => i.correct).length
      : Array.from({ length: total }, () => (uniform(rng) < p ? 1 : 0)).reduce<number>((a, b) => a + b, 0);
  addEvidence(
    db,
    [
      {
        learner: who.id,
        at: `${day}T11:30:00Z`,
        kind: 'check-in',
        skill,
        correct,
        total,
        items: items.length > 3 ? items : [],
        by: { role: 'organiser' },
      },
    ],
    day,
    `${day}T12:00:00.000Z`,
  );
}
