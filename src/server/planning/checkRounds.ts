import type { BuiltSession } from '../../core/planning/buildSession';
import { checkPlan } from '../../core/planning/checkPlan';
import { familyOf, type Schedule } from '../../core/planning/instance';
import { leastShareOfBest, sharesOfBest } from '../../core/planning/shareOfBest';
import { learnerValues, objectiveOf } from '../../core/planning/objective';
import { violationSentence } from '../../text/sentences';
import type { Db } from '../db/db';
import type { StoredRound } from '../db/schema';
import { type Titles, titles } from '../shared/titles';
import type { PlanRow } from './planById';
import { sceneOf } from './planScene';

export interface PlanCheck {
  readonly violations: readonly {
    readonly rule: string;
    readonly message: string;
    readonly round?: number;
    readonly learner?: string;
    readonly game?: string;
  }[];
  readonly objective: number;
  /** The same without any price: what all together practise, in units of worth. */
  readonly practice: number;
  /** Learners whose session is worth less than half of the best for each alone. */
  readonly short: readonly string[];
  /** Different games to fetch, and how many of them nobody who is there has played yet. */
  readonly games: { readonly different: number; readonly fresh: number };
}

/** Every rule on a stored or edited set of rounds, in words. */
export async function checkRounds(db: Db, plan: PlanRow, rounds: readonly StoredRound[], today: string): Promise<PlanCheck> {
  return (await checkerOf(db, plan, today))(rounds);
}

/** The same for many sets of rounds of one plan, whose instance is built once. */
export async function checkerOf(db: Db, plan: PlanRow, today: string): Promise<(rounds: readonly StoredRound[]) => PlanCheck> {
  const { built, order } = await sceneOf(db, plan, today);
  const title = titles(db);
  return (rounds) => {
    const along = rounds.some((r) => r.tables.some((t) => t.grownUp));
    return check(built(plan.locks, along), order, title, rounds);
  };
}

function check(built: BuiltSession, order: readonly string[], title: Titles, rounds: readonly StoredRound[]): PlanCheck {
  // Who shares a seat has none of the own; whether the game is open to that child is looked at below.
  const sharing = rounds.map((r) => r.tables.flatMap((t) => t.seats.filter((s) => s.with !== undefined).map((s) => s.learner)));
  const resting = rounds
    .flatMap((r, round) => [...r.resting, ...sharing[round]!].map((l): [number, number] => [order.indexOf(l), round]))
    .filter(([l]) => l >= 0);
  const instance = { ...built.instance, resting };
  const violations: PlanCheck['violations'][number][] = [];
  const waysOf = new Map<string, number[]>();
  for (const [g, o] of built.options.entries())
    for (const key of new Set(o.offers.map((v) => `${o.game}|${v.variant}`))) waysOf.set(key, [...(waysOf.get(key) ?? []), g]);
  const names = {
    learner: (i: number) => title.learner(order[i]!),
    game: (i: number) => title.game(built.options[i]!.game),
    kind: (i: number) => title.kind(built.kinds[i]!),
  };
  const schedule: Schedule = rounds.map((r, round) =>
    r.tables.flatMap((t) => {
      if (t.seats.length === 0) return [];
      const own = t.seats.filter((s) => s.with === undefined);
      const indexOf = (seats: typeof own): number[] => seats.map((s) => order.indexOf(s.learner)).filter((l) => l >= 0);
      const learners = indexOf(own);
      const all = indexOf(t.seats);
      const suited = (g: number): boolean => all.every((l) => built.chosen[l]![g]);
      const options = new Set(
        own.map((s) => {
          const ways = (waysOf.get(`${t.game}|${s.variant}`) ?? []).filter(
            (g) => (built.options[g]!.grownUp ?? false) === (t.grownUp ?? false),
          );
          // With somebody beside only where one of them needs it.
          return ways.find(suited) ?? ways.at(-1) ?? -1;
        }),
      );
      if (options.has(-1))
        violations.push({
          rule: 'unknown',
          round,
          game: t.game,
          message: `${title.game(t.game)} is not on the shelf as planned, or does not fit into the round.`,
        });
      if (options.size > 1 && !options.has(-1))
        violations.push({
          rule: 'mix',
          round,
          game: t.game,
          message: `These versions of ${title.game(t.game)} cannot share a table (round ${round + 1}).`,
        });
      const option = [...options].find((o) => o >= 0);
      if (option === undefined) return [];
      for (const partner of t.seats) {
        if (partner.with === undefined) continue;
        const l = order.indexOf(partner.learner);
        const broken = (rule: 'eligible' | 'repeat' | 'apart', message: string): void =>
          void violations.push({ rule, message, round, learner: partner.learner, game: t.game });
        if (l >= 0 && !built.chosen[l]![option])
          broken('eligible', violationSentence({ rule: 'eligible', learner: l, round, game: option }, names));
        const times = rounds
          .flatMap((x) => x.tables)
          .filter((x) => x.game === t.game && x.seats.some((s) => s.learner === partner.learner)).length;
        if (l >= 0 && times > (instance.timesEach ?? 1))
          broken('repeat', violationSentence({ rule: 'repeat', learner: l, round, game: option }, names));
        const other = instance.aims?.apart?.find((pair) => pair.includes(l) && pair.every((x) => all.includes(x)));
        if (other) broken('apart', violationSentence({ rule: 'apart', learner: other[0], other: other[1], round }, names));
      }
      return [{ game: option, learners }];
    }),
  );
  for (const v of checkPlan(instance, schedule)) {
    violations.push({
      rule: v.rule,
      message: violationSentence(v, names),
      ...('round' in v ? { round: v.round } : {}),
      ...('learner' in v ? { learner: order[v.learner]! } : {}),
      ...('game' in v ? { game: built.options[v.game]!.game } : {}),
    });
  }
  const safe = schedule.map((r) => r.map((t) => ({ ...t, learners: t.learners.filter((l) => instance.value[l]![t.game]! >= 0) })));
  const shares = sharesOfBest(instance, safe);
  const out = new Map(schedule.flat().map((t) => [familyOf(instance, t.game), instance.games[t.game]!.fresh === true]));
  return {
    violations,
    objective: objectiveOf(instance, safe),
    practice: learnerValues(instance, safe).reduce((sum, v) => sum + v, 0),
    short: order.filter((_, l) => shares[l]! < leastShareOfBest),
    games: { different: out.size, fresh: [...out.values()].filter(Boolean).length },
  };
}
