import type { EstimateWire } from '../../contract/wire/maps';
import type { LearnerWire } from '../../contract/wire/learners';
import { goodNext as nextOf } from '../../core/mastery/goodNext';
import { monthsBetween } from '../../core/shared/days';
import { wantedBy } from '../../core/skills/skill';
import type { Skills } from './useSkills';
import { pageToday } from './words';

/** The steps that are ready and matter most now, on the page's day. */
export const goodNext = (all: readonly EstimateWire[], skills: Skills, learner: Pick<LearnerWire, 'born' | 'framework'>): EstimateWire[] =>
  nextOf(all, monthsBetween(learner.born, pageToday()) / 12, (k) => wantedBy(skills.byId.get(k)!, learner.framework));
