import type { FitHelpWire } from '../../contract/wire/practice';
import type { Kept } from '../../contract/wire/route';
import { mechanismById } from '../../core/mechanisms/registry';
import type { FitChange } from '../../core/simulate/searchFit';
import type { Db } from '../db/db';
import { graphOf, ownOf } from '../db/graphOf';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { refuse } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { learnerById } from '../learners/learnerStore';
import { usualSeats } from '../simulations/profileStore';
import { variantById } from './shelfRows';

const seed = 7;

/**
 * What would make a version easier or harder for one child: every other value of each of its numbers, played and
 * measured, and read by what this child knows. @throws conflict where nobody has said how it is played
 */
export async function startFitHelp(
  db: Db,
  variant: string,
  learner: string,
  direction: 'easier' | 'harder',
  today: string,
): Promise<Job<Kept<FitHelpWire>>> {
  const graph = graphOf(db);
  const v = variantById(db, variant);
  const who = learnerById(db, learner);
  if (v.mechanism === null)
    throw refuse(
      'conflict',
      'Nobody has said how this version is played, so its numbers cannot be turned. Name its rule family first.',
      'id',
    );
  const { success } = needsOf(graph, who, masteryOf(db, who, today), today);
  const titles = mechanismById(v.mechanism)!.parametersSchema.properties;
  const task = {
    kind: 'fit' as const,
    own: ownOf(db),
    mechanism: v.mechanism,
    parameters: v.parameters,
    seats: usualSeats(v),
    success: [...success],
    direction,
    seed,
  };
  return startJob(task, (found: readonly FitChange[]) => ({
    variant,
    learner,
    now: found[0]?.before ?? null,
    changes: found.map((c) => ({ ...c, parameterTitle: String(titles[c.parameter]?.['title'] ?? c.parameter) })),
  }));
}
