import { eq } from 'drizzle-orm';
import type { LearnerNeeds } from '../../core/recommend/learnerNeeds';
import { valueOf } from '../../core/recommend/valueOf';
import type { Db } from '../db/db';
import { games, plans, type StoredLock, type StoredRound } from '../db/schema';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { refuse } from '../http/problemError';
import { allLearners } from '../learners/learnerStore';
import { offersOf } from '../shelf/offers';
import { sameVersion } from '../shelf/shelfStore';
import { checkRounds, planById, type PlanCheck, type PlanRequest, type PlanRow } from './planStore';

export interface EditedRound {
  tables: { game: string; seats: { learner: string; variant?: string }[] }[];
  resting: string[];
}

/** Completes edited rounds: a seat without a variant gets the best one that can share the table. */
export async function completeRounds(db: Db, plan: PlanRow, edited: readonly EditedRound[], today: string): Promise<StoredRound[]> {
  const present = new Set((plan.request as unknown as PlanRequest).present);
  const gameIds = new Set(
    db
      .select()
      .from(games)
      .all()
      .map((g) => g.id),
  );
  const offers = await offersOf(db);
  const before = new Map<string, string>();
  plan.rounds.forEach((r, i) =>
    r.tables.forEach((t) => t.seats.forEach((s) => before.set(`${i}|${t.game}|${s.learner}|${s.variant}`, s.why))),
  );
  const minutes = (plan.request as unknown as PlanRequest).minutes;
  const rows = new Map(allLearners(db).map((l) => [l.id, l]));
  const known = new Map<string, LearnerNeeds>();
  const needsNow = (id: string): LearnerNeeds => {
    const row = rows.get(id)!;
    const needs = known.get(id) ?? needsOf(row, masteryOf(db, row, today), plan.date);
    known.set(id, needs);
    return needs;
  };
  return edited.map((r, i) => {
    const seatedHere = [...r.tables.flatMap((t) => t.seats.map((s) => s.learner)), ...r.resting];
    for (const l of seatedHere) if (!present.has(l)) throw refuse('unknown-value', `"${l}" is not part of this session.`, `rounds.${i}`);
    const twice = seatedHere.find((l, at) => seatedHere.indexOf(l) !== at);
    if (twice) throw refuse('duplicate', `"${twice}" is placed twice in round ${i + 1}.`, `rounds.${i}`);
    return {
      resting: r.resting,
      tables: r.tables
        .filter((t) => t.seats.length > 0)
        .map((t) => {
          if (!gameIds.has(t.game)) throw refuse('unknown-value', `There is no game "${t.game}".`, `rounds.${i}.tables`);
          const ofGame = offers.filter((o) => o.game === t.game);
          const fixed = t.seats.map((s) => ofGame.find((o) => o.variant === s.variant)?.mixClass).find((m) => m !== undefined);
          const usable = ofGame.filter((o) => fixed === undefined || o.mixClass === fixed);
          const seats = t.seats.map((s) => {
            const stated = s.variant && ofGame.some((o) => o.variant === s.variant) ? s.variant : null;
            const variant =
              stated ??
              [...usable].sort((x, y) => valueOf(y, needsNow(s.learner), minutes) - valueOf(x, needsNow(s.learner), minutes))[0]?.variant;
            if (!variant) throw refuse('unknown-value', `"${t.game}" has no version in use.`, `rounds.${i}.tables`);
            return {
              learner: s.learner,
              variant,
              why: before.get(`${i}|${t.game}|${s.learner}|${variant}`) ?? `Placed by hand on ${today}.`,
            };
          });
          return { game: t.game, helper: seats.some((s) => offers.find((o) => o.variant === s.variant)?.helper === 'needed'), seats };
        }),
    };
  });
}

export async function editPlan(
  db: Db,
  id: string,
  edited: readonly EditedRound[],
  locks: StoredLock[],
  version: number,
  today: string,
): Promise<{ id: string; version: number } & PlanCheck> {
  const plan = planById(db, id);
  sameVersion(plan, version);
  const rounds = await completeRounds(db, plan, edited, today);
  const stillTrue = locks.filter((k) =>
    rounds[k.round]?.tables.some((t) => t.game === k.game && t.seats.some((s) => s.learner === k.learner)),
  );
  const check = await checkRounds(db, { ...plan, locks: stillTrue }, rounds, today);
  db.update(plans)
    .set({
      rounds,
      locks: stillTrue,
      edited: true,
      forecast: false,
      objective: check.objective,
      bound: Math.max(plan.bound, check.objective),
      status: 'good',
      version: plan.version + 1,
    })
    .where(eq(plans.id, id))
    .run();
  return { id, version: plan.version + 1, ...check };
}
