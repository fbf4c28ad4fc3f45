import { level, prior } from './parameters';

/** Offsets from the norm, in years, that are weighed against one another. */
export const offsets: Float64Array = Float64Array.from(
  { length: level.steps },
  (_, i) => -level.yearsEachWay + (2 * level.yearsEachWay * i) / (level.steps - 1),
);
const logPrior = Float64Array.from(offsets, (o) => -(o * o) / (2 * level.spreadYears ** 2));

/** Log-likelihood of each offset, by line and over all lines. */
export interface LevelEvidence {
  readonly byStrand: readonly Float64Array[];
  readonly all: Float64Array;
}

export function noLevelEvidence(strands: number): LevelEvidence {
  return { byStrand: Array.from({ length: strands }, () => new Float64Array(level.steps)), all: new Float64Array(level.steps) };
}

/** P(held) by the norm for somebody so many years old: rises from `least` to `most` around the age at which it is wanted. */
export function normPrior(age: number, wantedAt: number): number {
  return prior.least + (prior.most - prior.least) / (1 + Math.exp(-(age - wantedAt - prior.leadYears) / prior.widthYears));
}

/** Takes in one observation of a skill: how likely it was if known and if not, at every offset. */
export function seeLevel(
  e: LevelEvidence,
  strand: number,
  age: number,
  wantedAt: number,
  ifKnown: number,
  ifNot: number,
  weight: number,
): void {
  const own = e.byStrand[strand]!;
  for (let i = 0; i < own.length; i++) {
    const p = normPrior(age + offsets[i]!, wantedAt);
    const log = weight * Math.log(p * ifKnown + (1 - p) * ifNot);
    own[i]! += log;
    e.all[i]! += log;
  }
}

/** Posterior weights of the offsets on a line; they sum to one. */
export function levelOf(e: LevelEvidence, strand: number): Float64Array {
  const own = e.byStrand[strand]!;
  const weights = new Float64Array(own.length);
  let most = -Infinity;
  for (let i = 0; i < own.length; i++) {
    weights[i] = logPrior[i]! + own[i]! + level.otherLines * (e.all[i]! - own[i]!);
    if (weights[i]! > most) most = weights[i]!;
  }
  let sum = 0;
  for (let i = 0; i < weights.length; i++) sum += weights[i] = Math.exp(weights[i]! - most);
  for (let i = 0; i < weights.length; i++) weights[i]! /= sum;
  return weights;
}

/** P(held) of a skill before anybody looked: the norm, at the level this learner shows on the line. */
export function levelPrior(weights: Float64Array, age: number, wantedAt: number): number {
  let sum = 0;
  for (let i = 0; i < weights.length; i++) if (weights[i]! > 1e-6) sum += weights[i]! * normPrior(age + offsets[i]!, wantedAt);
  return sum;
}

/** Mean offset on a line, in years ahead of the norm. */
export function yearsAhead(weights: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < weights.length; i++) sum += weights[i]! * offsets[i]!;
  return sum;
}
