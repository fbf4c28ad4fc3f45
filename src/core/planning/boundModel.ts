import { capOf, dosesByGap, fetchRows, pieceRows } from './exactModel';
import { familyOf, type PlanInstance, rests } from './instance';
import { type LinearModel, ModelBuilder } from './linearModel';

/**
 * The session with its rounds summed out: an upper bound on every schedule. Its root
 * relaxation with cutting planes is enough; the dual bound is what counts. y(l,g) whether l plays g, N(g) tables over the whole session, z as in
 * the exact model; who sits with whom is left out (`mostTogether`). It is not a schedule; it says "at most so much better is possible".
 */
export function boundModel(instance: PlanInstance): LinearModel {
  const { learners: L, rounds: R, games, aims = {} } = instance;
  const b = new ModelBuilder();
  const cap = games.map((g) => capOf(instance, g));
  const N = games.map((_, g) => b.variable(0, 0, cap[g]! * R, true));
  const u = games.map(() => b.variable(0, 0, 1, true));
  const kept = (l: number, g: number): number => (aims.keep?.games[l]?.includes(g) ? aims.keep.worth : 0);
  const times = instance.timesEach ?? 1;
  const all = games.map((_, g) => g);
  const y: (number | null)[][] = [];
  for (let l = 0; l < L; l++) {
    const playing = Array.from({ length: R }, (_, r) => r).filter((r) => !rests(instance, l, r)).length;
    const locked = new Set(instance.locks?.filter((k) => k.learner === l).map((k) => k.game));
    y.push(
      games.map((_, g) =>
        instance.value[l]![g]! >= 0 && cap[g]! > 0
          ? b.variable(instance.value[l]![g]! + kept(l, g), locked.has(g) ? 1 : 0, times, true)
          : null,
      ),
    );
    b.row(playing, playing, [
      ...y[l]!.flatMap((v): [number, number][] => (v === null ? [] : [[v, 1]])),
      ...(aims.rest ? Array.from({ length: playing }, (_, i): [number, number] => [b.variable(-aims.rest![l]! * (i + 1), 0, 1), 1]) : []),
    ]);
    const worth: [number, number][] = y[l]!.flatMap((v, g): [number, number][] =>
      v !== null && instance.value[l]![g]! > 0 ? [[v, instance.value[l]![g]!]] : [],
    );
    const families = new Map<number, [number, number][]>();
    for (const [g, v] of y[l]!.entries()) {
      if (v === null) continue;
      b.row(-Infinity, 0, [
        [v, 1],
        [u[g]!, -times],
      ]);
      const f = familyOf(instance, g);
      families.set(f, [...(families.get(f) ?? []), [v, 1]]);
    }
    for (const members of families.values()) if (members.length > 1) b.row(-Infinity, times, members);
    for (const [i, doses] of dosesByGap(instance, l, all)) {
      const parts = instance.slopes.map((slope): [number, number] => [b.variable(instance.gaps[l]![i]! * slope, 0, 1), 1]);
      for (const [s, [part]] of parts.entries()) worth.push([part, instance.gaps[l]![i]! * instance.slopes[s]!]);
      const served = doses.flatMap(([g, dose]): [number, number][] => (y[l]![g] === null ? [] : [[y[l]![g]!, dose]]));
      pieceRows(b, parts, served);
    }
    if (aims.floor) b.row(aims.floor.least[l]!, Infinity, [...worth, [b.variable(-aims.floor.price, 0, Infinity), 1]]);
  }
  fetchRows(b, instance, new Map(u.entries()));
  for (const [g, game] of games.entries()) {
    const seats = y.flatMap((row): [number, number][] => (row[g] === null ? [] : [[row[g]!, 1]]));
    b.row(0, Infinity, [...seats, [N[g]!, -game.min]]);
    b.row(-Infinity, 0, [...seats, [N[g]!, -game.max]]);
    b.row(-Infinity, 0, [
      [N[g]!, 1],
      [u[g]!, -cap[g]! * R],
    ]);
    // What is out stands on a table at least once.
    b.row(0, Infinity, [
      [N[g]!, 1],
      [u[g]!, -1],
    ]);
  }
  if (aims.loud !== undefined)
    b.row(
      -Infinity,
      aims.loud * R,
      games.flatMap((g, i): [number, number][] => (g.loud ? [[N[i]!, 1]] : [])),
    );
  const fresh = games.flatMap((g, i): [number, number][] => (g.fresh ? [[N[i]!, 1]] : []));
  if (aims.fresh && fresh.length > 0)
    b.row(-Infinity, aims.fresh.free * R, [...fresh, [b.variable(-aims.fresh.price, 0, instance.tables * R), -1]]);
  b.row(
    -Infinity,
    instance.tables * R,
    N.map((v): [number, number] => [v, 1]),
  );
  b.row(
    -Infinity,
    instance.helpers * R,
    games.flatMap((g, i): [number, number][] => (g.helper ? [[N[i]!, g.helper]] : [])),
  );
  for (const [kind, have] of instance.stock.entries())
    b.row(
      -Infinity,
      have * R,
      games.flatMap((g, i) => g.materials.flatMap(([k, q]): [number, number][] => (k === kind ? [[N[i]!, q]] : []))),
    );
  b.row(
    -Infinity,
    instance.preparationMinutes,
    games.flatMap((g, i): [number, number][] => (g.preparation ? [[u[i]!, g.preparation]] : [])),
  );
  return b.build();
}

/** The most that companions could add, whoever sits where. */
export function mostTogether({ aims, rounds }: PlanInstance): number {
  let most = 0;
  for (const { worth } of aims?.together ?? []) {
    let sum = 0;
    let best = 0;
    for (const w of worth.slice(0, rounds)) best = Math.max(best, (sum += w));
    most += best;
  }
  return most;
}
