import { heldAt } from '../../core/mastery/parameters';
import { wantedBy } from '../../core/skills/skill';
import type { EstimateWire, LearnerWire } from './types';
import type { Skills } from './useSkills';
import { pageToday } from './words';

/** How many steps are pointed out at once. */
const most = 8;
/** Nobody has seen it, so it is worth a little less than what was seen to be open. */
const assumedShare = 0.5;
const aheadYears = 0.5;

/** The steps that are ready and matter most now: widest gap first, what was seen before what is assumed. */
export function goodNext(all: readonly EstimateWire[], skills: Skills, learner: Pick<LearnerWire, 'born' | 'framework'>): EstimateWire[] {
  const [y, m] = learner.born.split('-').map(Number);
  const [ty, tm] = pageToday().split('-').map(Number);
  const age = ty! - y! + (tm! - m!) / 12;
  const worth = (e: EstimateWire): number =>
    (0.9 - e.mastery) *
    (e.seen ? 1 : assumedShare) *
    Math.exp(-Math.max(0, wantedBy(skills.byId.get(e.skill)!, learner.framework) - age) / aheadYears);
  return all
    .filter((e) => e.frontier && e.asSeen < heldAt)
    .sort((x, z) => worth(z) - worth(x))
    .slice(0, most);
}
