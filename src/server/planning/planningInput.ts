import { graphOf } from '../db/graphOf';
import type { PlanningInput, TermMeeting } from '../../core/planning/planTerm';
import { goalSkills } from '../../core/mastery/estimateMastery';
import { ageOn } from '../../core/mastery/evidence';
import type { Db } from '../db/db';
import { allEstimates } from '../evidence/learnerState';
import { allLearners } from '../learners/learnerStore';
import { offersNow, stockOf } from '../shelf/offers';
import { pacingFor } from '../coverage/pacingStore';
import { companyBefore, playedBefore } from './playedBefore';
import { wishesForPlanning } from './wishesStore';

/** Everything the worker needs, as plain data. */
export function planningInput(
  db: Db,
  meetings: readonly TermMeeting[],
  today: string,
  more: Pick<PlanningInput, 'locks' | 'resting' | 'seed' | 'secondsPerMeeting' | 'preparationMinutes' | 'timesEach' | 'grownUp' | 'keep'>,
  withoutGames: readonly string[] = [],
): PlanningInput {
  const offers = offersNow(db).filter((o) => !withoutGames.includes(o.game));
  const wanted = new Set(meetings.flatMap((m) => m.present));
  const { stock, plentiful } = stockOf(db);
  const day = meetings[0]!.date;
  const people = allLearners(db).filter((l) => wanted.has(l.id));
  const maps = allEstimates(db, people, today > day ? today : day);
  return {
    offers,
    learners: people.map((l) => {
      const estimates = maps.get(l.id)!;
      return {
        id: l.id,
        nickname: l.nickname,
        age: ageOn(l.born, day),
        framework: l.framework,
        goals: goalSkills(graphOf(db), l),
        withoutNorms: l.withoutNorms,
        accommodations: l.accommodations,
        likings: l.likings,
        keeps: l.permanentSupports,
        supported: l.supportsInUse.length + l.permanentSupports.length > 0,
        skills: estimates.map((e) => e.standing),
      };
    }),
    meetings,
    stock: [...stock],
    plentiful: [...plentiful],
    played: playedBefore(db, day),
    wishes: wishesForPlanning(db),
    pacing: pacingFor(db, graphOf(db)),
    ...companyBefore(db, day),
    ...more,
  };
}
