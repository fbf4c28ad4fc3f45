import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { TargetCombineParameters } from './parameters';
import type { Hand } from './rules';
import type { Step } from './solver';

/** Chance that a typical player's next line is a right one, by stars (common practice, no source). */
const chanceByStars = [0, 0.5, 0.25, 0.1];

/** The right line a seat finds on this try, or null when the try goes astray. */
export function findLine(hand: Hand, seat: Seat<TargetCombineParameters>, rng: Rng): readonly Step[] | null {
  if (hand.stars === 0 || seat.policy === 'random') return null;
  if (seat.policy === 'careful') return hand.easiest;
  if (uniform(rng) >= chanceByStars[hand.stars]! * (1 - seat.errorRate)) return null;
  return hand.all[Math.min(below(rng, hand.all.length), below(rng, hand.all.length))]!;
}
