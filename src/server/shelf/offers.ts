import { graphOf } from '../db/graphOf';
import { DEFAULT_ERROR_RATE } from '../../core/simulate/seats';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Offer } from '../../core/recommend/offer';
import { groupBy } from '../../core/recommend/recommend';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { games, kinds, variantMaterials } from '../db/schema';
import { faultOf, knownDoses, profileTask, usualSeats } from '../simulations/profileStore';
import { settleMeasures, variantsInUse } from './measure';
import type { VariantRow } from './shelfRows';

/** A page waits so long for versions that are new; a whole shelf is measured beside it. */
const waitMs = 2500;

/** Offers as they are, after a short wait for versions that were just added. */
export async function offersOf(db: Db): Promise<readonly Offer[]> {
  await settleMeasures(db, waitMs);
  return offersNow(db);
}

const lastOffers = new WeakMap<object, { readonly changes: number; readonly graph: SkillGraph; readonly offers: readonly Offer[] }>();

/** Rows written through this connection so far: as long as it stands still, so does the shelf. */
const changesSoFar = (db: Db): number => (db.$client.prepare('SELECT total_changes() AS n').get() as { n: number }).n;

/** Every variant in use, with what is known of what it practises; nothing is played for it. */
export function offersNow(db: Db): readonly Offer[] {
  const graph = graphOf(db);
  const changes = changesSoFar(db);
  const last = lastOffers.get(db.$client);
  if (last?.changes === changes && last.graph === graph) return last.offers;
  const offers = readOffers(db, graph);
  lastOffers.set(db.$client, { changes, graph, offers });
  return offers;
}

function readOffers(db: Db, graph: SkillGraph): Offer[] {
  const titles = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, g.title]),
  );
  const rows = variantsInUse(db);
  const materials = groupBy(db.select().from(variantMaterials).all(), (m) => m.variantId);
  const mixOf = mixClasses(rows);
  return rows.map((v): Offer => ({
    variant: v.id,
    game: v.gameId,
    title: v.title,
    gameTitle: titles.get(v.gameId)!,
    mixClass: mixOf.get(v.id)!,
    mechanism: v.mechanism,
    parameters: { ...(v.mechanism ? mechanismById(v.mechanism)?.defaults : {}), ...v.parameters },
    players: [v.playersMin, v.playersMax],
    ages: [v.agesMin, v.agesMax],
    helper: v.helper,
    preparationMinutes: v.preparationMinutes,
    materials: (materials.get(v.id) ?? []).map((m) => ({ kind: m.kindId, quantity: m.quantity })),
    ...practiceOf(db, graph, v),
  }));
}

/** What a version practises and how long it takes. Where it was played by the machine, that is how long it takes, whatever was typed. */
function practiceOf(db: Db, graph: SkillGraph, v: VariantRow): Pick<Offer, 'doses' | 'source' | 'minutes'> {
  const doses = new Float64Array(graph.skills.length);
  if (v.mechanism) {
    const task = profileTask(db, v, usualSeats(v));
    if (faultOf(task)) return { doses, source: 'faulty', minutes: v.minutes };
    const known = knownDoses(db, task);
    if (!known) return { doses, source: 'measuring', minutes: v.minutes };
    for (const [skill, mean] of known.summary.doses) {
      const k = graph.indexOf.get(skill);
      if (k !== undefined) doses[k] = mean;
    }
    return { doses, source: 'calculated', minutes: known.summary.minutes };
  }
  for (const d of v.declared) if (graph.indexOf.has(d.skill)) doses[graph.indexOf.get(d.skill)!] = d.perTenMinutes;
  return { doses, source: v.declared.length > 0 ? 'declared' : 'none', minutes: v.minutes };
}

/** Variants of one game that can sit at one table share a class: the rules say so, not a list. */
function mixClasses(rows: readonly VariantRow[]): Map<string, string> {
  const classes = new Map<string, string>();
  const headsOf = new Map<string, VariantRow[]>();
  for (const v of rows) {
    const heads = headsOf.get(v.gameId) ?? [];
    const head = heads.find((h) => canMix(h, v));
    if (!head) headsOf.set(v.gameId, [...heads, v]);
    classes.set(v.id, head?.id ?? v.id);
  }
  return classes;
}

function canMix(x: VariantRow, y: VariantRow): boolean {
  if (!x.mechanism || !y.mechanism) return !x.mechanism && !y.mechanism;
  const mechanism = mechanismById(x.mechanism);
  if (!mechanism || x.mechanism !== y.mechanism) return false;
  const seat = (v: VariantRow) => ({
    parameters: { ...mechanism.defaults, ...v.parameters },
    policy: 'typical' as const,
    errorRate: DEFAULT_ERROR_RATE,
    headStart: 0,
  });
  try {
    return mechanism.checkTable?.([seat(x), seat(y)]) == null;
  } catch {
    // Numbers that got in past the door take only their own version out.
    return false;
  }
}

export function stockOf(db: Db): { stock: Map<string, number>; plentiful: Set<string>; titles: Map<string, string> } {
  const all = db.select().from(kinds).all();
  return {
    stock: new Map(all.map((k) => [k.id, k.plentiful ? 9999 : k.quantity])),
    plentiful: new Set(all.filter((k) => k.plentiful).map((k) => k.id)),
    titles: new Map(all.map((k) => [k.id, k.title])),
  };
}
