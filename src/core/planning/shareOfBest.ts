import { familyOf, type PlanInstance, rests, type Schedule } from './instance';
import { learnerValue } from './objective';

/** Under this part of the best for a child alone the plan says so. */
export const leastShareOfBest = 0.5;

/** What as many different games as a learner has rounds could give at best if nobody else were there: each time the one that adds most. */
export function bestAlone(instance: PlanInstance, learner: number): number {
  const rounds = Array.from({ length: instance.rounds }, (_, r) => r).filter((r) => !rests(instance, learner, r)).length;
  const games: number[] = [];
  const families = new Set<number>();
  let value = 0;
  for (let r = 0; r < rounds; r++) {
    let best = -1;
    let bestValue = value;
    for (let g = 0; g < instance.games.length; g++) {
      if (instance.value[learner]![g]! < 0 || families.has(familyOf(instance, g))) continue;
      const with_ = learnerValue(instance, learner, [...games, g]);
      if (with_ > bestValue) [best, bestValue] = [g, with_];
    }
    if (best < 0) break;
    games.push(best);
    families.add(familyOf(instance, best));
    value = bestValue;
  }
  return value;
}

/** By learner: the worth of a schedule as a part of the best for that learner alone; 1 where nothing could be given. */
export function sharesOfBest(instance: PlanInstance, schedule: Schedule): number[] {
  const games: number[][] = Array.from({ length: instance.learners }, () => []);
  for (const round of schedule)
    for (const t of round) for (const l of t.learners) if (instance.value[l]![t.game]! >= 0) games[l]!.push(t.game);
  return games.map((list, l) => {
    const best = bestAlone(instance, l);
    return best <= 0 ? 1 : Math.min(1, learnerValue(instance, l, list) / best);
  });
}
