import { and, eq } from 'drizzle-orm';
import { atTable } from '../../core/recommend/atTable';
import type { LearnerNeeds } from '../../core/recommend/learnerNeeds';
import type { Offer } from '../../core/recommend/offer';
import { groupBy } from '../../core/recommend/recommend';
import { lookForAt, seatReason } from '../../core/planning/seatReason';
import { gateOf, tooHardAlone, valueOf } from '../../core/recommend/valueOf';
import { playersAt } from '../../core/planning/seatsAt';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { games, plans, type StoredLock, type StoredRound, type StoredSeat } from '../db/schema';
import { refuse } from '../http/problemError';
import { Commit } from '../http/route';
import { sameVersion, wrote } from '../shared/versions';
import { checkRounds, type PlanCheck } from './checkRounds';
import { planBSoon } from './planB';
import { planById, type PlanRow } from './planById';
import { sceneOf } from './planScene';

export interface EditedRound {
  tables: { game: string; grownUp?: boolean; seats: { learner: string; variant?: string; with?: string }[] }[];
  resting: string[];
}

/** Completes edited rounds: a seat without a variant gets the best one that can share the table. */
export async function completeRounds(db: Db, plan: PlanRow, edited: readonly EditedRound[], today: string): Promise<StoredRound[]> {
  const present = new Set(plan.request.present);
  const gameIds = new Set(
    db
      .select()
      .from(games)
      .all()
      .map((g) => g.id),
  );
  const { graph, ofGame: versionsOf, needs } = await sceneOf(db, plan, today);
  const before = new Map<string, StoredSeat>();
  plan.rounds.forEach((r, i) => r.tables.forEach((t) => t.seats.forEach((s) => before.set(seatKey(i, t.game, s), s))));
  const minutes = plan.request.minutes;
  const needsNow = (id: string): LearnerNeeds => needs.get(id)!;
  return edited.map((r, i) => {
    const seatedHere = [...r.tables.flatMap((t) => t.seats.map((s) => s.learner)), ...r.resting];
    for (const l of seatedHere) if (!present.has(l)) throw refuse('unknown-value', `"${l}" is not part of this session.`, `rounds.${i}`);
    const twice = seatedHere.find((l, at) => seatedHere.indexOf(l) !== at);
    if (twice) throw refuse('duplicate', `"${twice}" is placed twice in round ${i + 1}.`, `rounds.${i}`);
    const meanwhile = (plan.rounds[i]?.meanwhile ?? []).filter((m) => r.resting.includes(m.learner));
    return {
      resting: r.resting,
      ...(meanwhile.length > 0 ? { meanwhile } : {}),
      tables: r.tables
        .filter((t) => t.seats.length > 0)
        .map((t) => {
          if (!gameIds.has(t.game)) throw refuse('unknown-value', `There is no game "${t.game}".`, `rounds.${i}.tables`);
          const holders = new Set(t.seats.filter((s) => s.with === undefined).map((s) => s.learner));
          const alone = t.seats.find((s) => s.with !== undefined && !holders.has(s.with));
          if (alone)
            throw refuse(
              'unknown-value',
              `"${alone.with}" has no seat of the own at this table to share with "${alone.learner}".`,
              `rounds.${i}.tables`,
            );
          const crowded = t.seats.find((s) => s.with !== undefined && t.seats.filter((x) => x.with === s.with).length > 1);
          if (crowded) throw refuse('duplicate', `Only two share a seat; "${crowded.with}" has two partners.`, `rounds.${i}.tables`);
          const ofGame = (versionsOf.get(t.game) ?? []).map((o) => atTable(o, playersAt(t), minutes));
          const stated = t.seats.map((s) => ofGame.find((o) => o.variant === s.variant));
          const fixed = stated.find((o) => o !== undefined)?.mixClass;
          const open = t.seats.filter((_, n) => !stated[n]).map((s) => needsNow(s.learner));
          const best = bestTogether(
            graph,
            ofGame.filter((o) => fixed === undefined || o.mixClass === fixed),
            open,
            minutes,
          );
          const seats = t.seats.map((s, n) => {
            // Two at one seat play one version: that of whose seat it is.
            const holder = s.with === undefined ? n : t.seats.findIndex((x) => x.learner === s.with);
            const variant = stated[holder]?.variant ?? best.get(t.seats[holder]!.learner);
            if (!variant) throw refuse('unknown-value', `"${t.game}" has no version in use.`, `rounds.${i}.tables`);
            const kept = before.get(seatKey(i, t.game, { ...s, variant }));
            if (kept) return kept;
            // A note at the table will be about what this version serves best for this child.
            const offer = ofGame.find((o) => o.variant === variant);
            const reason = offer ? seatReason(graph, offer, needsNow(s.learner), minutes) : null;
            const { skill, tool } = reason ?? { skill: null, tool: null };
            return {
              learner: s.learner,
              variant,
              why: `Placed by hand on ${today}.`,
              skill,
              tool,
              ...(s.with === undefined ? {} : { with: s.with }),
            };
          });
          const seated = seats.flatMap((s) => {
            const offer = ofGame.find((o) => o.variant === s.variant);
            return offer ? [{ needs: needsNow(s.learner), offer }] : [];
          });
          const lookFor = lookForAt(seated, minutes);
          return {
            game: t.game,
            ...(t.grownUp ? { grownUp: true } : {}),
            lookFor,
            // By its rules, or because it would be too hard for somebody alone.
            helper:
              t.grownUp === true ||
              seated.some(({ offer, needs }) => offer.helper === 'needed' || tooHardAlone(gateOf(graph, offer, needs))),
            seats,
          };
        }),
    };
  });
}

const seatKey = (round: number, game: string, s: { learner: string; variant: string; with?: string }): string =>
  [round, game, s.learner, s.variant, s.with ?? ''].join('|');

/** For each learner the version that suits best, among those that can share the table and bar the fewest. */
function bestTogether(
  graph: SkillGraph,
  versions: readonly Offer[],
  learners: readonly LearnerNeeds[],
  minutes: number,
): ReadonlyMap<string, string> {
  let best: { readonly barred: number; readonly value: number; readonly seats: Map<string, string> } | null = null;
  for (const mix of groupBy(versions, (o) => o.mixClass).values()) {
    const seats = new Map<string, string>();
    let barred = 0;
    let value = 0;
    for (const l of learners) {
      const ready = mix.filter((o) => gateOf(graph, o, l) === null);
      if (ready.length === 0) barred++;
      const chosen = (ready.length > 0 ? ready : mix).reduce((x, y) => (valueOf(y, l, minutes) > valueOf(x, l, minutes) ? y : x));
      seats.set(l.learner, chosen.variant);
      value += valueOf(chosen, l, minutes);
    }
    if (!best || barred < best.barred || (barred === best.barred && value > best.value)) best = { barred, value, seats };
  }
  return best?.seats ?? new Map();
}

/** A plan edited by hand. Checking waits for what is not measured yet, so the version is compared again when it is written. */
export async function editPlan(
  db: Db,
  id: string,
  edited: readonly EditedRound[],
  locks: StoredLock[],
  version: number,
  today: string,
): Promise<Commit<{ id: string; version: number } & PlanCheck>> {
  const plan = planById(db, id);
  refusePlayed(plan);
  sameVersion(plan, version);
  const rounds = await completeRounds(db, plan, edited, today);
  const stillTrue = locks.filter((k) =>
    rounds[k.round]?.tables.some((t) => t.game === k.game && t.seats.some((s) => s.learner === k.learner)),
  );
  const check = await checkRounds(db, { ...plan, locks: stillTrue }, rounds, today);
  return new Commit(() => {
    refusePlayed(planById(db, id));
    const done = db
      .update(plans)
      .set({
        rounds,
        locks: stillTrue,
        edited: true,
        forecast: false,
        objective: check.objective,
        bound: Math.max(plan.bound, check.objective),
        status: 'good',
        version: version + 1,
      })
      .where(and(eq(plans.id, id), eq(plans.version, version)))
      .run();
    wrote(done, version, () => planById(db, id));
    planBSoon(db, id, today);
    return { id, version: version + 1, ...check };
  });
}

export function refusePlayed(plan: PlanRow): void {
  if (plan.playedAt) throw refuse('conflict', 'This session was played; what took place stays as it is.', 'id');
}
