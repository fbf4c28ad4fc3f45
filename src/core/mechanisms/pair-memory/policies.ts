import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { PairMemoryParameters } from './parameters';
import { isPair, type MemoryState } from './rules';

/** Whether this seat can call the card at a place to mind. */
function remembers(state: MemoryState, seat: Seat<PairMemoryParameters>, place: number, rng: Rng): boolean {
  const seen = state.seenAt[place]!;
  const depth = seat.parameters.memory;
  if (seen === 0 || seat.policy === 'random' || depth === 0) return false;
  if (depth > 0 && state.flips - seen >= depth) return false;
  return seat.policy === 'careful' || uniform(rng) >= seat.errorRate;
}

/** Marks every place whose card this seat has in mind for the coming move. */
export function recall(state: MemoryState, seat: Seat<PairMemoryParameters>, inMind: Uint8Array, rng: Rng): void {
  for (let place = 0; place < inMind.length; place++) inMind[place] = state.there[place] === 1 && remembers(state, seat, place, rng) ? 1 : 0;
}

/** The first card: one of a known pair if there is one, else a card not in mind, else any. */
export function chooseFirst(state: MemoryState, p: PairMemoryParameters, inMind: Uint8Array, rng: Rng): number {
  for (let x = 0; x < inMind.length; x++) {
    if (inMind[x] === 0) continue;
    for (let y = x + 1; y < inMind.length; y++) if (inMind[y] === 1 && isPair(state, p, x, y)) return x;
  }
  return chooseOther(state, inMind, -1, rng);
}

/** The second card: a partner in mind, else a card not in mind, else any other. */
export function chooseSecond(state: MemoryState, p: PairMemoryParameters, inMind: Uint8Array, first: number, rng: Rng): number {
  for (let y = 0; y < inMind.length; y++) if (y !== first && inMind[y] === 1 && isPair(state, p, first, y)) return y;
  return chooseOther(state, inMind, first, rng);
}

function chooseOther(state: MemoryState, inMind: Uint8Array, except: number, rng: Rng): number {
  let fresh = 0;
  let any = 0;
  let chosenFresh = -1;
  let chosenAny = -1;
  for (let place = 0; place < inMind.length; place++) {
    if (state.there[place] === 0 || place === except) continue;
    any++;
    if (below(rng, any) === 0) chosenAny = place;
    if (inMind[place] === 1) continue;
    fresh++;
    if (below(rng, fresh) === 0) chosenFresh = place;
  }
  return chosenFresh >= 0 ? chosenFresh : chosenAny;
}
