import type { Db } from '../db/db';
import { variantMaterials, variants } from '../db/schema';
import { groupBy } from '../../core/recommend/recommend';
import type { GameRow, VariantRow } from './shelfRows';

type Materials = ReadonlyMap<string, { kind: string; quantity: number }[]>;

export function materialsByVariant(db: Db): Materials {
  const rows = db.select().from(variantMaterials).all();
  return new Map(
    [...groupBy(rows, (m) => m.variantId)].map(([id, list]) => [id, list.map((m) => ({ kind: m.kindId, quantity: m.quantity }))]),
  );
}

/** A variant as the API speaks of it. */
export function wireVariant(v: VariantRow, materials: Materials) {
  return {
    id: v.id,
    game: v.gameId,
    title: v.title,
    mechanism: v.mechanism,
    parameters: v.parameters,
    ages: [v.agesMin, v.agesMax] as [number, number],
    players: { min: v.playersMin, max: v.playersMax },
    minutes: v.minutes,
    materials: materials.get(v.id) ?? [],
    helper: v.helper,
    preparationMinutes: v.preparationMinutes,
    declared: v.declared,
    retired: v.retiredAt !== null,
    version: v.version,
  };
}

export function wireVariants(db: Db, rows: readonly VariantRow[]) {
  const materials = materialsByVariant(db);
  return rows.map((v) => wireVariant(v, materials));
}

const helperOrder = ['alone', 'nearby', 'needed'] as const;

/** Games with what their variants in use span together. */
export function wireGames(db: Db, rows: readonly GameRow[]) {
  const byGame = groupBy(
    wireVariants(db, db.select().from(variants).all()).filter((v) => !v.retired),
    (v) => v.game,
  );
  return rows.map((g) => {
    const own = byGame.get(g.id) ?? [];
    const wanted = new Map<string, number>();
    for (const v of own) for (const m of v.materials) wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
    return {
      id: g.id,
      game: g.id,
      title: g.title,
      bin: g.binId,
      source: g.source,
      condition: g.condition,
      notes: g.notes,
      rules: g.rules,
      retired: g.retiredAt !== null,
      version: g.version,
      variants: own.map((v) => v.id),
      mechanism: own[0]?.mechanism ?? null,
      parameters: own[0]?.parameters ?? {},
      ages: own.length > 0 ? [Math.min(...own.map((v) => v.ages[0])), Math.max(...own.map((v) => v.ages[1]))] : [],
      players: own.length > 0 ? { min: Math.min(...own.map((v) => v.players.min)), max: Math.max(...own.map((v) => v.players.max)) } : null,
      minutes: own.length > 0 ? Math.min(...own.map((v) => v.minutes)) : null,
      materials: [...wanted].map(([kind, quantity]) => ({ kind, quantity })),
      helper: helperOrder[Math.max(0, ...own.map((v) => helperOrder.indexOf(v.helper)))]!,
      preparationMinutes: Math.max(0, ...own.map((v) => v.preparationMinutes)),
    };
  });
}
