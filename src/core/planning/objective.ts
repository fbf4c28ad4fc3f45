import { familyOf, type PlanInstance, restPrice, rests, type Schedule } from './instance';

/** Concave worth of so many units of dose on one gap of weight 1. */
export function gapWorth(slopes: readonly number[], units: number): number {
  let worth = 0;
  for (let s = 0; s < slopes.length; s++) worth += slopes[s]! * Math.max(0, Math.min(1, units - s));
  return worth;
}

/** Value of the games one learner plays: Σ value + Σ gap weight × concave dose. */
export function learnerValue(instance: PlanInstance, learner: number, games: readonly number[]): number {
  let total = 0;
  const units = new Float64Array(instance.gaps[learner]!.length);
  for (const g of games) {
    total += instance.value[learner]![g]!;
    for (const [gap, dose] of instance.dose[learner]![g] ?? []) units[gap]! += dose;
  }
  for (let i = 0; i < units.length; i++) total += instance.gaps[learner]![i]! * gapWorth(instance.slopes, units[i]!);
  return total;
}

/** What a schedule is worth to each learner, without any price. */
export function learnerValues(instance: PlanInstance, schedule: Schedule): number[] {
  const games: number[][] = Array.from({ length: instance.learners }, () => []);
  for (const round of schedule) for (const table of round) for (const l of table.learners) games[l]!.push(table.game);
  return games.map((list, l) => learnerValue(instance, l, list));
}

/** The sum of worth to all, less what the aims beside it cost. */
export function objectiveOf(instance: PlanInstance, schedule: Schedule): number {
  const worth = learnerValues(instance, schedule).reduce((sum, v) => sum + v, 0);
  return worth - Object.values(pricesOf(instance, schedule)).reduce((sum, p) => sum + p, 0);
}

export interface Prices {
  readonly floor: number;
  readonly rest: number;
  readonly keep: number;
  readonly together: number;
  readonly fetch: number;
  readonly fresh: number;
}

/** What each aim beside the sum costs in a schedule; below 0 where it is a gain (seats kept, companions). */
export function pricesOf(instance: PlanInstance, schedule: Schedule): Prices {
  const { aims = {}, games } = instance;
  const values = learnerValues(instance, schedule);
  const floor = aims.floor ? values.reduce((sum, v, l) => sum + aims.floor!.price * Math.max(0, aims.floor!.least[l]! - v), 0) : 0;
  const rest = aims.rest
    ? aims.rest.reduce((sum, price, l) => {
        const without = schedule.filter((tables, r) => !rests(instance, l, r) && !tables.some((t) => t.learners.includes(l))).length;
        return sum + restPrice(price, without);
      }, 0)
    : 0;
  const kept = schedule.flatMap((tables, r) => tables.flatMap((t) => t.learners.filter((l) => aims.keep?.games[l]?.[r] === t.game)));
  const together = (aims.together ?? []).reduce((sum, { pair, worth }) => {
    const times = schedule.flat().filter((t) => pair.every((l) => t.learners.includes(l))).length;
    return sum + worth.slice(0, times).reduce((s, w) => s + w, 0);
  }, 0);
  const used = new Set(schedule.flat().map((t) => t.game));
  const fetched = new Map([...used].map((g) => [familyOf(instance, g), games[g]!.fetch ?? 0]));
  const fresh = aims.fresh
    ? schedule.reduce(
        (sum, tables) => sum + aims.fresh!.price * Math.max(0, tables.filter((t) => games[t.game]!.fresh).length - aims.fresh!.free),
        0,
      )
    : 0;
  return {
    floor,
    rest,
    keep: -(aims.keep?.worth ?? 0) * kept.length || 0,
    together: -together || 0,
    fetch: [...fetched.values()].reduce((sum, p) => sum + p, 0),
    fresh,
  };
}
