import type { PlanWire, TableWire } from '../../contract/wire/plan';
import type { Kept } from '../../contract/wire/route';
import type { Db } from '../db/db';
import { type StoredTable, variants } from '../db/schema';
import { dosesOf, profileTask } from '../simulations/profileStore';
import { laidOut, type ThingsOnHand, thingsOnHand } from '../shelf/offers';
import { materialsOf, type VariantRow } from '../shelf/shelfRows';
import { isShared, playersAt } from '../../core/planning/seatsAt';
import { playingShare } from '../../core/recommend/atTable';
import { mechanismById } from '../../core/mechanisms/registry';
import { wireMissing } from './wireMissing';
import type { PlanRow } from './planById';
import { titles } from '../shared/titles';

const nothingAlone = 'Deals, draws or keeps the count at a table; no game here is played alone.';

/** A plan as the API speaks of it, with doses read for each actual table. */
export async function wirePlan(db: Db, plan: PlanRow): Promise<Kept<PlanWire>> {
  const byId = new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((v) => [v.id, v]),
  );
  const request = plan.request;
  const title = titles(db);
  const here = thingsOnHand(db);
  const rounds = await Promise.all(
    plan.rounds.map(async (r) => ({
      tables: await Promise.all(r.tables.map((t) => wireTable(db, t, byId, request.minutes, title, here))),
      resting: r.resting,
      meanwhile: (r.meanwhile ?? []).map(({ learner, variant }) => {
        const row = variant === null ? undefined : byId.get(variant);
        return { learner, text: row ? `${title.game(row.gameId)}, ${row.title}, alone` : nothingAlone };
      }),
    })),
  );
  const gap = plan.bound > 0 ? Math.max(0, 1 - plan.objective / plan.bound) : 0;
  return {
    id: plan.id,
    date: plan.date,
    status: plan.status,
    objective: plan.objective,
    bound: plan.bound,
    /** Share of the bound that the plan may at most fall short of. */
    gap,
    considered: request.considered ?? null,
    missing: plan.request.missing && !plan.edited ? wireMissing(db, plan.request.missing) : null,
    rounds,
    locks: plan.locks,
    request: {
      present: request.present,
      rounds: request.rounds,
      minutes: request.minutes,
      tables: request.tables,
      helpers: request.helpers,
      seed: request.seed ?? 1,
      preparationMinutes: request.preparationMinutes ?? null,
      ...(request.withoutGames?.length ? { withoutGames: request.withoutGames } : {}),
      grownUp: request.grownUp ?? false,
      everybody: request.everybody ?? [],
    },
    edited: plan.edited,
    forecast: plan.forecast,
    playedAt: plan.playedAt,
    version: plan.version,
    number: plan.number,
  };
}

async function wireTable(
  db: Db,
  t: StoredTable,
  byId: ReadonlyMap<string, VariantRow>,
  minutes: number,
  title: ReturnType<typeof titles>,
  here: ThingsOnHand,
): Promise<Kept<TableWire>> {
  const wanted = new Map<string, number>();
  for (const s of t.seats) for (const m of materialsOf(db, s.variant)) wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
  const needs = [...wanted].map(([kind, quantity]) => ({ kind, quantity }));
  const out = laidOut(here, needs, byId.get(t.seats[0]?.variant ?? '')?.mechanism ?? null);
  return {
    game: t.game,
    title: title.game(t.game),
    helper: t.helper,
    grownUp: t.grownUp ?? false,
    lookFor: t.lookFor ?? null,
    materials: out.materials.map(({ kind, quantity }) => ({ kind, title: title.kind(kind), quantity })),
    standIns: (out.standIns ?? []).map((s) => ({ instead: title.kind(s.instead), say: s.say })),
    seats: await Promise.all(
      t.seats.map(async (s) => ({
        learner: s.learner,
        variant: s.variant,
        variantTitle: byId.get(s.variant)?.title ?? s.variant,
        doses: (await dosesAt(db, byId.get(s.variant), playersAt(t), minutes)).map((d) =>
          isShared(t, s.learner) ? { ...d, items: Math.round(d.items / 2) } : d,
        ),
        with: s.with ?? null,
        why: s.why,
        skill: s.skill ?? null,
        tool: s.tool ?? null,
      })),
    ),
  };
}

/** Chances per skill in the round, at a table of this size; declared where nothing can be calculated. */
export async function dosesAt(
  db: Db,
  variant: VariantRow | undefined,
  seats: number,
  minutes: number,
): Promise<{ skill: string; items: number; source: 'calculated' | 'declared' }[]> {
  if (!variant) return [];
  if (!variant.mechanism)
    return variant.declared.map((d) => ({
      skill: d.skill,
      items: Math.round((d.perTenMinutes * minutes) / 10),
      source: 'declared' as const,
    }));
  const { min, max } = mechanismById(variant.mechanism)!.seats;
  const { doses, minutes: lasts } = await dosesOf(db, profileTask(db, variant, Math.min(max, Math.max(min, seats))));
  const played = minutes * playingShare(lasts, minutes);
  return doses
    .map(([skill, dose]) => ({ skill, items: Math.round((dose * played) / 10), source: 'calculated' as const }))
    .filter((d) => d.items > 0)
    .sort((x, y) => y.items - x.items)
    .slice(0, 6);
}
