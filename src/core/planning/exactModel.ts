import { familyOf, type PlanInstance, rests, type Schedule } from './instance';
import { type LinearModel, ModelBuilder } from './linearModel';

export interface ExactModel {
  readonly model: LinearModel;
  /** Reads a schedule out of a solution. */
  scheduleOf(values: readonly number[]): Schedule;
}

/**
 * The session as one mixed-integer model: x(l,g,r) seats, n(g,r) tables of a game, u(g) use,
 * z(l,i,s) served parts of a gap (concave, so no binaries are needed).
 * With `menu` the tables of every round are fixed and only seats stay free.
 */
export function exactModel(instance: PlanInstance, options: { menu?: readonly (readonly number[])[] } = {}): ExactModel {
  const { learners: L, rounds: R, games, tables: S, helpers: H, aims = {} } = instance;
  const G = games.length;
  const each = (n: number): number[] => Array.from({ length: n }, (_, i) => i);
  const b = new ModelBuilder();
  const menuCount = options.menu?.map((list) => list.reduce((m, g) => m.set(g, (m.get(g) ?? 0) + 1), new Map<number, number>()));
  const cap = games.map((g) => capOf(instance, g));
  const open = each(G).filter((g) => cap[g]! > 0 && (!menuCount || menuCount.some((round) => round.has(g))));
  const x = new Map<number, number>();
  const key = (l: number, g: number, r: number): number => (l * G + g) * R + r;
  for (let l = 0; l < L; l++)
    for (const g of open) {
      if (!(instance.value[l]![g]! >= 0)) continue;
      for (let r = 0; r < R; r++) {
        if (rests(instance, l, r) || (menuCount && !menuCount[r]!.has(g))) continue;
        const locked = instance.locks?.find((k) => k.learner === l && k.round === r);
        const fixed = locked ? (locked.game === g ? 1 : 0) : null;
        const kept = aims.keep && aims.keep.games[l]?.[r] === g ? aims.keep.worth : 0;
        x.set(key(l, g, r), b.variable(instance.value[l]![g]! + kept, fixed ?? 0, fixed ?? 1, true));
      }
    }
  const at = (l: number, g: number, r: number): [number, number][] => {
    const v = x.get(key(l, g, r));
    return v === undefined ? [] : [[v, 1]];
  };
  const n = new Map<number, number[]>();
  const u = new Map<number, number>();
  for (const g of open) {
    n.set(
      g,
      each(R).map((r) => {
        const fixed = menuCount?.[r]!.get(g) ?? (menuCount ? 0 : null);
        return b.variable(0, fixed ?? 0, fixed ?? cap[g]!, true);
      }),
    );
    u.set(g, b.variable(0, 0, 1, true));
  }
  for (let l = 0; l < L; l++) {
    const without: number[] = [];
    for (let r = 0; r < R; r++) {
      if (rests(instance, l, r)) continue;
      const terms = open.flatMap((g) => at(l, g, r));
      if (aims.rest) {
        const rest = b.variable(0, 0, 1, true);
        without.push(rest);
        terms.push([rest, 1]);
      }
      b.row(1, 1, terms);
    }
    // The first round without a seat costs its price once, the second twice more, and so on: convex, so no order is needed.
    if (aims.rest && without.length > 0)
      b.row(0, 0, [
        ...without.map((v): [number, number] => [v, 1]),
        ...without.map((_, i): [number, number] => [b.variable(-aims.rest![l]! * (i + 1), 0, 1), -1]),
      ]);
    const worth: [number, number][] = open.flatMap((g) =>
      instance.value[l]![g]! > 0 ? each(R).flatMap((r) => at(l, g, r).map(([v]): [number, number] => [v, instance.value[l]![g]!])) : [],
    );
    const families = new Map<number, number[]>();
    for (const g of open) families.set(familyOf(instance, g), [...(families.get(familyOf(instance, g)) ?? []), g]);
    for (const members of families.values())
      b.row(
        -Infinity,
        instance.timesEach ?? 1,
        members.flatMap((g) => each(R).flatMap((r) => at(l, g, r))),
      );
    // Nobody plays what is not out at all: stronger than the rows of tables alone.
    for (const g of open) {
      const seats = each(R).flatMap((r) => at(l, g, r));
      if (seats.length > 0 && !menuCount) b.row(-Infinity, 0, [...seats, [u.get(g)!, -(instance.timesEach ?? 1)]]);
    }
    const servedBy = dosesByGap(instance, l, open);
    for (const [i, doses] of servedBy) {
      const weight = instance.gaps[l]![i]!;
      const parts = instance.slopes.map((slope): [number, number] => [b.variable(weight * slope, 0, 1), 1]);
      for (const [s, [part]] of parts.entries()) worth.push([part, weight * instance.slopes[s]!]);
      const served = doses.flatMap(([g, dose]) => each(R).flatMap((r) => at(l, g, r).map(([v]): [number, number] => [v, dose])));
      pieceRows(b, parts, served);
    }
    if (aims.floor) b.row(aims.floor.least[l]!, Infinity, [...worth, [b.variable(-aims.floor.price, 0, Infinity), 1]]);
  }
  fetchRows(b, instance, u);
  for (const g of open) {
    b.row(-Infinity, 0, [[u.get(g)!, 1], ...n.get(g)!.map((v): [number, number] => [v, -1])]);
    for (let r = 0; r < R; r++) {
      const seats = each(L).flatMap((l) => at(l, g, r));
      b.row(0, Infinity, [...seats, [n.get(g)![r]!, -games[g]!.min]]);
      b.row(-Infinity, 0, [...seats, [n.get(g)![r]!, -games[g]!.max]]);
      b.row(-Infinity, 0, [
        [n.get(g)![r]!, 1],
        [u.get(g)!, -cap[g]!],
      ]);
    }
  }
  for (let r = 0; r < R; r++) {
    if (aims.loud !== undefined)
      b.row(
        -Infinity,
        aims.loud,
        open.flatMap((g): [number, number][] => (games[g]!.loud ? [[n.get(g)![r]!, 1]] : [])),
      );
    if (aims.fresh) {
      const fresh = open.flatMap((g): [number, number][] => (games[g]!.fresh ? [[n.get(g)![r]!, 1]] : []));
      if (fresh.length > 0) b.row(-Infinity, aims.fresh.free, [...fresh, [b.variable(-aims.fresh.price, 0, S), -1]]);
    }
    b.row(
      -Infinity,
      S,
      open.map((g): [number, number] => [n.get(g)![r]!, 1]),
    );
    b.row(
      -Infinity,
      H,
      open.flatMap((g): [number, number][] => (games[g]!.helper ? [[n.get(g)![r]!, games[g]!.helper]] : [])),
    );
    for (const [kind, have] of instance.stock.entries())
      b.row(
        -Infinity,
        have,
        open.flatMap((g) => games[g]!.materials.flatMap(([k, q]): [number, number][] => (k === kind ? [[n.get(g)![r]!, q]] : []))),
      );
  }
  b.row(
    -Infinity,
    instance.preparationMinutes,
    open.flatMap((g): [number, number][] => (games[g]!.preparation ? [[u.get(g)!, games[g]!.preparation]] : [])),
  );

  const scheduleOf = (values: readonly number[]): Schedule =>
    each(R).map((r) =>
      open.flatMap((g) => {
        const seated = each(L).filter((l) => at(l, g, r).some(([v]) => values[v]! > 0.5));
        return spread(seated, Math.round(values[n.get(g)![r]!]!), g);
      }),
    );
  return { model: b.build(), scheduleOf };
}

/** By gap of a learner: the games among those given that serve it, and by how much. */
export function dosesByGap(instance: PlanInstance, learner: number, games: readonly number[]): Map<number, [game: number, dose: number][]> {
  const served = new Map<number, [number, number][]>();
  for (const g of games)
    if (instance.value[learner]![g]! >= 0)
      for (const [i, dose] of instance.dose[learner]![g] ?? []) if (dose > 0) served.set(i, [...(served.get(i) ?? []), [g, dose]]);
  return served;
}

/**
 * What games serve of a gap fills its pieces: the first k of them to no more than Σ min(dose, k) of the games played. For
 * whole games that says the same for each k as for all pieces together; a part of a game fills no more than its part.
 */
export function pieceRows(
  b: ModelBuilder,
  parts: readonly (readonly [variable: number, one: number])[],
  served: readonly (readonly [variable: number, dose: number])[],
): void {
  const most = Math.max(0, ...served.map(([, dose]) => dose));
  for (let k = 1; k <= parts.length; k++)
    if (k === parts.length || most > k)
      b.row(-Infinity, 0, [
        ...parts.slice(0, k),
        ...served.map(([v, dose]): [number, number] => [v, -(k < parts.length ? Math.min(dose, k) : dose)]),
      ]);
}

/** A family that is out is fetched and explained once. */
export function fetchRows(b: ModelBuilder, instance: PlanInstance, u: ReadonlyMap<number, number>): void {
  const out = new Map<number, number>();
  for (const [g, used] of u) {
    const game = instance.games[g]!;
    if (!game.fetch) continue;
    const f = familyOf(instance, g);
    if (!out.has(f)) out.set(f, b.variable(-game.fetch, 0, 1));
    b.row(-Infinity, 0, [
      [used, 1],
      [out.get(f)!, -1],
    ]);
  }
}

/** Most tables of one game in one round. */
export function capOf(instance: PlanInstance, game: PlanInstance['games'][number]): number {
  let cap = Math.min(instance.tables, Math.floor(instance.learners / Math.max(1, game.min)));
  for (const [kind, quantity] of game.materials) if (quantity > 0) cap = Math.min(cap, Math.floor(instance.stock[kind]! / quantity));
  if (game.helper > 0) cap = Math.min(cap, Math.floor(instance.helpers / game.helper));
  return Math.max(0, cap);
}

/** Seats at `count` tables of one game, as even as can be. */
export function spread(learners: readonly number[], count: number, game: number): { game: number; learners: number[] }[] {
  if (learners.length === 0) return [];
  const tables = Math.max(1, count);
  return Array.from({ length: tables }, (_, t) => ({ game, learners: learners.filter((_, i) => i % tables === t) }));
}
