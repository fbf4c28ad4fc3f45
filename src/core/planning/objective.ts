import type { PlanInstance, Schedule } from './instance';

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

export function objectiveOf(instance: PlanInstance, schedule: Schedule): number {
  const games: number[][] = Array.from({ length: instance.learners }, () => []);
  for (const round of schedule) for (const table of round) for (const l of table.learners) games[l]!.push(table.game);
  return games.reduce((sum, list, l) => sum + learnerValue(instance, l, list), 0);
}
