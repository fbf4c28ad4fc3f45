import { spread } from './exactModel';
import { familyOf, type PlanInstance, rests, type Schedule } from './instance';
import { type LinearModel, ModelBuilder } from './linearModel';

/** One rule that gives way, and by how much: more tables, helpers, things of a kind (on one table), minutes, or what is let go. */
export type Relaxation =
  | { readonly relax: 'tables' | 'helpers' | 'preparation'; readonly by: number }
  | { readonly relax: 'stock'; readonly kind: number; readonly by: number }
  | { readonly relax: 'lock'; readonly lock: number }
  | { readonly relax: 'repeats'; readonly by: number }
  /** More than one lively table a round; two who are kept apart. */
  | { readonly relax: 'lively' }
  | { readonly relax: 'apart' };

export interface SeatModel {
  readonly model: LinearModel;
  scheduleOf(values: readonly number[]): Schedule;
  /** Rounds of learners without a seat. */
  unseatedIn(values: readonly number[]): number;
  relaxationsIn(values: readonly number[]): Relaxation[];
}

/** A seat that is missing weighs more than all rules given way together, a rule more than how far it gives way. */
const perSeat = 1000;
const perRule = 20;
/** So far a rule may give way: more is another session. */
const mostTables = 4;
const mostHelpers = 4;
const mostPreparation = 240;
const perPreparation = 1 / 60;
const perRepeat = 0.5;

/**
 * Who can sit at all, whatever it is worth: seats x(l,g,r), tables n(g,r), games used u(g), rounds without a seat. With
 * `relax` every rule may give way at a price, so that the smallest set of rules comes out that would let all sit down.
 */
export function seatModel(instance: PlanInstance, { relax }: { readonly relax: boolean }): SeatModel {
  const { learners: L, rounds: R, games, aims = {} } = instance;
  const b = new ModelBuilder();
  const each = (n: number): number[] => Array.from({ length: n }, (_, i) => i);
  const tables = instance.tables + (relax ? mostTables : 0);
  const found: { readonly amount: number; readonly is: (by: number) => Relaxation }[] = [];
  /** How far one rule gives way, as a term of its row; nothing where rules stay. */
  const slack = (most: number, price: number, is: (by: number) => Relaxation, whole = true): [number, number][] => {
    if (!relax) return [];
    const amount = b.variable(-price, 0, most, whole);
    const given = b.variable(-perRule, 0, 1, true);
    b.row(-Infinity, 0, [
      [amount, 1],
      [given, -most],
    ]);
    found.push({ amount, is });
    return [[amount, -1]];
  };
  const moreTables = slack(mostTables, 1, (by) => ({ relax: 'tables', by }));
  const moreHelpers = slack(mostHelpers, 1, (by) => ({ relax: 'helpers', by }));
  const moreTime = slack(mostPreparation, perPreparation, (by) => ({ relax: 'preparation', by }), false);
  const moreOf = instance.stock.map((_, kind) => {
    const least = Math.max(0, ...games.flatMap((g) => g.materials.filter(([k]) => k === kind).map(([, q]) => q)));
    return least === 0 ? [] : slack(least * tables, 1 / least, (by) => ({ relax: 'stock', kind, by }));
  });
  const again = slack(L * R, perRepeat, (by) => ({ relax: 'repeats', by }));
  const x = new Map<number, number>();
  const key = (l: number, g: number, r: number): number => (l * games.length + g) * R + r;
  const at = (l: number, g: number, r: number): [number, number][] => {
    const v = x.get(key(l, g, r));
    return v === undefined ? [] : [[v, 1]];
  };
  for (const l of each(L))
    for (const g of each(games.length))
      if (instance.value[l]![g]! >= 0) for (const r of each(R)) if (!rests(instance, l, r)) x.set(key(l, g, r), b.variable(0, 0, 1, true));
  for (const [i, { learner, round, game }] of (instance.locks ?? []).entries()) {
    const here = at(learner, game, round);
    const given: [number, number][] = relax ? [[b.variable(-perRule, 0, 1, true), 1]] : [];
    b.row(1, Infinity, [...here, ...given]);
    if (relax) found.push({ amount: given[0]![0], is: () => ({ relax: 'lock', lock: i }) });
  }
  const without: number[] = [];
  const repeats: [number, number][] = [];
  for (const l of each(L)) {
    for (const r of each(R)) {
      if (rests(instance, l, r)) continue;
      const rest = b.variable(-perSeat, 0, 1, true);
      without.push(rest);
      b.row(1, 1, [...each(games.length).flatMap((g) => at(l, g, r)), [rest, 1]]);
    }
    const families = new Map<number, [number, number][]>();
    for (const g of each(games.length)) {
      const f = familyOf(instance, g);
      families.set(f, [...(families.get(f) ?? []), ...each(R).flatMap((r) => at(l, g, r))]);
    }
    for (const members of families.values()) {
      if (members.length <= (instance.timesEach ?? 1)) continue;
      const twice: [number, number][] = relax ? [[b.variable(0, 0, R, true), -1]] : [];
      repeats.push(...twice);
      b.row(-Infinity, instance.timesEach ?? 1, [...members, ...twice]);
    }
  }
  if (relax) b.row(-Infinity, 0, [...repeats.map(([v]): [number, number] => [v, 1]), ...again]);
  const n = games.map(() => each(R).map(() => b.variable(0, 0, tables, true)));
  const u = games.map((game, i): number | null => {
    if (game.preparation === 0) return null;
    const used = b.variable(0, 0, 1, true);
    for (const v of n[i]!)
      b.row(-Infinity, 0, [
        [v, 1],
        [used, -tables],
      ]);
    return used;
  });
  for (const g of each(games.length))
    for (const r of each(R)) {
      const seats = each(L).flatMap((l) => at(l, g, r));
      b.row(0, Infinity, [...seats, [n[g]![r]!, -games[g]!.min]]);
      b.row(-Infinity, 0, [...seats, [n[g]![r]!, -games[g]!.max]]);
    }
  for (const r of each(R)) {
    const of = (count: (g: (typeof games)[number]) => number): [number, number][] =>
      games.flatMap((game, g): [number, number][] => (count(game) > 0 ? [[n[g]![r]!, count(game)]] : []));
    b.row(-Infinity, instance.tables, [...of(() => 1), ...moreTables]);
    b.row(-Infinity, instance.helpers, [...of((g) => g.helper), ...moreHelpers]);
    for (const [kind, have] of instance.stock.entries())
      b.row(-Infinity, have, [...of((g) => g.materials.find(([k]) => k === kind)?.[1] ?? 0), ...moreOf[kind]!]);
    if (aims.loud !== undefined)
      b.row(
        -Infinity,
        aims.loud,
        of((g) => (g.loud ? 1 : 0)),
      );
  }
  b.row(-Infinity, instance.preparationMinutes, [
    ...games.flatMap((game, g): [number, number][] => (u[g] === null ? [] : [[u[g]!, game.preparation]])),
    ...moreTime,
  ]);
  return {
    model: b.build(),
    scheduleOf: (values) =>
      each(R).map((r) =>
        each(games.length).flatMap((g) =>
          spread(
            each(L).filter((l) => at(l, g, r).some(([v]) => values[v]! > 0.5)),
            Math.round(values[n[g]![r]!]!),
            g,
          ),
        ),
      ),
    unseatedIn: (values) => without.filter((v) => values[v]! > 0.5).length,
    relaxationsIn: (values) =>
      found.filter(({ amount }) => values[amount]! > 1e-6).map(({ amount, is }) => is(Math.ceil(values[amount]! - 1e-6))),
  };
}
