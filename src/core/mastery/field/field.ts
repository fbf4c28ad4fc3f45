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
  /** Covariance, n × n, row after row. */
  readonly covariance: Float64Array;
}

/** What is known of one skill besides its items: who learns it when, and on which line. */
export interface FieldSkill {
  readonly wantedAt: number;
  readonly strand: string;
}

/** Starting values from a study with invented learners; to be fitted on training seeds only. */
export const fieldParameters = {
  /** θ of a child at the age a step is wanted, and its growth a year. */
  atNorm: 0.9,
  perYear: 1.3,
  meanRange: [-3, 4] as readonly [number, number],
  /** Variances: of the person over all skills, of the line (fading with years between steps), of the skill alone. */
  person: 0.9,
  line: 0.35,
  lineYears: 3,
  own: 0.5,
  guess: 0.08,
  slip: 0.05,
  /** θ from which a step is held: four answers of five right, slips and guesses aside. */
  heldFrom: Math.log(4),
};
export type FieldParameters = typeof fieldParameters;

/** The field of a child of an age before anything was noted. */
export function priorField(skills: readonly FieldSkill[], age: number, p: FieldParameters = fieldParameters): Field {
  const n = skills.length;
  const mean = Float64Array.from(skills, (s) =>
    Math.min(p.meanRange[1], Math.max(p.meanRange[0], p.atNorm + p.perYear * (age - s.wantedAt))),
  );
  const covariance = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const [x, y] = [skills[i]!, skills[j]!];
      const line = x.strand === y.strand ? p.line * Math.exp(-Math.abs(x.wantedAt - y.wantedAt) / p.lineYears) : 0;
      covariance[i * n + j] = p.person + line + (i === j ? p.own : 0);
    }
  return { n, mean, covariance };
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** Chance of a right answer: g + (1 − g − s)·σ(θ − d). */
export const rightAt = (theta: number, difficulty: number, p: Pick<FieldParameters, 'guess' | 'slip'>): number =>
  p.guess + (1 - p.guess - p.slip) * logistic(theta - difficulty);

/** One observation: `items` questions on one skill (a tap is one item in all, divided over the steps it is credited to), `right` of them right. */
export interface FieldObservation {
  readonly skill: number;
  readonly items: number;
  readonly right: number;
  readonly difficulty: number;
}

/** Points of the sum over θ, in standard deviations each way, and their distance. */
const reach = 6;
const step = 0.1;

/** Mean and variance of N(mean, variance) times the likelihood of an observation, by summing over a grid. */
export function momentsAfter(
  mean: number,
  variance: number,
  o: Omit<FieldObservation, 'skill'>,
  p: Pick<FieldParameters, 'guess' | 'slip'> = fieldParameters,
): { readonly mean: number; readonly variance: number } {
  const sd = Math.sqrt(variance);
  let [total, first, second] = [0, 0, 0];
  for (let z = -reach; z <= reach + step / 2; z += step) {
    const chance = rightAt(mean + sd * z, o.difficulty, p);
    const weight = Math.exp(-0.5 * z * z + o.right * Math.log(chance) + (o.items - o.right) * Math.log(1 - chance));
    total += weight;
    first += weight * z;
    second += weight * z * z;
  }
  const m = first / total;
  return { mean: mean + sd * m, variance: variance * (second / total - m * m) };
}

/**
 * Takes in one observation, in place. Only θ of its own skill enters the likelihood, so every other skill moves by
 * its regression on that one, and first and second moments are exact for a normal field (T. Minka 2001, assumed
 * density filtering). Cost: n². Returns by how much the mean of the skill itself moved.
 */
export function observe(field: Field, o: FieldObservation, p: FieldParameters = fieldParameters): number {
  const { n, mean, covariance } = field;
  const k = o.skill;
  const variance = covariance[k * n + k]!;
  const after = momentsAfter(mean[k]!, variance, o, p);
  const moved = after.mean - mean[k]!;
  const column = Float64Array.from({ length: n }, (_, i) => covariance[i * n + k]!);
  const shrink = (after.variance - variance) / (variance * variance);
  for (let i = 0; i < n; i++) {
    mean[i]! += (column[i]! / variance) * moved;
    const row = column[i]! * shrink;
    for (let j = 0; j < n; j++) covariance[i * n + j]! += row * column[j]!;
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

/** Chance that a skill is held: θ above the threshold. */
export function heldShare(field: Field, k: number, p: FieldParameters = fieldParameters): number {
  return normalCdf((field.mean[k]! - p.heldFrom) / Math.sqrt(field.covariance[k * field.n + k]!));
}
