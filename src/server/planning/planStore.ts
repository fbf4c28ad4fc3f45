import { eq } from 'drizzle-orm';
import { graphInUse } from '../../contract/graphInUse';
import { buildSession, type BuiltSession } from '../../core/planning/buildSession';
import { checkPlan } from '../../core/planning/checkPlan';
import type { Schedule } from '../../core/planning/instance';
import { objectiveOf } from '../../core/planning/objective';
import type { PlannedMeeting, PlanningInput, TermMeeting, WirePlayed } from '../../core/planning/planTerm';
import { goalSkills } from '../../core/mastery/estimateMastery';
import { ageOn } from '../../core/mastery/evidence';
import type { Offer } from '../../core/recommend/offer';
import { relaxSentence, seatSentence, violationSentence } from '../../text/sentences';
import type { Db } from '../db/db';
import { games, kinds, learners, plans, type StoredLock, type StoredRound, variants } from '../db/schema';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { notFound, refuse } from '../http/problemError';
import { type Job, startJob } from '../jobs/pool';
import { allLearners } from '../learners/learnerStore';
import { offersOf, stockOf } from '../shelf/offers';

export type PlanRow = typeof plans.$inferSelect;

export interface PlanRequest {
  date?: string;
  present: string[];
  rounds: number;
  minutes: number;
  tables: number;
  helpers: number;
  seed?: number;
  seconds?: number;
  preparationMinutes?: number;
  locks?: StoredLock[];
  resting?: { learner: string; round: number }[];
}

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
export async function planningInput(
  db: Db,
  meetings: readonly TermMeeting[],
  today: string,
  more: Pick<PlanningInput, 'locks' | 'resting' | 'seed' | 'secondsPerMeeting' | 'preparationMinutes'>,
): Promise<PlanningInput> {
  const offers = await offersOf(db);
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
          goals: goalSkills(graphInUse(), l),
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

/** Plans one session in a worker and stores it when done. */
export async function startPlan(
  db: Db,
  request: PlanRequest,
  today: string,
  now: string,
  replace?: PlanRow,
): Promise<Job<{ plan: string }>> {
  const r = {
    ...request,
    date: request.date ?? today,
    seed: request.seed ?? 1,
    seconds: request.seconds ?? defaultSeconds,
    preparationMinutes: request.preparationMinutes ?? defaultPreparation,
  };
  checkRequest(db, r);
  const input = await planningInput(
    db,
    [{ date: r.date, present: r.present, rounds: r.rounds, minutes: r.minutes, tables: r.tables, helpers: r.helpers }],
    today,
    {
      locks: r.locks ?? [],
      resting: r.resting ?? [],
      seed: r.seed,
      secondsPerMeeting: r.seconds,
      preparationMinutes: r.preparationMinutes,
    },
  );
  return startJob({ kind: 'plan', input }, ([meeting]: PlannedMeeting[]) => ({ plan: storePlan(db, meeting!, r, now, replace, false) }));
}

export function storePlan(
  db: Db,
  meeting: PlannedMeeting,
  request: PlanRequest & { date: string },
  now: string,
  replace: PlanRow | undefined,
  forecast: boolean,
): string {
  const nicknames = new Map(
    db
      .select()
      .from(learners)
      .all()
      .map((l) => [l.id, l.nickname]),
  );
  const graph = graphInUse();
  const needHelp = new Set(
    db
      .select()
      .from(variants)
      .all()
      .filter((v) => v.helper === 'needed')
      .map((v) => v.id),
  );
  const rounds: StoredRound[] = meeting.rounds.map((round) => ({
    resting: [...round.resting],
    tables: round.tables.map((t) => ({
      game: t.game,
      helper: t.seats.some((s) => needHelp.has(s.variant)),
      seats: t.seats.map((s) => ({
        learner: s.learner,
        variant: s.variant,
        why: seatSentence(s, nicknames.get(s.learner) ?? s.learner, (k) => graph.skills[graph.indexOf.get(k)!]!.title),
      })),
    })),
  }));
  const { locks, ...rest } = request;
  const values = {
    date: request.date,
    request: { ...rest, obstacles: meeting.obstacles },
    rounds,
    locks: locks ?? [],
    status: meeting.status,
    objective: meeting.objective,
    bound: meeting.bound,
    edited: false,
    forecast,
  };
  if (replace) {
    // Nothing that was there is lost to a plan that found no seats.
    const kept = meeting.status === 'infeasible' ? { ...values, rounds: replace.rounds } : values;
    db.update(plans)
      .set({ ...kept, version: replace.version + 1 })
      .where(eq(plans.id, replace.id))
      .run();
    return replace.id;
  }
  const id = crypto.randomUUID();
  db.insert(plans)
    .values({ id, ...values, createdAt: now })
    .run();
  return id;
}

/** The rebuilt instance of a stored plan, so that edits are checked by the same rules. */
export async function rebuild(db: Db, plan: PlanRow, today: string): Promise<{ built: BuiltSession; order: string[]; offers: Offer[] }> {
  const r = plan.request as unknown as PlanRequest;
  const offers = await offersOf(db);
  const rows = allLearners(db).filter((l) => r.present.includes(l.id));
  const day = plan.date < today ? plan.date : today;
  const needs = rows.map((l) => needsOf(l, masteryOf(db, l, day), plan.date));
  const { stock, plentiful } = stockOf(db);
  const days = new Map<string, number>();
  for (const p of playedBefore(db, plan.date)) {
    const ago = (Date.parse(plan.date) - Date.parse(p.date)) / 86_400_000;
    const key = `${p.learner}|${p.game}`;
    days.set(key, Math.min(days.get(key) ?? Infinity, ago));
  }
  const built = buildSession(graphInUse(), offers, needs, {
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
  const graph = graphInUse();
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

export function relaxSentences(db: Db, plan: PlanRow): string[] {
  const obstacles = (plan.request['obstacles'] ?? []) as { relax: string; kind?: string; unseatedBefore: number; unseatedAfter: number }[];
  const title = titles(db);
  return plan.status === 'infeasible' ? obstacles.map((o) => relaxSentence(o, title.kind)) : [];
}
