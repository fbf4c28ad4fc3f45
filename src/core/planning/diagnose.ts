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
const nodes = 400;
const hangingSeconds = 8;

/** Why not all find a seat: one mixed-integer programme in which every rule may give way at a price. */
export function diagnose(instance: PlanInstance, solve: SolveModel, unseatedBefore: number): Diagnosis {
  const seats = seatModel(instance, { relax: true });
  const { values } = solve(seats.model, { seconds: hangingSeconds, nodes, relativeGap: 1e-4 });
  if (!values) return { unseatedBefore, unseatedAfter: unseatedBefore, relax: [], clashes: [] };
  const relax = seats.relaxationsIn(values);
  const clashes = relax.flatMap((x) => (x.relax === 'lock' ? [{ lock: x.lock, other: clashOf(instance, x.lock) }] : []));
  return { unseatedBefore, unseatedAfter: seats.unseatedIn(values), relax, clashes };
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
