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
 * What would make a version easier or harder for one child or a table: every other value of each of its numbers,
 * played and measured, and read by what each child knows; only what can share a table with the versions named beside
 * it. @throws conflict where nobody has said how it is played
 */
export async function startFitHelp(
  db: Db,
  variant: string,
  asked: { readonly learners: readonly string[]; readonly direction: 'easier' | 'harder'; readonly beside?: readonly string[] },
  today: string,
): Promise<Job<Kept<FitHelpWire>>> {
  const graph = graphOf(db);
  const v = variantById(db, variant);
  const who = asked.learners.map((id) => learnerById(db, id));
  if (v.mechanism === null)
    throw refuse(
      'conflict',
      'Nobody has said how this version is played, so its numbers cannot be turned. Name its rule family first.',
      'id',
    );
  const titles = mechanismById(v.mechanism)!.parametersSchema.properties;
  const task = {
    kind: 'fit' as const,
    own: ownOf(db),
    mechanism: v.mechanism,
    parameters: v.parameters,
    seats: usualSeats(v),
    successes: who.map((l) => [...needsOf(graph, l, masteryOf(db, l, today), today).success]),
    direction: asked.direction,
    seed,
    beside: (asked.beside ?? [])
      .map((id) => variantById(db, id))
      .filter((x) => x.mechanism === v.mechanism)
      .map((x) => x.parameters),
  };
  return startJob(task, (found: readonly FitChange[]) => ({
    variant,
    changes: found.map(({ before, after, ...c }) => ({
      ...c,
      parameterTitle: String(titles[c.parameter]?.['title'] ?? c.parameter),
      children: asked.learners.map((learner, i) => ({ learner, before: before[i]!, after: after[i]! })),
    })),
  }));
}
