import { eq } from 'drizzle-orm';
import type { PlanBWire } from '../../contract/wire/plans';
import { movesBetween, type Seating } from '../../core/planning/movesBetween';
import { moveSentence, nobodyMoves, nothingElse } from '../../text/planB';
import type { Db } from '../db/db';
import { type StoredPlanB, variants } from '../db/schema';
import type { Job } from '../jobs/jobList';
import { startSteps } from '../jobs/startSteps';
import { titles } from '../shared/titles';
import type { PlanRow } from './planById';
import { planBNow, startPlanB } from './planB';

/** What to do when something goes wrong, in sentences: what is kept where it still holds, else worked out first. */
export const planBWire = (db: Db, plan: PlanRow, today: string): Job<PlanBWire> =>
  startSteps(async (run) => {
    const known = planBNow(db, plan);
    return inWords(db, plan, known?.answers ?? (await run(startPlanB(db, plan, today), 1)), known?.madeOn ?? today);
  });

type Told = 'say' | 'changes' | 'unseated';

function inWords(db: Db, plan: PlanRow, answers: StoredPlanB, madeOn: string): PlanBWire {
  const title = titles(db);
  const version = (id: string): string => db.select({ title: variants.title }).from(variants).where(eq(variants.id, id)).get()?.title ?? id;
  const told = ({ rounds, unseated }: { rounds: Seating; unseated: number }, none = nobodyMoves): Pick<PlanBWire['away'][number], Told> => {
    const moves = movesBetween(plan.rounds, rounds);
    const say = moves.map((m) => ({ round: m.round, text: moveSentence(m, { ...title, version }) }));
    return {
      say: say.length > 0 ? say : [{ round: null, text: none }],
      changes: moves.reduce((n, m) => n + m.seats.length, 0),
      unseated,
    };
  };
  return {
    madeOn,
    away: answers.away.map((a) => ({ learners: a.learners, cost: a.cost, lost: a.lost, ...told(a) })),
    without: answers.without.map((w) => ({
      game: w.game,
      title: title.game(w.game),
      rounds: plan.rounds.flatMap((r, i) => (r.tables.some((t) => t.game === w.game) ? [i] : [])),
      ...told(w),
    })),
    shorter: answers.shorter && {
      count: answers.shorter.count,
      minutes: answers.shorter.minutes,
      ...told(answers.shorter, nothingElse),
    },
  };
}
