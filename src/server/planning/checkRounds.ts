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
  const session = built(plan.locks);
  const title = titles(db);
  return (rounds) => check(session, order, title, rounds);
}

function check(built: BuiltSession, order: readonly string[], title: Titles, rounds: readonly StoredRound[]): PlanCheck {
  const resting = rounds.flatMap((r, round) => r.resting.map((l): [number, number] => [order.indexOf(l), round])).filter(([l]) => l >= 0);
  const instance = { ...built.instance, resting };
  const violations: PlanCheck['violations'][number][] = [];
  const waysOf = new Map<string, number[]>();
  for (const [g, o] of built.options.entries())
    for (const key of new Set(o.offers.map((v) => `${o.game}|${v.variant}`))) waysOf.set(key, [...(waysOf.get(key) ?? []), g]);
  const schedule: Schedule = rounds.map((r, round) =>
    r.tables.flatMap((t) => {
      if (t.seats.length === 0) return [];
      const learners = t.seats.map((s) => order.indexOf(s.learner)).filter((l) => l >= 0);
      const suited = (g: number): boolean => learners.every((l) => built.chosen[l]![g]);
      const options = new Set(
        t.seats.map((s) => {
          const ways = waysOf.get(`${t.game}|${s.variant}`) ?? [];
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
      return option === undefined ? [] : [{ game: option, learners }];
    }),
  );
  const names = {
    learner: (i: number) => title.learner(order[i]!),
    game: (i: number) => title.game(built.options[i]!.game),
    kind: (i: number) => title.kind(built.kinds[i]!),
  };
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
