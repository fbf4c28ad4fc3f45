import { FIELD, type FieldParameters } from './parameters';

/**
 * What a learner can do, as one joint normal field over all skills: ability θ per skill on a
 * logit scale. One observation says something about its own skill and, by as much as they are
 * alike, about every other.
 */
export interface Field {
  /** Number of skills. */
  readonly n: number;
  /** Mean of θ by skill. */
  readonly mean: Float64Array;
  /** Lower triangle of the covariance, row after row: (i, j) with i ≥ j stands at i(i + 1)/2 + j. */
  readonly covariance: Float32Array;
}

/** What is known of one skill besides its items: who learns it when, and on which line. */
export interface FieldSkill {
  readonly wantedAt: number;
  readonly strand: string;
}

/** Where a pair of skills stands in the triangle. */
export const pairAt = (i: number, j: number): number => (i >= j ? (i * (i + 1)) / 2 + j : (j * (j + 1)) / 2 + i);

/** Variance of θ of one skill. */
export const varianceOf = (field: Field, k: number): number => field.covariance[pairAt(k, k)]!;

/** Mean of θ at an age before anything was noted. */
export function priorMean(age: number, wantedAt: number, p: FieldParameters = FIELD): number {
  return Math.min(p.meanRange[1], Math.max(p.meanRange[0], p.atNorm + p.perYear * (age - wantedAt)));
}

const triangles = new WeakMap<readonly FieldSkill[], Float32Array>();

/** The field of a child of an age before anything was noted. */
export function priorField(skills: readonly FieldSkill[], age: number, p: FieldParameters = FIELD): Field {
  const n = skills.length;
  let triangle = p === FIELD ? triangles.get(skills) : undefined;
  if (!triangle) {
    triangle = new Float32Array((n * (n + 1)) / 2);
    for (let i = 0; i < n; i++)
      for (let j = 0; j <= i; j++) {
        const [x, y] = [skills[i]!, skills[j]!];
        const line = x.strand === y.strand ? p.line * Math.exp(-Math.abs(x.wantedAt - y.wantedAt) / p.lineYears) : 0;
        triangle[pairAt(i, j)] = p.person + line + (i === j ? p.own : 0);
      }
    if (p === FIELD) triangles.set(skills, triangle);
  }
  return { n, mean: Float64Array.from(skills, (s) => priorMean(age, s.wantedAt, p)), covariance: triangle.slice() };
}

export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** Chance of a right answer: g + (1 − g − s)·σ(θ − d). */
export const rightAt = (theta: number, difficulty: number, p: Pick<FieldParameters, 'guess' | 'slip'>): number =>
  p.guess + (1 - p.guess - p.slip) * logistic(theta - difficulty);

/** One observation: `items` questions on one skill, `right` of them right; both may be fractions. */
export interface FieldObservation {
  readonly skill: number;
  readonly items: number;
  readonly right: number;
  readonly difficulty: number;
  /** Says something of its own skill only, and may lower it though it was right. */
  readonly alone?: boolean;
}

/** Points of the sum over θ, in standard deviations each way, and their distance. */
const reach = 5;
const stepOfSum = 0.125;
const points = Float64Array.from({ length: Math.round((2 * reach) / stepOfSum) + 1 }, (_, i) => -reach + i * stepOfSum);
const density = points.map((z) => Math.exp(-0.5 * z * z));

/** Mean and variance of N(mean, variance) times the likelihood of an observation, by summing over a grid. */
export function momentsAfter(
  mean: number,
  variance: number,
  o: Pick<FieldObservation, 'items' | 'right' | 'difficulty'>,
  p: Pick<FieldParameters, 'guess' | 'slip'> = FIELD,
): { readonly mean: number; readonly variance: number } {
  const sd = Math.sqrt(variance);
  const wrong = o.items - o.right;
  let [total, first, second] = [0, 0, 0];
  for (let i = 0; i < points.length; i++) {
    const z = points[i]!;
    const chance = rightAt(mean + sd * z, o.difficulty, p);
    const likelihood = (o.right === 0 ? 1 : chance ** o.right) * (wrong === 0 ? 1 : (1 - chance) ** wrong);
    const weight = density[i]! * likelihood;
    total += weight;
    first += weight * z;
    second += weight * z * z;
  }
  const m = first / total;
  return { mean: mean + sd * m, variance: variance * (second / total - m * m) };
}

/** Nobody is ever surer of a skill than this, so that a few notes can always turn an estimate. */
const leastVariance = 0.05;

/**
 * Takes in one observation, in place. Only θ of its own skill enters the likelihood, so every other skill moves by
 * its regression on that one, and first and second moments are exact for a normal field (T. Minka 2001, assumed
 * density filtering). What was all right lowers no share held, and what was all wrong raises none: a narrower field
 * alone would do so for skills far from the threshold. Cost: n²/2. Returns by how much the mean of the skill moved.
 */
export function observe(field: Field, o: FieldObservation, p: FieldParameters = FIELD): number {
  const { n, mean, covariance } = field;
  const k = o.skill;
  const variance = varianceOf(field, k);
  const after = momentsAfter(mean[k]!, variance, o, p);
  const moved = after.mean - mean[k]!;
  if (o.alone) {
    // Nothing is narrowed: a smaller variance of one skill beside unchanged neighbours need be no covariance.
    mean[k]! += moved;
    return moved;
  }
  const narrowed = Math.max(leastVariance, after.variance) - variance;
  const column = new Float64Array(n);
  for (let i = 0; i < n; i++) column[i] = covariance[pairAt(i, k)]!;
  const shrink = Math.min(0, narrowed) / (variance * variance);
  const [allRight, allWrong] = [o.right === o.items, o.right === 0];
  const step = moved / variance;
  for (let i = 0, row = 0; i < n; i++) {
    const scaled = column[i]! * shrink;
    const own = row + i;
    const varianceBefore = covariance[own]!;
    for (let j = 0; j <= i; j++) covariance[row + j] = covariance[row + j]! + scaled * column[j]!;
    const meanBefore = mean[i]!;
    mean[i] = meanBefore + column[i]! * step;
    if (allRight || allWrong) {
      const z = (meanBefore - p.heldFrom) / Math.sqrt(varianceBefore);
      const sd = Math.sqrt(covariance[own]!);
      const now = (mean[i]! - p.heldFrom) / sd;
      if (allRight ? now < z : now > z) mean[i] = p.heldFrom + z * sd;
    }
    row += i + 1;
  }
  return moved;
}
/** Normal distribution function, to 1.2e-7 (Numerical Recipes, erfc by Chebyshev fit). */
export function normalCdf(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + z / 2);
  const poly =
    -z * z -
    1.26551223 +
    t *
      (1.00002368 +
        t *
          (0.37409196 +
            t *
              (0.09678418 +
                t * (-0.18628806 + t * (0.27886807 + t * (-1.13520398 + t * (1.48851587 + t * (-0.82215223 + t * 0.17087277))))))));
  const tail = (t * Math.exp(poly)) / 2;
  return x >= 0 ? 1 - tail : tail;
}

/** Chance that θ ~ N(mean, variance) lies where a step is held. */
export const heldAbove = (mean: number, variance: number, p: Pick<FieldParameters, 'heldFrom'> = FIELD): number =>
  normalCdf((mean - p.heldFrom) / Math.sqrt(variance));

/** The mean at which so much of N(mean, variance) lies where a step is held, by halving. */
export function meanFor(held: number, variance: number): number {
  let [low, high] = [-12, 12];
  for (let i = 0; i < 50; i++) {
    const mid = (low + high) / 2;
    if (heldAbove(mid, variance) < held) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Chance that a skill is held: θ above the threshold. */
export const heldShare = (field: Field, k: number, p: FieldParameters = FIELD): number =>
  heldAbove(field.mean[k]!, varianceOf(field, k), p);
