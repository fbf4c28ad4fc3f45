import type { WhatIfWire } from '../../contract/wire/plans';
import type { Kept } from '../../contract/wire/route';
import { waitingAt } from '../../core/planning/wishes';
import { isShared, playersAt } from '../../core/planning/seatsAt';
import { seatReason } from '../../core/planning/seatReason';
import { atTable } from '../../core/recommend/atTable';
import type { LearnerNeeds } from '../../core/recommend/learnerNeeds';
import { gateOf, tooHardAlone } from '../../core/recommend/valueOf';
import type { Estimate } from '../../core/simulate/simulationResult';
import type { Db } from '../db/db';
import type { StoredTable } from '../db/schema';
import { refuse } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { titles } from '../shared/titles';
import { variantById } from '../shelf/shelfRows';
import { completeRounds, type EditedRound } from './editPlan';
import type { PlanRow } from './planById';
import { sceneOf } from './planScene';

const games = 300;
const seed = 5;
/** Nobody is played as always right, nor as nearly always wrong. */
const errorRange = [0.02, 0.6] as const;

/** What one child does at a table. */
interface SeatNow {
  readonly learner: string;
  readonly variant: string;
  readonly skill: string | null;
  readonly chances: number;
  readonly success: number;
  readonly waiting: number | null;
  readonly beside: boolean;
}

/**
 * What every child at a table would practise, how long each would wait and how likely each is to win, if one child more
 * sat there, against now. Chances to win are played: so many games at the very table, everybody wrong as often as the
 * maps of today say. @throws out-of-range for a table that is not there, unknown-value for a child who is not present
 */
export async function startWhatIf(
  db: Db,
  plan: PlanRow,
  edited: readonly EditedRound[],
  at: { readonly round: number; readonly table: number; readonly learner: string },
  today: string,
): Promise<Job<Kept<WhatIfWire>>> {
  const round = edited[at.round];
  const table = round?.tables[at.table];
  if (!table) throw refuse('out-of-range', `There is no table ${at.table + 1} in round ${at.round + 1}.`, 'table');
  if (!plan.request.present.includes(at.learner)) throw refuse('unknown-value', `"${at.learner}" is not part of this session.`, 'learner');
  const only = (seats: EditedRound['tables'][number]['seats']): EditedRound[] =>
    edited.map((_, r) => (r === at.round ? { tables: [{ ...table, seats }], resting: [] } : { tables: [], resting: [] }));
  const others = table.seats.filter((s) => s.learner !== at.learner);
  const [now] = (await completeRounds(db, plan, only(table.seats), today))[at.round]!.tables;
  const [then] = (await completeRounds(db, plan, only([...others, { learner: at.learner }]), today))[at.round]!.tables;
  const { graph, offers, needs } = await sceneOf(db, plan, today);
  const minutes = plan.request.minutes;
  const needsNow = (id: string): LearnerNeeds => needs.get(id)!;
  const seatsOf = (t: StoredTable | undefined): SeatNow[] =>
    (t?.seats ?? []).map(({ learner, variant }) => {
      const offer = offers.find((o) => o.variant === variant);
      if (!offer) return { learner, variant, skill: null, chances: 0, success: 0, waiting: null, beside: false };
      const here = atTable(offer, playersAt(t!), minutes);
      const { skill, chances: ofSeat, success } = seatReason(graph, here, needsNow(learner), minutes);
      const chances = isShared(t!, learner) ? ofSeat / 2 : ofSeat;
      const waiting = here.counted ? waitingAt(here.counted, playersAt(t!)) : null;
      return { learner, variant, skill, chances, success, waiting, beside: tooHardAlone(gateOf(graph, here, needsNow(learner))) };
    });
  const tables = [seatsOf(now), seatsOf(then)];
  const mechanism = then ? variantById(db, then.seats[0]!.variant).mechanism : null;
  const title = titles(db);
  const wire = (s: SeatNow | undefined, win: Estimate | undefined): Kept<WhatIfWire>['children'][number]['then'] | null =>
    s
      ? {
          variantTitle: variantById(db, s.variant).title,
          skill: s.skill === null ? null : graph.skills[graph.indexOf.get(s.skill)!]!.title,
          chances: s.chances,
          success: s.success,
          waiting: s.waiting,
          beside: s.beside,
          win: win ?? null,
        }
      : null;
  const task = {
    kind: 'wins' as const,
    mechanism,
    tables: tables.map((seats) =>
      seats.map((s) => ({
        parameters: variantById(db, s.variant).parameters,
        errorRate: Math.min(errorRange[1], Math.max(errorRange[0], 1 - s.success)),
      })),
    ),
    seed,
    games,
  };
  return startJob(task, ([before, after]: readonly (readonly Estimate[] | null)[]) => ({
    title: title.game(table.game),
    games,
    children: tables[1]!.map((s, i) => {
      const was = tables[0]!.findIndex((x) => x.learner === s.learner);
      return { learner: s.learner, now: wire(tables[0]![was], before?.[was]), then: wire(s, after?.[i])! };
    }),
  }));
}
