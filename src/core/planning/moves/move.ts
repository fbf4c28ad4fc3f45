import { type Rng, uniform } from '../../shared/rng';
import type { Guide } from '../guide';
import type { SearchState } from '../searchState';

/** A change of a legal schedule that is kept or taken back; what it does to the worth is booked in the state. */
export type Move = (s: SearchState, rng: Rng, temperature: number, guide: Guide) => void;

/** The Metropolis rule. */
export function accepts(delta: number, temperature: number, rng: Rng): boolean {
  return delta >= 0 || uniform(rng) < Math.exp(delta / temperature);
}

/** Keeps what was changed since `before`, where every rule is kept and chance allows it. */
export function settle(s: SearchState, before: number, temperature: number, rng: Rng): void {
  if (s.broken === 0 && accepts(s.total - before, temperature, rng)) return s.accept();
  takeBack(s, before);
}

export function takeBack(s: SearchState, before: number): void {
  s.undo();
  // Exactly as it was: small errors of sums do not add up.
  s.total = before;
}

export const free = (s: SearchState, l: number, r: number): boolean => s.lockedSeat[l * s.R + r] === 0 && !s.isResting(l, r);

/** Reusable list of the learners at one table. */
const seated: number[] = [];
export function learnersAt(s: SearchState, r: number, t: number): number[] {
  seated.length = 0;
  for (let l = 0; l < s.L; l++) if (s.seat[l * s.R + r] === t) seated.push(l);
  return seated;
}
