import type { AimPriceWire } from '../../contract/wire/plans';
import type { Kept } from '../../contract/wire/route';
import type { PlannedMeeting } from '../../core/planning/plannedMeeting';
import type { PricedAim } from '../../core/planning/wishes';
import type { Db } from '../db/db';
import { ownOf } from '../db/graphOf';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { checkerOf } from './checkRounds';
import type { PlanRow } from './planById';
import { planningInput } from './planningInput';
import { planDefaults } from './planRequest';
import { storedRounds } from './storePlan';
import { wishesForPlanning } from './wishesStore';

/**
 * What an aim beside practice costs a session as it stands: the same session is searched as long without that aim, and
 * both are told by what all together practise. Nothing is stored. Where the search finds nothing better, the aim costs nothing.
 */
export async function startPriceOf(db: Db, plan: PlanRow, aim: PricedAim, today: string): Promise<Job<Kept<AimPriceWire>>> {
  const r = plan.request;
  const check = await checkerOf(db, plan, today);
  const now = check(plan.rounds);
  const meeting = { date: plan.date, present: r.present, rounds: r.rounds, minutes: r.minutes, tables: r.tables, helpers: r.helpers };
  const input = planningInput(db, [meeting], today, {
    locks: plan.locks,
    resting: r.resting ?? [],
    seed: r.seed ?? 1,
    secondsPerMeeting: r.seconds ?? planDefaults.seconds,
    preparationMinutes: r.preparationMinutes ?? planDefaults.preparationMinutes,
    ...(r.timesEach ? { timesEach: r.timesEach } : {}),
  });
  const free = { ...input, wishes: { ...wishesForPlanning(db), without: [aim] } };
  return startJob({ kind: 'plan', own: ownOf(db), input: free }, ([planned]: PlannedMeeting[]) => {
    const without = check(storedRounds(db, planned!).rounds);
    const share = without.practice > 0 ? Math.max(0, 1 - now.practice / without.practice) : 0;
    return { aim, share, games: now.games.different, gamesWithout: without.games.different };
  });
}
