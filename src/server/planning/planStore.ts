import type { PlanBody } from '../../contract/wire/plans';
import { and, eq, isNull } from 'drizzle-orm';
import { graphOf, ownOf } from '../db/graphOf';
import { buildSession, type BuiltSession } from '../../core/planning/buildSession';
import { checkPlan } from '../../core/planning/checkPlan';
import type { Schedule } from '../../core/planning/instance';
import { objectiveOf } from '../../core/planning/objective';
import type { PlannedMeeting, PlanningInput, TermMeeting, WirePlayed } from '../../core/planning/planTerm';
import { goalSkills } from '../../core/mastery/estimateMastery';
import { ageOn } from '../../core/mastery/evidence';
import { daysBetween } from '../../core/shared/days';
import type { Offer } from '../../core/recommend/offer';
import { relaxSentence, seatSentence, violationSentence } from '../../text/sentences';
import type { Db, Tx } from '../db/db';
import { games, kinds, learners, plans, type StoredObstacle, type StoredRound, variants } from '../db/schema';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { notFound, type ProblemError, refuse } from '../http/problemError';
import { type Job, startAfter, startJob } from '../jobs/pool';
import { allLearners } from '../learners/learnerStore';
import { offersNow, offersOf, stockOf } from '../shelf/offers';
import { measureMissing } from '../shelf/measure';

export type PlanRow = typeof plans.$inferSelect;

/** What a session is asked for with. */
export type PlanRequest = PlanBody;

const defaultSeconds = 2;
const defaultPreparation = 120;

export function planById(db: Db, id: string): PlanRow {
  const row = db.select().from(plans).where(eq(plans.id, id)).get();
  if (!row) throw notFound('plan', id);
  return row;
}

function checkRequest(db: Db, r: PlanRequest): void {
  if (r.tables < 1) throw refuse('no-tables', 'There is no table to sit at. Give at least one.', 'tables');
  if (r.present.length === 0) throw refuse('nobody-present', 'Nobody is present. Tick at least one child.', 'present');
  const known = new Set(
    db
      .select()
      .from(learners)
      .all()
      .map((l) => l.id),
  );
  const stranger = r.present.findIndex((id) => !known.has(id));
  if (stranger >= 0) throw refuse('unknown-value', `There is no learner "${r.present[stranger]}".`, `present.${stranger}`);
  if (new Set(r.present).size < r.present.length) throw refuse('duplicate', 'A child is named twice.', 'present');
  for (const [i, lock] of (r.locks ?? []).entries()) {
    if (lock.round >= r.rounds) throw refuse('out-of-range', `Round ${lock.round + 1} does not exist.`, `locks.${i}.round`);
    if (!r.present.includes(lock.learner)) throw refuse('unknown-value', `"${lock.learner}" is not present.`, `locks.${i}.learner`);
    if (!db.select().from(games).where(eq(games.id, lock.game)).get())
      throw refuse('unknown-value', `There is no game "${lock.game}".`, `locks.${i}.game`);
  }
}

/** Everything the worker needs, as plain data. */
export function planningInput(
  db: Db,
  meetings: readonly TermMeeting[],
  today: string,
  more: Pick<PlanningInput, 'locks' | 'resting' | 'seed' | 'secondsPerMeeting' | 'preparationMinutes'>,
): PlanningInput {
  const offers = offersNow(db);
  const wanted = new Set(meetings.flatMap((m) => m.present));
  const { stock, plentiful } = stockOf(db);
  const day = meetings[0]!.date;
  return {
    offers: offers.map((o) => ({ ...o, doses: [...o.doses] })),
    learners: allLearners(db)
      .filter((l) => wanted.has(l.id))
      .map((l) => {
        const estimates = masteryOf(db, l, today > day ? today : day);
        return {
          id: l.id,
          nickname: l.nickname,
          age: ageOn(l.born, day),
          framework: l.framework,
          goals: goalSkills(graphOf(db), l),
          withoutNorms: l.withoutNorms,
          accommodations: l.accommodations,
          likings: l.likings,
          supported: l.supportsInUse.length + l.permanentSupports.length > 0,
          known: estimates.map((e) => e.mastery),
          due: estimates.map((e) => (e.dueForReview ? 1 : 0)),
        };
      }),
    meetings,
    stock: [...stock],
    plentiful: [...plentiful],
    played: playedBefore(db, day),
    ...more,
  };
}

/** Who played what in sessions that took place. */
export function playedBefore(db: Db, day: string): WirePlayed[] {
  return db
    .select()
    .from(plans)
    .all()
    .filter((p) => p.playedAt !== null && p.date < day)
    .flatMap((p) =>
      p.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => ({ learner: s.learner, game: t.game, date: p.date })))),
    );
}

export type FullRequest = PlanRequest & { date: string };

/** What a plan job ends with: the stored plan, and why nobody found a seat when the last good session was kept. */
export interface PlannedJob {
  readonly plan: string;
  readonly failed: readonly string[] | null;
}

/** Plans one session in a worker and stores it when done; versions that were never played are played first. */
export function startPlan(
  db: Db,
  request: PlanRequest,
  today: string,
  now: string,
  where: { readonly replace?: PlanRow; readonly id?: string } = {},
): Job<PlannedJob> {
  const r = {
    ...request,
    date: request.date ?? today,
    seed: request.seed ?? 1,
    seconds: request.seconds ?? defaultSeconds,
    preparationMinutes: request.preparationMinutes ?? defaultPreparation,
  };
  checkRequest(db, r);
  const meeting = { date: r.date, present: r.present, rounds: r.rounds, minutes: r.minutes, tables: r.tables, helpers: r.helpers };
  const more = {
    locks: r.locks ?? [],
    resting: r.resting ?? [],
    seed: r.seed,
    secondsPerMeeting: r.seconds,
    preparationMinutes: r.preparationMinutes,
  };
  return startAfter(measureMissing(db), () =>
    startJob({ kind: 'plan', own: ownOf(db), input: planningInput(db, [meeting], today, more) }, ([planned]: PlannedMeeting[]) => {
      // A plan made anew that seats nobody leaves the last good session as it is, with what stood in the way.
      if (where.replace && planned!.status === 'infeasible')
        return { plan: where.replace.id, failed: relaxSentences(db, planned!.obstacles) };
      return { plan: storePlan(db, planned!, r, now, { ...where, forecast: false }), failed: null };
    }),
  );
}

/** What a session stands on when it is stored: the plan it takes the place of, or the id it is to have. */
interface Place {
  readonly replace?: PlanRow;
  readonly id?: string;
  readonly forecast: boolean;
}

/** Stores a planned session. @throws conflict when the plan it was to replace was changed, played or thrown away meanwhile. */
export function storePlan(
  db: Db | Tx,
  meeting: PlannedMeeting,
  request: FullRequest,
  now: string,
  { replace, id, forecast }: Place,
): string {
  const nicknames = new Map(
    db
      .select()
      .from(learners)
      .all()
      .map((l) => [l.id, l.nickname]),
  );
  const graph = graphOf(db);
  const needHelp = new Set(
    db
      .select()
      .from(variants)
      .all()
      .filter((v) => v.helper === 'needed')
      .map((v) => v.id),
  );
  // A child who was erased while the plan was made is not brought back by it.
  const here = (learner: string): boolean => nicknames.has(learner);
  const rounds: StoredRound[] = meeting.rounds.map((round) => ({
    resting: round.resting.filter(here),
    tables: round.tables
      .map((t) => ({ ...t, seats: t.seats.filter((s) => here(s.learner)) }))
      .filter((t) => t.seats.length > 0)
      .map((t) => ({
        game: t.game,
        helper: t.seats.some((s) => needHelp.has(s.variant)),
        seats: t.seats.map((s) => ({
          learner: s.learner,
          variant: s.variant,
          why: seatSentence(s, nicknames.get(s.learner)!, (k) => graph.skills[graph.indexOf.get(k)!]!.title),
          skill: s.skill,
        })),
      })),
  }));
  const { locks, ...asked } = request;
  const values = {
    date: request.date,
    request: {
      ...asked,
      present: asked.present.filter(here),
      ...(asked.resting ? { resting: asked.resting.filter((x) => here(x.learner)) } : {}),
      obstacles: meeting.obstacles,
    },
    rounds,
    locks: (locks ?? []).filter((k) => here(k.learner)),
    status: meeting.status,
    objective: meeting.objective,
    bound: meeting.bound,
    edited: false,
    forecast,
  };
  if (replace) {
    const done = db
      .update(plans)
      .set({ ...values, version: replace.version + 1 })
      .where(and(eq(plans.id, replace.id), eq(plans.version, replace.version), isNull(plans.playedAt)))
      .run();
    if (done.changes === 0) throw changedMeanwhile(db, replace);
    return replace.id;
  }
  const planId = id ?? crypto.randomUUID();
  db.insert(plans)
    .values({ id: planId, ...values, createdAt: now })
    .onConflictDoNothing()
    .run();
  return planId;
}

function changedMeanwhile(db: Db | Tx, seen: PlanRow): ProblemError {
  const current = db.select().from(plans).where(eq(plans.id, seen.id)).get();
  if (!current) return notFound('plan', seen.id);
  if (current.playedAt) return refuse('conflict', 'This session was played meanwhile; what took place stays as it is.', 'id');
  return refuse(
    'conflict',
    'Somebody changed this session while it was planned again. Both are kept: look at theirs, then plan again.',
    'version',
    {
      yours: seen.version,
      current: current.version,
    },
  );
}

/** The rebuilt instance of a stored plan, so that edits are checked by the same rules. */
export async function rebuild(
  db: Db,
  plan: PlanRow,
  today: string,
): Promise<{ built: BuiltSession; order: string[]; offers: readonly Offer[] }> {
  const r = plan.request;
  const offers = await offersOf(db);
  const rows = allLearners(db).filter((l) => r.present.includes(l.id));
  const day = plan.date < today ? plan.date : today;
  const needs = rows.map((l) => needsOf(graphOf(db), l, masteryOf(db, l, day), plan.date));
  const { stock, plentiful } = stockOf(db);
  const days = new Map<string, number>();
  for (const p of playedBefore(db, plan.date)) {
    const ago = daysBetween(p.date, plan.date);
    const key = `${p.learner}|${p.game}`;
    days.set(key, Math.min(days.get(key) ?? Infinity, ago));
  }
  const built = buildSession(graphOf(db), offers, needs, {
    rounds: r.rounds,
    minutes: r.minutes,
    tables: r.tables,
    helpers: r.helpers,
    preparationMinutes: r.preparationMinutes ?? defaultPreparation,
    stock,
    plentiful,
    daysSincePlayed: days,
    locks: plan.locks,
    resting: r.resting ?? [],
  });
  return { built, order: rows.map((l) => l.id), offers };
}

export interface PlanCheck {
  readonly violations: readonly {
    readonly rule: string;
    readonly message: string;
    readonly round?: number;
    readonly learner?: string;
    readonly game?: string;
  }[];
  readonly objective: number;
}

/** Every rule on a stored or edited set of rounds, in words. */
export async function checkRounds(db: Db, plan: PlanRow, rounds: readonly StoredRound[], today: string): Promise<PlanCheck> {
  const { built, order } = await rebuild(db, plan, today);
  const resting = rounds.flatMap((r, round) => r.resting.map((l): [number, number] => [order.indexOf(l), round])).filter(([l]) => l >= 0);
  const instance = { ...built.instance, resting };
  const violations: PlanCheck['violations'][number][] = [];
  const title = titles(db);
  const schedule: Schedule = rounds.map((r, round) =>
    r.tables.flatMap((t) => {
      if (t.seats.length === 0) return [];
      const options = new Set(
        t.seats.map((s) => built.options.findIndex((o) => o.game === t.game && o.offers.some((v) => v.variant === s.variant))),
      );
      if (options.has(-1))
        violations.push({
          rule: 'unknown',
          round,
          game: t.game,
          message: `${title.game(t.game)} is not on the shelf as planned, or does not fit into the round.`,
        });
      if (options.size > 1 && !options.has(-1))
        violations.push({
          rule: 'mix',
          round,
          game: t.game,
          message: `These versions of ${title.game(t.game)} cannot share a table (round ${round + 1}).`,
        });
      const option = [...options].find((o) => o >= 0);
      return option === undefined ? [] : [{ game: option, learners: t.seats.map((s) => order.indexOf(s.learner)).filter((l) => l >= 0) }];
    }),
  );
  const names = {
    learner: (i: number) => title.learner(order[i]!),
    game: (i: number) => title.game(built.options[i]!.game),
    kind: (i: number) => title.kind(built.kinds[i]!),
  };
  for (const v of checkPlan(instance, schedule)) {
    violations.push({
      rule: v.rule,
      message: violationSentence(v, names),
      ...('round' in v ? { round: v.round } : {}),
      ...('learner' in v ? { learner: order[v.learner]! } : {}),
      ...('game' in v ? { game: built.options[v.game]!.game } : {}),
    });
  }
  const safe = schedule.map((r) => r.map((t) => ({ ...t, learners: t.learners.filter((l) => instance.value[l]![t.game]! >= 0) })));
  return { violations, objective: objectiveOf(instance, safe) };
}

export function titles(db: Db): {
  learner: (id: string) => string;
  game: (id: string) => string;
  variant: (id: string) => string;
  kind: (id: string) => string;
  skill: (id: string) => string;
} {
  const graph = graphOf(db);
  const l = new Map(
    db
      .select()
      .from(learners)
      .all()
      .map((x) => [x.id, x.nickname]),
  );
  const g = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((x) => [x.id, x.title]),
  );
  const v = new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((x) => [x.id, `${g.get(x.gameId) ?? ''}, ${x.title}`]),
  );
  const k = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((x) => [x.id, x.title]),
  );
  return {
    learner: (id) => l.get(id) ?? id,
    game: (id) => g.get(id) ?? id,
    variant: (id) => v.get(id) ?? id,
    kind: (id) => k.get(id) ?? id,
    skill: (id) => graph.skills[graph.indexOf.get(id) ?? -1]?.title ?? id,
  };
}

/** What would let everybody sit down, in words. */
export function relaxSentences(db: Db, obstacles: readonly StoredObstacle[]): string[] {
  const title = titles(db);
  return obstacles.map((o) => relaxSentence(o, title.kind));
}
