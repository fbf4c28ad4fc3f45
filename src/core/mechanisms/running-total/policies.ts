import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { RunningTotalParameters } from './parameters';
import { isLegal, REVERSE, ROUND, roundedTotal, SKIP, TAKE_TEN, type TotalState } from './rules';

/** Below every worth; an integer, so that the comparison stays one. */
const worthNothing = -1_000_000;
const reachEndWorth = 1000;
const roundNumberWorth = 100;
const takeTenOnRoundNumberWorth = 50;

/** Greedy worth of a card: the end first, then a multiple of ten, then the larger card. */
function worth(state: TotalState, p: RunningTotalParameters, card: number): number {
  if (card === SKIP) return 2;
  if (card === REVERSE) return 1;
  if (card === ROUND) {
    const landing = roundedTotal(state.total);
    if (state.step > 0 ? landing >= p.high : landing <= p.low) return reachEndWorth;
    return roundNumberWorth + state.step * (landing - state.total);
  }
  if (card === TAKE_TEN) {
    const landing = state.total - 10;
    if (state.step < 0) return landing <= p.low ? reachEndWorth : 10;
    return landing > 10 && landing % 10 === 0 ? takeTenOnRoundNumberWorth : -10;
  }
  const landing = state.total + state.step * card;
  if (state.step > 0 ? landing >= p.high : landing <= p.low) return reachEndWorth;
  const roundStep = p.bonusStep || 10;
  return landing % roundStep === 0 ? roundNumberWorth + card : card;
}

/**
 * One look through the hand: the legal card to play (its place, −1 for none) is returned,
 * and the number of different legal cards is left in `state.choices`.
 */
export function chooseCard(state: TotalState, seat: Seat<RunningTotalParameters>, s: number, rng: Rng): number {
  const base = s * state.handWidth;
  const held = state.held[s]!;
  const p = seat.parameters;
  const careless = seat.policy === 'random' || (seat.policy === 'typical' && uniform(rng) < seat.errorRate);
  const stamp = ++state.stamp;
  const { hands, stamps } = state;
  let best = -1;
  let bestWorth = worthNothing;
  let seen = 0;
  let different = 0;
  for (let i = 0; i < held; i++) {
    const card = hands[base + i]!;
    if (!isLegal(state, p, card)) continue;
    seen++;
    if (stamps[card] !== stamp) {
      stamps[card] = stamp;
      different++;
    }
    if (careless) {
      if (below(rng, seen) === 0) best = i;
      continue;
    }
    const value = worth(state, p, card);
    if (value > bestWorth) {
      best = i;
      bestWorth = value;
    }
  }
  state.choices = different;
  return best;
}

/** With nothing to play, the largest card goes. */
export function chooseDiscard(state: TotalState, s: number): number {
  const base = s * state.handWidth;
  let worst = 0;
  for (let i = 1; i < state.held[s]!; i++) if (state.hands[base + i]! > state.hands[base + worst]!) worst = i;
  return worst;
}
