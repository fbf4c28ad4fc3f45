import { ownLines } from './howToOf';
import { inArray, isNull, sql } from 'drizzle-orm';
import type { Db } from '../db/db';
import { evidence, variantMaterials, variants } from '../db/schema';
import { groupBy } from '../../core/recommend/recommend';
import { laidOut, type ThingsOnHand, thingsOnHand } from './offers';
import type { GameRow, VariantRow } from './shelfRows';

type Materials = ReadonlyMap<string, { kind: string; quantity: number }[]>;

export function materialsByVariant(db: Db): Materials {
  const rows = db.select().from(variantMaterials).all();
  return new Map(
    [...groupBy(rows, (m) => m.variantId)].map(([id, list]) => [id, list.map((m) => ({ kind: m.kindId, quantity: m.quantity }))]),
  );
}

/** A variant as the API speaks of it. */
export function wireVariant(v: VariantRow, materials: Materials, here: ThingsOnHand) {
  const needs = materials.get(v.id) ?? [];
  return {
    id: v.id,
    game: v.gameId,
    title: v.title,
    mechanism: v.mechanism,
    parameters: v.parameters,
    ages: [v.agesMin, v.agesMax] as [number, number],
    players: { min: v.playersMin, max: v.playersMax },
    minutes: v.minutes,
    materials: needs,
    standIns: (laidOut(here, needs, v.mechanism).standIns ?? []).map(({ instead, say }) => ({ instead, say })),
    helper: v.helper,
    room: v.room,
    preparationMinutes: v.preparationMinutes,
    steps: v.steps,
    uses: v.uses,
    declared: v.declared,
    said: v.said,
    retired: v.retiredAt !== null,
    version: v.version,
  };
}

export function wireVariants(db: Db, rows: readonly VariantRow[]) {
  const materials = materialsByVariant(db);
  const played = playedOf(db, rows);
  const here = thingsOnHand(db);
  return rows.map((v) => wireVariant(played.has(v.id) ? { ...v, said: 'owner' } : v, materials, here));
}

/** Guessed versions that somebody has noted something about: they were played, so the guess held. */
function playedOf(db: Db, rows: readonly VariantRow[]): ReadonlySet<string> {
  const guessed = rows.filter((v) => v.said === 'guessed').map((v) => v.id);
  if (guessed.length === 0) return new Set();
  const noted = db.selectDistinct({ id: evidence.variantId }).from(evidence).where(inArray(evidence.variantId, guessed)).all();
  return new Set(noted.flatMap(({ id }) => id ?? []));
}

const helperOrder = ['alone', 'nearby', 'needed'] as const;

/** What a game is told by of its versions; of the numbers only the first version's are looked at, so they stay text. */
const spanned = {
  id: variants.id,
  game: variants.gameId,
  mechanism: variants.mechanism,
  parameters: sql<string>`${variants.parameters}`,
  agesMin: variants.agesMin,
  agesMax: variants.agesMax,
  playersMin: variants.playersMin,
  playersMax: variants.playersMax,
  minutes: variants.minutes,
  helper: variants.helper,
  preparationMinutes: variants.preparationMinutes,
};

/** Games with what their variants in use span together. */
export function wireGames(db: Db, rows: readonly GameRow[]) {
  const materials = materialsByVariant(db);
  const inUse = db.select(spanned).from(variants).where(isNull(variants.retiredAt)).all();
  const byGame = groupBy(inUse, (v) => v.game);
  return rows.map((g) => {
    const own = byGame.get(g.id) ?? [];
    const wanted = new Map<string, number>();
    for (const v of own) for (const m of materials.get(v.id) ?? []) wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
    return {
      id: g.id,
      game: g.id,
      title: g.title,
      bin: g.binId,
      source: g.source,
      condition: g.condition,
      notes: g.notes,
      rules: ownLines(
        g.rules,
        own.map((v) => v.mechanism),
      ),
      tags: g.tags,
      retired: g.retiredAt !== null,
      version: g.version,
      variants: own.map((v) => v.id),
      mechanism: own[0]?.mechanism ?? null,
      parameters: own[0] ? (JSON.parse(own[0].parameters) as Record<string, unknown>) : {},
      ages: own.length > 0 ? [Math.min(...own.map((v) => v.agesMin)), Math.max(...own.map((v) => v.agesMax))] : [],
      players: own.length > 0 ? { min: Math.min(...own.map((v) => v.playersMin)), max: Math.max(...own.map((v) => v.playersMax)) } : null,
      minutes: own.length > 0 ? Math.min(...own.map((v) => v.minutes)) : null,
      materials: [...wanted].map(([kind, quantity]) => ({ kind, quantity })),
      helper: helperOrder[Math.max(0, ...own.map((v) => helperOrder.indexOf(v.helper)))]!,
      preparationMinutes: Math.max(0, ...own.map((v) => v.preparationMinutes)),
    };
  });
}
