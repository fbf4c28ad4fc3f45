import { graphOf } from '../db/graphOf';
import { canShare } from '../../core/mechanisms/canShare';
import { shippedSubstitutes } from '../../contract/shippedData';
import { minutesLeft } from '../../core/materials/gettingReady';
import { onHand, plenty } from '../../core/materials/onHand';
import { type Need, type StandIn, type Substitute, withStandIns } from '../../core/materials/substitutes';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Offer } from '../../core/recommend/offer';
import { groupBy } from '../../core/recommend/recommend';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { games, kinds, variantMaterials, variants } from '../db/schema';
import { stepsDone } from '../prep/prepTicks';
import { shelfStamp } from '../db/stamps';
import { faultOf, faultsNoted, knownDoses, profileTask, usualSeats } from '../simulations/profileStore';
import { settleMeasures, variantsInUse } from './measure';
import type { VariantRow } from './shelfRows';

/** A page waits so long for versions that are new; a whole shelf is measured beside it. */
const waitMs = 2500;

/** Offers as they are, after a short wait for versions that were just added. */
export async function offersOf(db: Db): Promise<readonly Offer[]> {
  await settleMeasures(db, waitMs);
  return offersNow(db);
}

const lastOffers = new WeakMap<object, { readonly stamp: string; readonly graph: SkillGraph; readonly offers: readonly Offer[] }>();

/** Every variant in use, with what is known of what it practises; nothing is played for it. */
export function offersNow(db: Db): readonly Offer[] {
  const graph = graphOf(db);
  const stamp = `${shelfStamp(db)} ${faultsNoted()}`;
  const last = lastOffers.get(db.$client);
  if (last?.stamp === stamp && last.graph === graph) return last.offers;
  const offers = readOffers(db, graph);
  if (!db.$client.inTransaction) lastOffers.set(db.$client, { stamp, graph, offers });
  return offers;
}

/** Versions that are put away, or whose game is, as offers: what bringing them back would give. */
export function offersPutAway(db: Db): Offer[] {
  const inUse = new Set(variantsInUse(db).map((v) => v.id));
  return readOffers(
    db,
    graphOf(db),
    db
      .select()
      .from(variants)
      .all()
      .filter((v) => !inUse.has(v.id)),
  );
}

function readOffers(db: Db, graph: SkillGraph, rows: readonly VariantRow[] = variantsInUse(db)): Offer[] {
  const titles = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, g.title]),
  );
  const materials = groupBy(db.select().from(variantMaterials).all(), (m) => m.variantId);
  const here = thingsOnHand(db);
  const mixOf = mixClasses(rows);
  const done = stepsDone(db);
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
    room: v.room,
    // What is left of it: what was made once is there.
    preparationMinutes: minutesLeft(v, done.get(v.id)),
    ...laidOut(
      here,
      (materials.get(v.id) ?? []).map((m) => ({ kind: m.kindId, quantity: m.quantity })),
      v.mechanism,
    ),
    ...practiceOf(db, graph, v),
  }));
}

/** What a version practises and how long it takes. Where it was played by the machine, that is how long it takes, whatever was typed. */
function practiceOf(db: Db, graph: SkillGraph, v: VariantRow): Pick<Offer, 'doses' | 'source' | 'minutes' | 'counted'> {
  if (v.mechanism) {
    const seats = usualSeats(v);
    const task = profileTask(db, v, seats);
    if (faultOf(task)) return { doses: dosesIn(graph, nothing), source: 'faulty', minutes: v.minutes };
    const known = knownDoses(db, task);
    if (!known) return { doses: dosesIn(graph, nothing), source: 'measuring', minutes: v.minutes };
    const { doses, minutes, waiting } = known.summary;
    const counted = waiting === undefined ? {} : { counted: { seats, waiting } };
    return { doses: dosesIn(graph, doses), source: 'calculated', minutes, ...counted };
  }
  const own = v.declared.length === 0 ? nothing : v.declared.map((d) => [d.skill, d.perTenMinutes] as const);
  return { doses: dosesIn(graph, own), source: own === nothing ? 'none' : v.said === 'words' ? 'words' : 'declared', minutes: v.minutes };
}

type Listed = readonly (readonly [skill: string, perTenMinutes: number])[];
const nothing: Listed = [];
const byGraph = new WeakMap<SkillGraph, WeakMap<Listed, Float64Array>>();

/** Chances by index of skill; versions that are played alike share them. */
function dosesIn(graph: SkillGraph, listed: Listed): Float64Array {
  let known = byGraph.get(graph);
  if (!known) byGraph.set(graph, (known = new WeakMap()));
  const before = known.get(listed);
  if (before) return before;
  const doses = new Float64Array(graph.skills.length);
  for (const [skill, mean] of listed) {
    const k = graph.indexOf.get(skill);
    if (k !== undefined) doses[k] = mean;
  }
  known.set(listed, doses);
  return doses;
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
  return canShare(mechanism, x.parameters, y.parameters);
}

/** What is there of every kind, and what the owner said will do in its place. */
export interface ThingsOnHand {
  readonly have: (kind: string) => number;
  readonly accepted: (s: Substitute) => boolean;
}

export function thingsOnHand(db: Db): ThingsOnHand {
  const rows = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((k) => [k.id, k]),
  );
  return {
    have: (kind) => {
      const row = rows.get(kind);
      return row ? onHand(row) : 0;
    },
    accepted: (s) => rows.get(s.for)?.standIn === s.use,
  };
}

/** What a table of a version takes of what is there, with what stands in for what is not. */
export function laidOut(
  { have, accepted }: ThingsOnHand,
  needs: readonly Need[],
  mechanism: string | null,
): { readonly materials: readonly Need[]; readonly standIns?: readonly StandIn[] } {
  const found = withStandIns(needs, have, shippedSubstitutes, mechanism, accepted);
  return { materials: found.needs, ...(found.standIns.length > 0 ? { standIns: found.standIns } : {}) };
}

export function stockOf(db: Db): { stock: Map<string, number>; plentiful: Set<string>; titles: Map<string, string> } {
  const all = db.select().from(kinds).all();
  return {
    stock: new Map(all.map((k) => [k.id, onHand(k)])),
    plentiful: new Set(all.filter((k) => onHand(k) === plenty).map((k) => k.id)),
    titles: new Map(all.map((k) => [k.id, k.title])),
  };
}
