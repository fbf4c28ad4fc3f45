import type { SkillGraph } from '../skills/skillGraph';
import { below, type Rng, uniform } from '../shared/rng';
import type { Assumptions } from './assumptions';
import { trulyHeldFrom } from './assumptions';

/** An invented learner: ability per skill in units above that skill's difficulty, and when it was last met. */
export interface InventedLearner {
  /** Age in years at the start. */
  readonly age: number;
  readonly ability: Float64Array;
  /** Day on which a skill was last practised; −1 when never here. */
  readonly lastMet: Float64Array;
}

/** A standard normal number (G. E. P. Box and M. E. Muller 1958). */
export function normal(rng: Rng): number {
  return Math.sqrt(-2 * Math.log(1 - uniform(rng))) * Math.cos(2 * Math.PI * uniform(rng));
}

export function inventLearner(graph: SkillGraph, age: number, a: Assumptions, rng: Rng): InventedLearner {
  const ahead = a.learnerYears * normal(rng);
  const ofStrand = new Map(graph.strands.map((s) => [s.id, a.strandYears * normal(rng)]));
  const ability = Float64Array.from(
    graph.skills,
    (s) => (age + ahead + ofStrand.get(s.strand)! - s.wantedAt.us) / a.yearsPerUnit + a.skillSpread * normal(rng),
  );
  // Nobody is far better at something than at what it needs.
  for (const k of graph.order) for (const { index } of graph.needs[k]!) ability[k] = Math.min(ability[k]!, ability[index]! + 1);
  return { age, ability, lastMet: new Float64Array(ability.length).fill(-1) };
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** Ability on a day, after what was forgotten since the skill was last met. */
export function abilityOn(l: InventedLearner, k: number, day: number, a: Assumptions): number {
  const weeks = l.lastMet[k]! < 0 ? 0 : Math.max(0, day - l.lastMet[k]!) / 7;
  return l.ability[k]! - a.forgetting * Math.log2(1 + weeks) + a.outside * (day / 7);
}

/** Chance of a right answer: guess + (1 − guess − slip) · logistic(discrimination · ability), the four-parameter item-response model (F. M. Barton and F. M. Lord 1981). */
export function chanceOfRight(l: InventedLearner, k: number, day: number, a: Assumptions, tool: boolean): number {
  return a.guess + (1 - a.guess - a.slip) * logistic(a.discrimination * (abilityOn(l, k, day, a) + (tool ? a.toolLift : 0)));
}

/** Whether the learner truly holds a skill: four of five with no tool, slips and guesses aside. */
export function trulyHolds(l: InventedLearner, k: number, day: number, a: Assumptions): boolean {
  return logistic(a.discrimination * abilityOn(l, k, day, a)) >= trulyHeldFrom;
}

/** One meeting's practice: what was forgotten comes off, then learning by how near and how ready. */
export function practise(graph: SkillGraph, l: InventedLearner, k: number, day: number, a: Assumptions): void {
  const now = abilityOn(l, k, day, a) - a.outside * (day / 7);
  const ready = graph.needs[k]!.every(({ index }) => abilityOn(l, index, day, a) > 0);
  // Most is learnt where about half of it is there already.
  const nearness = 4 * logistic(now) * (1 - logistic(now));
  l.ability[k] = now + a.learning * nearness * (ready ? 1 : a.unready) + 0.1 * a.learning;
  l.lastMet[k] = day;
}

/** A skill worth practising: near the edge of what is there, one of several at random. */
export function nearSkill(l: InventedLearner, day: number, a: Assumptions, rng: Rng): number {
  let chosen = -1;
  let seen = 0;
  for (let k = 0; k < l.ability.length; k++) {
    const now = abilityOn(l, k, day, a);
    if (now < -1.5 || now > 2.5) continue;
    if (below(rng, ++seen) === 0) chosen = k;
  }
  return chosen < 0 ? below(rng, l.ability.length) : chosen;
}
