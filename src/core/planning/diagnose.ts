import { createRng } from '../shared/rng';
import { greedy } from './greedy';
import { familyOf, type PlanInstance, type PlanLock } from './instance';
import type { SolveModel } from './linearModel';
import { type Relaxation, seatModel } from './seatModel';

/** What stands in the way of a seat for everybody, and the smallest set of rules whose giving way would bring it. */
export interface Diagnosis {
  /** Learner-rounds without a seat as things are, and with all of `relax` done. */
  readonly unseatedBefore: number;
  readonly unseatedAfter: number;
  /** To be done together; empty where no rule giving way would help. */
  readonly relax: readonly Relaxation[];
  /** Fixed seats that cannot be kept together, each with the one it cannot be kept beside where there is one. */
  readonly clashes: readonly { readonly lock: number; readonly other: number | null }[];
}

/** Counts, not a clock, so that the same is said anywhere; the clock ends only a solver that hangs. */
const nodes = 100;
const hangingSeconds = 4;

/** Why not all find a seat: one mixed-integer programme in which every rule may give way at a price. */
export function diagnose(instance: PlanInstance, solve: SolveModel, unseatedBefore: number): Diagnosis {
  const tried = wishesByTrial(instance, seatsAllWith) ?? oneByTrial(instance) ?? wishesByTrial(instance, oneByTrial);
  if (tried) return { unseatedBefore, unseatedAfter: 0, relax: tried, clashes: [] };
  const seats = seatModel(instance, { relax: true });
  const { values } = solve(seats.model, { seconds: hangingSeconds, nodes, relativeGap: 1e-4 });
  const left = values ? seats.unseatedIn(values) : Infinity;
  // A programme that was cut short may know less than can be found by trying.
  const two = left > 0 ? twoByTrial(instance) : null;
  if (two) return { unseatedBefore, unseatedAfter: 0, relax: two, clashes: [] };
  if (!values || left >= unseatedBefore) return { unseatedBefore, unseatedAfter: unseatedBefore, relax: [], clashes: [] };
  const relax = seats.relaxationsIn(values);
  const clashes = relax.flatMap((x) => (x.relax === 'lock' ? [{ lock: x.lock, other: clashOf(instance, x.lock) }] : []));
  return { unseatedBefore, unseatedAfter: seats.unseatedIn(values), relax, clashes };
}

const most = 4;
const triesEach = 3;

const more = (instance: PlanInstance, tables: number, helpers: number): PlanInstance => ({
  ...instance,
  tables: instance.tables + tables,
  helpers: instance.helpers + helpers,
});

/** A greedy plan that seats all is proof enough. */
function seatsAll(eased: PlanInstance): boolean {
  for (let i = 0; i < triesEach; i++) if (greedy(eased, createRng(1, i), 0.2 * i)) return true;
  return false;
}

/** Nothing more is needed. */
const seatsAllWith = (eased: PlanInstance): Relaxation[] | null => (seatsAll(eased) ? [] : null);

/** Wishes that give way, as few as will do, with what else it takes: what is wished costs nothing to have. */
function wishesByTrial(instance: PlanInstance, beside: (eased: PlanInstance) => Relaxation[] | null): Relaxation[] | null {
  const { loud, apart, ...aims } = instance.aims ?? {};
  const keeps = (lively: boolean, together: boolean): PlanInstance => ({
    ...instance,
    aims: { ...aims, ...(lively || loud === undefined ? {} : { loud }), ...(together || !apart ? {} : { apart }) },
  });
  const ways: (readonly [boolean, boolean])[] = [
    [true, false],
    [false, true],
    [true, true],
  ];
  for (const [lively, together] of ways) {
    if ((lively && loud === undefined) || (together && !apart)) continue;
    const more = beside(keeps(lively, together));
    if (more) return [...(lively ? [{ relax: 'lively' as const }] : []), ...(together ? [{ relax: 'apart' as const }] : []), ...more];
  }
  return null;
}

/** One rule that gives way a little, found by trying: a set of one is a smallest set. */
function oneByTrial(instance: PlanInstance): Relaxation[] | null {
  for (let by = 1; by <= most; by++) {
    if (seatsAll(more(instance, by, 0))) return [{ relax: 'tables', by }];
    if (seatsAll(more(instance, 0, by))) return [{ relax: 'helpers', by }];
  }
  return null;
}

/** Tables and helpers together. */
function twoByTrial(instance: PlanInstance): Relaxation[] | null {
  for (let sum = 2; sum <= 2 * most; sum++)
    for (let tables = Math.max(1, sum - most); tables <= Math.min(most, sum - 1); tables++)
      if (seatsAll(more(instance, tables, sum - tables)))
        return [
          { relax: 'tables', by: tables },
          { relax: 'helpers', by: sum - tables },
        ];
  return null;
}

/** The fixed seat that another cannot be kept beside, by the rules that two alone can break. */
function clashOf(instance: PlanInstance, lock: number): number | null {
  const locks = instance.locks ?? [];
  const a = locks[lock]!;
  const at = locks.findIndex((b, i) => i !== lock && cannotBoth(instance, a, b));
  return at < 0 ? null : at;
}

function cannotBoth(instance: PlanInstance, a: PlanLock, b: PlanLock): boolean {
  const [g, h] = [instance.games[a.game]!, instance.games[b.game]!];
  if (a.learner === b.learner)
    return (a.round === b.round && a.game !== b.game) || (a.round !== b.round && familyOf(instance, a.game) === familyOf(instance, b.game));
  if (a.round !== b.round) return a.game !== b.game && g.preparation + h.preparation > instance.preparationMinutes;
  if (a.game === b.game) return false;
  if (instance.tables < 2 || g.helper + h.helper > instance.helpers) return true;
  return instance.stock.some((have, kind) => {
    const of = (game: typeof g): number => game.materials.find(([k]) => k === kind)?.[1] ?? 0;
    return of(g) > 0 && of(h) > 0 && of(g) + of(h) > have;
  });
}
