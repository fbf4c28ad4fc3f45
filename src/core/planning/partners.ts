import type { Offer } from '../recommend/offer';
import type { BuiltSession } from './buildSession';
import { familyOf, type PlannedTable, rests, type Schedule } from './instance';
import { learnerValue } from './objective';

/** A child without a seat of the own who plays as partner of another, on one seat. */
export interface Partner {
  readonly round: number;
  readonly table: number;
  readonly learner: number;
  /** Whose seat it is. */
  readonly holder: number;
}

/**
 * Before anybody rests because there was no seat, two share one: a game that is open to both, whose things and size
 * stay as they are. Who shares goes round, the version is the one that would be the child's own where there is a
 * choice, and none of the session's rules gives way: no game twice, nobody beside somebody to be kept apart. Who is to
 * rest does.
 */
export function partnersIn(
  built: Pick<BuiltSession, 'instance' | 'chosen'>,
  schedule: Schedule,
  /** Whether a version is open to a child: it may be another than the one that would be the child's own. */
  suits: (learner: number, offer: Offer) => boolean,
): Partner[] {
  const { instance, chosen } = built;
  const shared = new Array<number>(instance.learners).fill(0);
  const played = instance.gaps.map((_, l) => familiesOf(built, schedule, l));
  const found: Partner[] = [];
  for (const [round, tables] of schedule.entries()) {
    const seated = new Set(tables.flatMap((t) => t.learners));
    const taken = new Set<number>();
    const without = instance.gaps
      .map((_, l) => l)
      .filter((l) => !seated.has(l) && !rests(instance, l, round))
      .sort((x, y) => openTables(built, tables, x, played[x]!) - openTables(built, tables, y, played[y]!) || x - y);
    for (const learner of without) {
      let best: (Partner & { readonly score: readonly number[] }) | null = null;
      for (const [table, t] of tables.entries()) {
        if (!opens(built, t, learner, played[learner]!)) continue;
        // Who shares there already sits there too.
        const there = [...t.learners, ...found.filter((f) => f.round === round && f.table === table).map((f) => f.learner)];
        if (there.some((other) => apart(built, learner, other))) continue;
        for (const holder of t.learners) {
          if (taken.has(holder) || !suits(learner, chosen[holder]![t.game]!)) continue;
          const same = chosen[learner]![t.game]!.variant === chosen[holder]![t.game]!.variant ? 1 : 0;
          const score = [same, -shared[holder]!, learnerValue(instance, learner, [t.game])];
          if (!best || better(score, best.score)) best = { round, table, learner, holder, score };
        }
      }
      if (!best) continue;
      const { score: _, ...partner } = best;
      found.push(partner);
      taken.add(partner.holder);
      shared[partner.holder]!++;
      shared[learner]!++;
      const family = familyOf(instance, tables[partner.table]!.game);
      played[learner]!.set(family, (played[learner]!.get(family) ?? 0) + 1);
    }
  }
  return found;
}

const better = (x: readonly number[], y: readonly number[]): boolean => {
  const at = x.findIndex((v, i) => Math.abs(v - y[i]!) > 1e-12);
  return at >= 0 && x[at]! > y[at]!;
};

function opens(
  { instance }: Pick<BuiltSession, 'instance'>,
  table: PlannedTable,
  learner: number,
  played: ReadonlyMap<number, number>,
): boolean {
  return instance.value[learner]![table.game]! >= 0 && (played.get(familyOf(instance, table.game)) ?? 0) < (instance.timesEach ?? 1);
}

const openTables = (
  built: Pick<BuiltSession, 'instance'>,
  tables: readonly PlannedTable[],
  learner: number,
  played: ReadonlyMap<number, number>,
): number => tables.filter((t) => opens(built, t, learner, played)).length;

const apart = ({ instance }: Pick<BuiltSession, 'instance'>, x: number, y: number): boolean =>
  (instance.aims?.apart ?? []).some(([a, b]) => (a === x && b === y) || (a === y && b === x));

function familiesOf({ instance }: Pick<BuiltSession, 'instance'>, schedule: Schedule, learner: number): Map<number, number> {
  const times = new Map<number, number>();
  for (const t of schedule.flat())
    if (t.learners.includes(learner)) times.set(familyOf(instance, t.game), (times.get(familyOf(instance, t.game)) ?? 0) + 1);
  return times;
}
