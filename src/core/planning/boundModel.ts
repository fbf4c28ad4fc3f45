import { capOf } from './exactModel';
import { familyOf, type PlanInstance, rests } from './instance';
import { type LinearModel, ModelBuilder } from './linearModel';

/**
 * The session with its rounds summed out: an upper bound on every schedule. Its root
 * relaxation with cutting planes is enough; the dual bound is what counts. y(l,g) whether l plays g, N(g) tables over the whole session, z as in
 * the exact model. It is not a schedule; it says "at most so much better is possible".
 */
export function boundModel(instance: PlanInstance): LinearModel {
  const { learners: L, rounds: R, games } = instance;
  const b = new ModelBuilder();
  const cap = games.map((g) => capOf(instance, g));
  const N = games.map((_, g) => b.variable(0, 0, cap[g]! * R, true));
  const u = games.map(() => b.variable(0, 0, 1, true));
  const y: (number | null)[][] = [];
  for (let l = 0; l < L; l++) {
    const playing = Array.from({ length: R }, (_, r) => r).filter((r) => !rests(instance, l, r)).length;
    const locked = new Set(instance.locks?.filter((k) => k.learner === l).map((k) => k.game));
    y.push(
      games.map((_, g) =>
        instance.value[l]![g]! >= 0 && cap[g]! > 0 ? b.variable(instance.value[l]![g]!, locked.has(g) ? 1 : 0, 1, true) : null,
      ),
    );
    b.row(
      playing,
      playing,
      y[l]!.flatMap((v): [number, number][] => (v === null ? [] : [[v, 1]])),
    );
    const families = new Map<number, [number, number][]>();
    for (const [g, v] of y[l]!.entries()) {
      if (v === null) continue;
      b.row(-Infinity, 0, [
        [v, 1],
        [u[g]!, -1],
      ]);
      const f = familyOf(instance, g);
      families.set(f, [...(families.get(f) ?? []), [v, 1]]);
    }
    for (const members of families.values()) if (members.length > 1) b.row(-Infinity, 1, members);
    for (let i = 0; i < instance.gaps[l]!.length; i++) {
      const parts = instance.slopes.map((slope): [number, number] => [b.variable(instance.gaps[l]![i]! * slope, 0, 1), 1]);
      const doses = games.flatMap((_, g): [number, number][] => {
        const dose = instance.dose[l]![g]?.find(([gap]) => gap === i)?.[1] ?? 0;
        const v = y[l]![g];
        return dose > 0 && v !== null && v !== undefined ? [[v, -dose]] : [];
      });
      b.row(-Infinity, 0, [...parts, ...doses]);
    }
  }
  for (const [g, game] of games.entries()) {
    const seats = y.flatMap((row): [number, number][] => (row[g] === null ? [] : [[row[g]!, 1]]));
    b.row(0, Infinity, [...seats, [N[g]!, -game.min]]);
    b.row(-Infinity, 0, [...seats, [N[g]!, -game.max]]);
    b.row(-Infinity, 0, [
      [N[g]!, 1],
      [u[g]!, -cap[g]! * R],
    ]);
  }
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
