import { familyOf, type PlanInstance, rests, type Schedule } from './instance';
import { type LinearModel, ModelBuilder } from './linearModel';

export interface ExactModel {
  readonly model: LinearModel;
  /** Reads a schedule out of a solution. */
  scheduleOf(values: readonly number[]): Schedule;
}

/** Weight of one missing seat in the elastic form: far above any value of playing. */
export const restPenalty = 1000;

/**
 * The session as one mixed-integer model: x(l,g,r) seats, n(g,r) tables of a game, u(g) use,
 * z(l,i,s) served parts of a gap (concave, so no binaries are needed).
 * With `menu` the tables of every round are fixed and only seats stay free.
 * With `elastic` learners may stay without a seat at a heavy price, so that what stands in
 * the way can be told.
 */
export function exactModel(instance: PlanInstance, options: { menu?: readonly (readonly number[])[]; elastic?: boolean } = {}): ExactModel {
  const { learners: L, rounds: R, games, tables: S, helpers: H } = instance;
  const G = games.length;
  const b = new ModelBuilder();
  const menuCount = options.menu?.map((list) => list.reduce((m, g) => m.set(g, (m.get(g) ?? 0) + 1), new Map<number, number>()));
  const cap = games.map((g) => capOf(instance, g));
  const x = new Map<number, number>();
  const key = (l: number, g: number, r: number): number => (l * G + g) * R + r;
  for (let l = 0; l < L; l++)
    for (let g = 0; g < G; g++) {
      if (!(instance.value[l]![g]! >= 0) || cap[g]! === 0) continue;
      for (let r = 0; r < R; r++) {
        if (rests(instance, l, r) || (menuCount && !menuCount[r]!.has(g))) continue;
        const locked = instance.locks?.find((k) => k.learner === l && k.round === r);
        const fixed = locked ? (locked.game === g ? 1 : 0) : null;
        x.set(key(l, g, r), b.variable(instance.value[l]![g]!, fixed ?? 0, fixed ?? 1, true));
      }
    }
  const at = (l: number, g: number, r: number): [number, number][] => {
    const v = x.get(key(l, g, r));
    return v === undefined ? [] : [[v, 1]];
  };
  const each = (n: number): number[] => Array.from({ length: n }, (_, i) => i);
  const n: number[][] = games.map((_, g) =>
    each(R).map((r) => {
      const fixed = menuCount?.[r]!.get(g) ?? (menuCount ? 0 : null);
      return b.variable(0, fixed ?? 0, fixed ?? cap[g]!, true);
    }),
  );
  const u = games.map(() => b.variable(0, 0, 1, true));
  for (let l = 0; l < L; l++) {
    for (let r = 0; r < R; r++) {
      if (rests(instance, l, r)) continue;
      const terms = each(G).flatMap((g) => at(l, g, r));
      if (options.elastic) terms.push([b.variable(-restPenalty, 0, 1, true), 1]);
      b.row(1, 1, terms);
    }
    const families = new Map<number, number[]>();
    for (let g = 0; g < G; g++) families.set(familyOf(instance, g), [...(families.get(familyOf(instance, g)) ?? []), g]);
    for (const members of families.values())
      b.row(
        -Infinity,
        1,
        members.flatMap((g) => each(R).flatMap((r) => at(l, g, r))),
      );
    for (let i = 0; i < instance.gaps[l]!.length; i++) {
      const weight = instance.gaps[l]![i]!;
      const parts = instance.slopes.map((slope): [number, number] => [b.variable(weight * slope, 0, 1), 1]);
      const doses = each(G).flatMap((g) => {
        const dose = instance.dose[l]![g]?.find(([gap]) => gap === i)?.[1] ?? 0;
        return dose === 0 ? [] : each(R).flatMap((r) => at(l, g, r).map(([v]): [number, number] => [v, -dose]));
      });
      b.row(-Infinity, 0, [...parts, ...doses]);
    }
  }
  for (let g = 0; g < G; g++)
    for (let r = 0; r < R; r++) {
      const seats = each(L).flatMap((l) => at(l, g, r));
      b.row(0, Infinity, [...seats, [n[g]![r]!, -games[g]!.min]]);
      b.row(-Infinity, 0, [...seats, [n[g]![r]!, -games[g]!.max]]);
      b.row(-Infinity, 0, [
        [n[g]![r]!, 1],
        [u[g]!, -cap[g]!],
      ]);
    }
  for (let r = 0; r < R; r++) {
    b.row(
      -Infinity,
      S,
      each(G).map((g): [number, number] => [n[g]![r]!, 1]),
    );
    b.row(
      -Infinity,
      H,
      each(G).flatMap((g): [number, number][] => (games[g]!.helper ? [[n[g]![r]!, games[g]!.helper]] : [])),
    );
    for (const [kind, have] of instance.stock.entries())
      b.row(
        -Infinity,
        have,
        each(G).flatMap((g) => games[g]!.materials.flatMap(([k, q]): [number, number][] => (k === kind ? [[n[g]![r]!, q]] : []))),
      );
  }
  b.row(
    -Infinity,
    instance.preparationMinutes,
    each(G).flatMap((g): [number, number][] => (games[g]!.preparation ? [[u[g]!, games[g]!.preparation]] : [])),
  );

  const scheduleOf = (values: readonly number[]): Schedule =>
    each(R).map((r) =>
      each(G).flatMap((g) => {
        const seated = each(L).filter((l) => at(l, g, r).some(([v]) => values[v]! > 0.5));
        return spread(seated, Math.round(values[n[g]![r]!]!), g);
      }),
    );
  return { model: b.build(), scheduleOf };
}

/** Most tables of one game in one round. */
export function capOf(instance: PlanInstance, game: PlanInstance['games'][number]): number {
  let cap = Math.min(instance.tables, Math.floor(instance.learners / Math.max(1, game.min)));
  for (const [kind, quantity] of game.materials) if (quantity > 0) cap = Math.min(cap, Math.floor(instance.stock[kind]! / quantity));
  if (game.helper > 0) cap = Math.min(cap, Math.floor(instance.helpers / game.helper));
  return Math.max(0, cap);
}

/** Seats at `count` tables of one game, as even as can be. */
function spread(learners: readonly number[], count: number, game: number): { game: number; learners: number[] }[] {
  if (learners.length === 0) return [];
  const tables = Math.max(1, count);
  return Array.from({ length: tables }, (_, t) => ({ game, learners: learners.filter((_, i) => i % tables === t) }));
}
