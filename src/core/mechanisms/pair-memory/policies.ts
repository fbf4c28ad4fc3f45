import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { PairMemoryParameters } from './parameters';
import { isPair, type MemoryState } from './rules';

/** Marks every place whose card this seat has in mind for the coming move. */
export function recall(state: MemoryState, seat: Seat<PairMemoryParameters>, inMind: Uint8Array, rng: Rng): void {
  const depth = seat.parameters.memory;
  if (seat.policy === 'random' || depth === 0) {
    inMind.fill(0);
    return;
  }
  const { there, seenAt } = state;
  const forgets = seat.policy === 'typical' ? seat.errorRate : 0;
  const since = depth < 0 ? 0 : state.flips - depth;
  for (let place = 0; place < inMind.length; place++) {
    const seen = seenAt[place]!;
    inMind[place] = there[place] === 1 && seen > 0 && seen > since && (forgets === 0 || uniform(rng) >= forgets) ? 1 : 0;
  }
}

/** The first card: one of a known pair if there is one, else a card not in mind, else any. */
export function chooseFirst(state: MemoryState, inMind: Uint8Array, rng: Rng): number {
  const { card, fits } = state;
  const places = inMind.length;
  for (let x = 0; x < places; x++) {
    if (inMind[x] === 0) continue;
    const row = card[x]! * places;
    for (let y = x + 1; y < places; y++) if (inMind[y] === 1 && fits[row + card[y]!] === 1) return x;
  }
  return chooseOther(state, inMind, -1, rng);
}

/** The second card: a partner in mind, else a card not in mind, else any other. */
export function chooseSecond(state: MemoryState, inMind: Uint8Array, first: number, rng: Rng): number {
  for (let y = 0; y < inMind.length; y++) if (y !== first && inMind[y] === 1 && isPair(state, first, y)) return y;
  return chooseOther(state, inMind, first, rng);
}

/** Any card not in mind, or any at all when every card is; each as likely as the others. */
function chooseOther(state: MemoryState, inMind: Uint8Array, except: number, rng: Rng): number {
  const { there } = state;
  let fresh = 0;
  let any = 0;
  for (let place = 0; place < inMind.length; place++) {
    if (there[place] === 0 || place === except) continue;
    any++;
    if (inMind[place] === 0) fresh++;
  }
  const onlyFresh = fresh > 0;
  let left = below(rng, onlyFresh ? fresh : any);
  for (let place = 0; place < inMind.length; place++) {
    if (there[place] === 0 || place === except || (onlyFresh && inMind[place] === 1)) continue;
    if (left-- === 0) return place;
  }
  return -1;
}
