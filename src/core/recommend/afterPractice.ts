import { remember } from '../mastery/retention';
import type { Standing } from '../mastery/standing';
import { daysBetween } from '../shared/days';
import type { SkillGraph } from '../skills/skillGraph';
import type { LearnerNeeds } from './learnerNeeds';
import { enoughChances } from './valueOf';

/** θ that twelve chances of practice add where every other answer comes right and all that is needed is there. */
const risePerRound = 0.3;

/** One skill after practice that is planned and not yet seen: it rises most where it is even, and its memory begins anew. A forecast, never evidence. */
export function afterPractice(
  graph: SkillGraph,
  k: number,
  s: Standing,
  date: string,
  chances: number,
  needs: LearnerNeeds,
  met: boolean,
): Standing {
  const p = needs.success[k]!;
  const rise = (risePerRound * 4 * p * (1 - p) * needs.readiness[k]! * Math.log1p(chances / enoughChances)) / Math.LN2;
  if (!met) return { ...s, theta: s.theta + rise };
  const days = s.lastMet === null ? 0 : daysBetween(s.lastMet, date);
  const memory = remember(s.memory, days, p < 0.5 ? 'support' : 'alone', graph.skills[k]!.nature);
  return { ...s, theta: needs.theta[k]! + rise, memory, lastMet: date };
}
