import { goalSkills, readMap } from '../mastery/estimateMastery';
import { ageOn, daysBetween, type LearnerFacts } from '../mastery/evidence';
import { logistic, pairAt } from '../mastery/field';
import { fieldOf, type MapState } from '../mastery/mapState';
import { FIELD } from '../mastery/parameters';
import type { SkillGraph } from '../skills/skillGraph';
import { wantedBy } from '../skills/skill';
import { closeness } from './learnerNeeds';

/** One step that is worth a check-in now. */
export interface WorthChecking {
  /** Index of the skill. */
  readonly skill: number;
  /** What the check-in would settle, in steps of full worth: how much of the doubt about held or not, over all steps, it is expected to take away. */
  readonly settles: number;
  /** Other steps about which it tells as well, the most first. */
  readonly also: readonly number[];
}

/** A child is not checked again sooner. */
export const daysBetweenCheckIns = 14;
/** Questions on a sheet. */
export const questionsOfSheet = 10;
/** Of other steps, those about which it tells at least this part of what it tells of its own. */
const alsoFrom = 0.3;
const mostAlso = 3;

/** What so many questions on a step tell about its θ: Fisher's information with guesses and slips (F. Lord 1980, eq. 4-43, from memory). */
export function informationAt(theta: number, questions: number): number {
  const s = logistic(theta);
  const range = 1 - FIELD.guess - FIELD.slip;
  const p = FIELD.guess + range * s;
  const slope = range * s * (1 - s);
  return (questions * slope * slope) / (p * (1 - p));
}

/**
 * Which steps a check-in would tell most about, the most telling first: the expected fall of Σ worth × p(1 − p), to
 * first order, over all steps it is alike to. Worth is the closeness of the date, as it is for what to practise; what
 * `leaveOut` names nobody can be asked about. Cost: skills².
 */
export function whatToCheck(
  graph: SkillGraph,
  learner: LearnerFacts,
  map: MapState,
  today: string,
  leaveOut: (skill: number) => boolean = () => false,
): WorthChecking[] {
  const estimates = readMap(graph, learner, map, today);
  const field = fieldOf(graph, learner, map, today);
  const age = ageOn(learner.born, today);
  const goals = goalSkills(graph, learner);
  const worth = graph.skills.map((s, k) => (goals.has(k) ? 1 : learner.withoutNorms ? 0 : closeness(wantedBy(s, learner.framework) - age)));
  // How fast P(held) moves with the mean of θ.
  const slope = estimates.map(({ theta, spread }) => density((theta - FIELD.heldFrom) / spread) / spread);
  const found = graph.skills.flatMap((_, j): WorthChecking[] => {
    if (leaveOut(j) || graph.skills[j]!.parts) return [];
    const information = informationAt(estimates[j]!.theta, questionsOfSheet);
    const variance = estimates[j]!.spread ** 2;
    const shrinks = information / (1 + variance * information);
    const tells = graph.skills.map((_, k) => worth[k]! * slope[k]! ** 2 * field.covariance[pairAt(j, k)]! ** 2 * shrinks);
    const settles = tells.reduce((sum, x) => sum + x, 0);
    const also = [...tells.keys()]
      .filter((k) => k !== j && tells[k]! >= alsoFrom * tells[j]!)
      .sort((x, y) => tells[y]! - tells[x]!)
      .slice(0, mostAlso);
    return [{ skill: j, settles, also }];
  });
  return found.sort((x, y) => y.settles - x.settles || x.skill - y.skill);
}

const density = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);

/** Whether a child's last sheet or placement lies long enough back. */
export const checkIsDue = (lastCheckIn: string | null, today: string): boolean =>
  lastCheckIn === null || daysBetween(lastCheckIn, today) >= daysBetweenCheckIns;
