import { renewGraph } from '../db/graphOf';
import type { Db } from '../db/db';
import {
  bins,
  changes,
  crosswalk,
  evidence,
  expectations,
  frameworks,
  games,
  gatherTicks,
  groups,
  idempotency,
  kinds,
  learners,
  meetings,
  memberships,
  ownEdges,
  ownSkills,
  pacing,
  plans,
  prepTicks,
  settings,
  simulations,
  terms,
  variantMaterials,
  variants,
} from '../db/schema';
import { seedKinds } from '../db/seedKinds';
import { refuse } from '../http/problemError';

/** Takes everything away: an empty shelf and no learners. Only with the demo or test flag. */
export function emptyWorkspace(db: Db, confirm: string | undefined): { ok: true } {
  if (process.env['ZEITGEBER_DEMO'] !== '1' && process.env['ZEITGEBER_TEST'] !== '1')
    throw refuse('forbidden', 'Emptying everything is only possible in the demo.');
  if (confirm !== 'empty') throw refuse('malformed', 'Say confirm=empty to take everything away.', 'confirm');
  db.transaction((tx) => {
    for (const table of [
      crosswalk,
      expectations,
      frameworks,
      ownEdges,
      ownSkills,
      gatherTicks,
      prepTicks,
      pacing,
      evidence,
      plans,
      meetings,
      terms,
      memberships,
      groups,
      learners,
      variantMaterials,
      variants,
      games,
      kinds,
      bins,
      changes,
      idempotency,
      simulations,
      settings,
    ])
      tx.delete(table).run();
  });
  seedKinds(db);
  renewGraph(db);
  return { ok: true };
}
