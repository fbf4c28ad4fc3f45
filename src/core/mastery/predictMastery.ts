import { PARAMETERS } from './parameters';

/**
 * Expected mastery after practice that is planned and not yet seen: each ten chances count
 * as one learning step, L + (1 − L)(1 − (1 − T)^(chances/10)). A forecast, never evidence.
 */
export function predictMastery(known: number, chances: number): number {
  const { transit } = PARAMETERS.note;
  return known + (1 - known) * (1 - (1 - transit) ** (chances / 10));
}
