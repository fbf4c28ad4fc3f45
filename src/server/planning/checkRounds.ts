import { buildSession, type BuiltSession } from '../../core/planning/buildSession';
import { checkPlan } from '../../core/planning/checkPlan';
import { familyOf, type Schedule } from '../../core/planning/instance';
import { daysSince } from '../../core/planning/planTerm';
import { leastShareOfBest, sharesOfBest } from '../../core/planning/shareOfBest';
import { objectiveOf } from '../../core/planning/objective';
import { violationSentence } from '../../text/sentences';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import type { StoredRound } from '../db/schema';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { allLearners } from '../learners/learnerStore';
import { offersOf, stockOf } from '../shelf/offers';
import { type Titles, titles } from '../shared/titles';
import type { PlanRow } from './planById';
import { planDefaults } from './planRequest';
import { companyBefore, metBefore, playedBefore } from './playedBefore';
import { wishesForPlanning } from './wishesStore';

export interface PlanCheck {
  readonly violations: readonly {
    readonly rule: string;
    readonly message: string;
    readonly round?: number;
    readonly learner?: string;
    readonly game?: string;
  }[];
  readonly objective: number;
  /** Learners whose session is worth less than half of the best for each alone. */
  readonly short: readonly string[];
  /** Different games to fetch, and how many of them nobody who is there has played yet. */
  readonly games: { readonly different: number; readonly fresh: number };
}

/** The rebuilt instance of a stored plan, so that edits are checked by the same rules. */
async function rebuild(db: Db, plan: PlanRow, today: string): Promise<{ built: BuiltSession; order: string[] }> {
  const r = plan.request;
  const offers = await offersOf(db);
  const rows = allLearners(db).filter((l) => r.present.includes(l.id));
  const day = plan.date < today ? plan.date : today;
  const met = metBefore(db, plan.date, offers);
  const needs = rows.map((l) => needsOf(graphOf(db), l, masteryOf(db, l, day), plan.date, met.get(l.id)));
  const { stock, plentiful } = stockOf(db);
  const built = buildSession(graphOf(db), offers, needs, {
    rounds: r.rounds,
    minutes: r.minutes,
    tables: r.tables,
    helpers: r.helpers,
    preparationMinutes: r.preparationMinutes ?? planDefaults.preparationMinutes,
    stock,
    plentiful,
    daysSincePlayed: daysSince(playedBefore(db, plan.date), plan.date),
    ...(r.timesEach ? { timesEach: r.timesEach } : {}),
    everyGame: true,
    wishes: wishesForPlanning(db),
    satTogether: new Map(companyBefore(db, plan.date).satTogether),
    locks: plan.locks,
    resting: r.resting ?? [],
  });
  return { built, order: rows.map((l) => l.id) };
}

/** Every rule on a stored or edited set of rounds, in words. */
export async function checkRounds(db: Db, plan: PlanRow, rounds: readonly StoredRound[], today: string): Promise<PlanCheck> {
  return (await checkerOf(db, plan, today))(rounds);
}

/** The same for many sets of rounds of one plan, whose instance is built once. */
export async function checkerOf(db: Db, plan: PlanRow, today: string): Promise<(rounds: readonly StoredRound[]) => PlanCheck> {
  const { built, order } = await rebuild(db, plan, today);
  const title = titles(db);
  return (rounds) => check(built, order, title, rounds);
}

function check(built: BuiltSession, order: readonly string[], title: Titles, rounds: readonly StoredRound[]): PlanCheck {
  const resting = rounds.flatMap((r, round) => r.resting.map((l): [number, number] => [order.indexOf(l), round])).filter(([l]) => l >= 0);
  const instance = { ...built.instance, resting };
  const violations: PlanCheck['violations'][number][] = [];
  const schedule: Schedule = rounds.map((r, round) =>
    r.tables.flatMap((t) => {
      if (t.seats.length === 0) return [];
      const learners = t.seats.map((s) => order.indexOf(s.learner)).filter((l) => l >= 0);
      const suited = (g: number): boolean => learners.every((l) => built.chosen[l]![g]);
      const options = new Set(
        t.seats.map((s) => {
          const ways = [...built.options.keys()].filter((g) => {
            const o = built.options[g]!;
            return o.game === t.game && o.offers.some((v) => v.variant === s.variant);
          });
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
    short: order.filter((_, l) => shares[l]! < leastShareOfBest),
    games: { different: out.size, fresh: [...out.values()].filter(Boolean).length },
  };
}
