import { familyOf, type PlanInstance, rests, type Schedule } from './instance';

export type Violation =
  | { readonly rule: 'placed'; readonly learner: number; readonly round: number; readonly times: number }
  | { readonly rule: 'eligible' | 'repeat'; readonly learner: number; readonly round: number; readonly game: number }
  | { readonly rule: 'size'; readonly round: number; readonly game: number; readonly size: number }
  | { readonly rule: 'tables' | 'helpers'; readonly round: number; readonly used: number; readonly have: number }
  | { readonly rule: 'stock'; readonly round: number; readonly kind: number; readonly used: number; readonly have: number }
  | { readonly rule: 'preparation'; readonly used: number; readonly have: number }
  | { readonly rule: 'lock'; readonly learner: number; readonly round: number; readonly game: number }
  | { readonly rule: 'apart'; readonly learner: number; readonly other: number; readonly round: number }
  | { readonly rule: 'loud'; readonly round: number; readonly used: number; readonly have: number }
  | { readonly rule: 'rounds'; readonly used: number; readonly have: number };

/** Every rule of a session, verified from the schedule alone, without trusting any solver. */
export function checkPlan(instance: PlanInstance, schedule: Schedule): Violation[] {
  const found: Violation[] = [];
  if (schedule.length !== instance.rounds) found.push({ rule: 'rounds', used: schedule.length, have: instance.rounds });
  const played: Map<number, number>[] = Array.from({ length: instance.learners }, () => new Map());
  const used = new Set<number>();
  for (const [round, tables] of schedule.entries()) {
    const seated = new Map<number, number>();
    const stock = new Map<number, number>();
    let helpers = 0;
    for (const { game, learners } of tables) {
      const g = instance.games[game]!;
      used.add(game);
      helpers += g.helper;
      if (learners.length < g.min || learners.length > g.max) found.push({ rule: 'size', round, game, size: learners.length });
      for (const [kind, quantity] of g.materials) stock.set(kind, (stock.get(kind) ?? 0) + quantity);
      for (const learner of learners) {
        seated.set(learner, (seated.get(learner) ?? 0) + 1);
        if (!(instance.value[learner]![game]! >= 0)) found.push({ rule: 'eligible', learner, round, game });
        const times = (played[learner]!.get(familyOf(instance, game)) ?? 0) + 1;
        if (times > (instance.timesEach ?? 1)) found.push({ rule: 'repeat', learner, round, game });
        played[learner]!.set(familyOf(instance, game), times);
      }
    }
    for (let learner = 0; learner < instance.learners; learner++) {
      const times = seated.get(learner) ?? 0;
      const rested = rests(instance, learner, round);
      if (times > (rested ? 0 : 1) || (times === 0 && !rested && !instance.aims?.rest))
        found.push({ rule: 'placed', learner, round, times });
    }
    for (const [learner, other] of instance.aims?.apart ?? [])
      if (tables.some((t) => t.learners.includes(learner) && t.learners.includes(other)))
        found.push({ rule: 'apart', learner, other, round });
    const loud = tables.filter((t) => instance.games[t.game]!.loud).length;
    if (instance.aims?.loud !== undefined && loud > instance.aims.loud)
      found.push({ rule: 'loud', round, used: loud, have: instance.aims.loud });
    if (tables.length > instance.tables) found.push({ rule: 'tables', round, used: tables.length, have: instance.tables });
    if (helpers > instance.helpers) found.push({ rule: 'helpers', round, used: helpers, have: instance.helpers });
    for (const [kind, quantity] of stock)
      if (quantity > instance.stock[kind]!) found.push({ rule: 'stock', round, kind, used: quantity, have: instance.stock[kind]! });
  }
  const preparation = [...used].reduce((sum, g) => sum + instance.games[g]!.preparation, 0);
  if (preparation > instance.preparationMinutes + 1e-9)
    found.push({ rule: 'preparation', used: preparation, have: instance.preparationMinutes });
  for (const lock of instance.locks ?? []) {
    const there = schedule[lock.round]?.some((t) => t.game === lock.game && t.learners.includes(lock.learner));
    if (!there) found.push({ rule: 'lock', ...lock });
  }
  return found;
}
