import { FORECAST, type KnowledgeParameters } from './parameters';

/**
 * One observation in Bayesian knowledge tracing (Corbett and Anderson 1995): P(known)
 * after seeing a right or wrong answer, before any learning.
 *
 *   right: L(1−s) / (L(1−s) + (1−L)g)      wrong: Ls / (Ls + (1−L)(1−g))
 *
 * L = P(known), s = slip, g = guess.
 * // => posterior(0.3, true, { slip: 0.1, guess: 0.2, transit: 0.1 }) is 0.658536585366
 */
export function posterior(known: number, right: boolean, p: KnowledgeParameters): number {
  const ifKnown = right ? 1 - p.slip : p.slip;
  const ifNot = right ? p.guess : 1 - p.guess;
  return (known * ifKnown) / (known * ifKnown + (1 - known) * ifNot);
}

/**
 * Learning by practice: L + (1 − L)·T. Practice that got nowhere teaches less: the step is
 * taken by `share` (1 in the published model, the credit of the answer for table notes).
 */
export function learn(known: number, p: KnowledgeParameters, share = 1): number {
  return known + (1 - known) * p.transit * share;
}

/** Share of right answers to expect of a step, by how far all that it needs is there (0 … 1); see `FORECAST`. */
export function expectedRight(known: number, readiness: number): number {
  return chanceRight(known, { slip: FORECAST.slip, guess: FORECAST.guess + (FORECAST.near - FORECAST.guess) * readiness });
}

/** Chance of a right answer: L(1−s) + (1−L)g. */
export function chanceRight(known: number, p: Pick<KnowledgeParameters, 'slip' | 'guess'>): number {
  return known * (1 - p.slip) + (1 - known) * p.guess;
}

/**
 * An observation that is partly right: Jeffrey's rule, credit·posterior(right) +
 * (1 − credit)·posterior(wrong), then moved only by `weight` of the way.
 */
export function softPosterior(known: number, credit: number, weight: number, p: KnowledgeParameters): number {
  const moved = credit * posterior(known, true, p) + (1 - credit) * posterior(known, false, p);
  return known + weight * (moved - known);
}

/** Several answers of one sheet at once; more than four count as four, since they are alike. */
export function sheetPosterior(known: number, correct: number, total: number, p: KnowledgeParameters): number {
  const temper = Math.min(1, 4 / total);
  const ifKnown = ((1 - p.slip) ** correct * p.slip ** (total - correct)) ** temper;
  const ifNot = (p.guess ** correct * (1 - p.guess) ** (total - correct)) ** temper;
  return (known * ifKnown) / (known * ifKnown + (1 - known) * ifNot);
}
