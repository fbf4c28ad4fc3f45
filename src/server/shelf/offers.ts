import { isNull } from 'drizzle-orm';
import { graphInUse } from '../../contract/graphInUse';
import { DEFAULT_ERROR_RATE } from '../../core/simulate/seats';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Mechanism } from '../../core/mechanisms/mechanism';
import type { Offer } from '../../core/recommend/offer';
import type { Db } from '../db/db';
import { games, kinds, variantMaterials, variants } from '../db/schema';
import { doseSummary, profileTask, usualSeats } from '../simulations/profileStore';
import type { VariantRow } from './shelfStore';

/** Every variant in use, with what it practises; profiles not known yet are worked out first. */
export async function offersOf(db: Db): Promise<Offer[]> {
  const graph = graphInUse();
  const inUse = new Map(
    db
      .select()
      .from(games)
      .where(isNull(games.retiredAt))
      .all()
      .map((g) => [g.id, g]),
  );
  const rows = db
    .select()
    .from(variants)
    .where(isNull(variants.retiredAt))
    .all()
    .filter((v) => inUse.has(v.gameId));
  const materials = db.select().from(variantMaterials).all();
  const mixOf = mixClasses(rows);
  return Promise.all(
    rows.map(async (v): Promise<Offer> => {
      let doses = new Float64Array(graph.skills.length);
      let source: Offer['source'] = 'none';
      let minutes = v.minutes;
      if (v.mechanism) {
        const summary = await doseSummary(db, profileTask(v, usualSeats(v)));
        source = 'calculated';
        minutes = Math.min(v.minutes, summary.minutes);
        doses = Float64Array.from(summary.doses);
      } else if (v.declared.length > 0) {
        source = 'declared';
        for (const d of v.declared) if (graph.indexOf.has(d.skill)) doses[graph.indexOf.get(d.skill)!] = d.perTenMinutes;
      }
      return {
        variant: v.id,
        game: v.gameId,
        title: v.title,
        gameTitle: inUse.get(v.gameId)!.title,
        mixClass: mixOf.get(v.id)!,
        mechanism: v.mechanism,
        parameters: { ...(v.mechanism ? mechanismById(v.mechanism)?.defaults : {}), ...v.parameters },
        players: [v.playersMin, v.playersMax],
        ages: [v.agesMin, v.agesMax],
        minutes,
        helper: v.helper,
        preparationMinutes: v.preparationMinutes,
        materials: materials.filter((m) => m.variantId === v.id).map((m) => ({ kind: m.kindId, quantity: m.quantity })),
        doses,
        source,
      };
    }),
  );
}

/** Variants of one game that can sit at one table share a class: the rules say so, not a list. */
function mixClasses(rows: readonly VariantRow[]): Map<string, string> {
  const classes = new Map<string, string>();
  const heads: VariantRow[] = [];
  for (const v of rows) {
    const head = heads.find((h) => h.gameId === v.gameId && canMix(h, v));
    if (!head) heads.push(v);
    classes.set(v.id, head?.id ?? v.id);
  }
  return classes;
}

function canMix(x: VariantRow, y: VariantRow): boolean {
  if (!x.mechanism || !y.mechanism) return !x.mechanism && !y.mechanism;
  if (x.mechanism !== y.mechanism) return false;
  const mechanism = mechanismById(x.mechanism) as Mechanism;
  const seat = (v: VariantRow) => ({
    parameters: { ...mechanism.defaults, ...v.parameters },
    policy: 'typical' as const,
    errorRate: DEFAULT_ERROR_RATE,
    headStart: 0,
  });
  return mechanism.checkTable?.([seat(x), seat(y)]) == null;
}

export function stockOf(db: Db): { stock: Map<string, number>; plentiful: Set<string>; titles: Map<string, string> } {
  const all = db.select().from(kinds).all();
  return {
    stock: new Map(all.map((k) => [k.id, k.plentiful ? 9999 : k.quantity])),
    plentiful: new Set(all.filter((k) => k.plentiful).map((k) => k.id)),
    titles: new Map(all.map((k) => [k.id, k.title])),
  };
}
