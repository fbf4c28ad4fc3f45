import type { ReplanBody } from '../../contract/wire/plans';
import type { Db } from '../db/db';
import type { Job } from '../jobs/jobList';
import { sameVersion } from '../shared/versions';
import { refusePlayed } from './editPlan';
import type { PlanRow } from './planById';
import { type PlannedJob, startPlan } from './startPlan';

/** Plan a session anew: as it was asked for, but for what `body` says; what falls out of it takes its wishes with it. */
export function startReplan(db: Db, plan: PlanRow, body: ReplanBody, today: string, now: string): Job<PlannedJob> {
  refusePlayed(plan);
  sameVersion(plan, body.version);
  const { version: _, fewChanges, planB, ...asked } = body;
  const { missing: __, considered: ___, ...before } = plan.request;
  const request = { ...before, ...asked };
  const without = new Set(request.withoutGames ?? []);
  const comes = (learner: string, round: number): boolean => round < request.rounds && request.present.includes(learner);
  const everybody = body.everybody ?? before.everybody?.filter((e) => e.round < request.rounds);
  return startPlan(
    db,
    {
      ...request,
      date: plan.date,
      locks: (body.locks ?? plan.locks).filter((k) => comes(k.learner, k.round) && !without.has(k.game)),
      ...(request.resting ? { resting: request.resting.filter((r) => comes(r.learner, r.round)) } : {}),
      ...(everybody ? { everybody } : {}),
    },
    today,
    now,
    { replace: plan, ...(planB ? { keep: 'as-plan-b' } : fewChanges ? { keep: 'where-it-pays' } : {}) },
  );
}
