import { below, type Rng, uniform } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { PairMemoryParameters } from './parameters';
import { isPair, type MemoryState } from './rules';

/** The places still on the table as one seat sees them before a move, each list from low to high. */
export interface Mind {
  readonly known: Int32Array;
  readonly fresh: Int32Array;
  knownCount: number;
  freshCount: number;
}

export const newMind = (places: number): Mind => ({
  known: new Int32Array(places),
  fresh: new Int32Array(places),
  knownCount: 0,
  freshCount: 0,
});

/** Parts the places still there into those whose card this seat has in mind for the coming move, and the others. */
export function recall(state: MemoryState, seat: Seat<PairMemoryParameters>, mind: Mind, rng: Rng): void {
  const depth = seat.parameters.memory;
  const blank = seat.policy === 'random' || depth === 0;
  const { there, seenAt, flips } = state;
  const { known, fresh } = mind;
  const forgets = seat.policy === 'typical' ? seat.errorRate : 0;
  const since = depth < 0 ? 0 : Math.max(0, flips - depth);
  const places = there.length;
  let knownCount = 0;
  let freshCount = 0;
  for (let place = 0; place < places; place++) {
    if (there[place] === 0) continue;
    if (!blank && seenAt[place]! > since && (forgets === 0 || uniform(rng) >= forgets)) known[knownCount++] = place;
    else fresh[freshCount++] = place;
  }
  mind.knownCount = knownCount;
  mind.freshCount = freshCount;
}

/** The first card: one of a known pair if there is one, else a card not in mind, else any. */
export function chooseFirst(state: MemoryState, mind: Mind, rng: Rng): number {
  const { card, fits } = state;
  const { known, knownCount } = mind;
  const cards = card.length;
  for (let i = 0; i < knownCount; i++) {
    const row = card[known[i]!]! * cards;
    for (let j = i + 1; j < knownCount; j++) if (fits[row + card[known[j]!]!] === 1) return known[i]!;
  }
  return chooseOther(mind, -1, rng);
}

/** The second card: a partner in mind, else a card not in mind, else any other. */
export function chooseSecond(state: MemoryState, mind: Mind, first: number, rng: Rng): number {
  const { known, knownCount } = mind;
  for (let i = 0; i < knownCount; i++) if (known[i] !== first && isPair(state, first, known[i]!)) return known[i]!;
  return chooseOther(mind, first, rng);
}

/** Any card not in mind, or any at all when every card is; each as likely as the others. */
function chooseOther(mind: Mind, except: number, rng: Rng): number {
  const freshLeft = mind.freshCount - timesIn(mind.fresh, mind.freshCount, except);
  const list = freshLeft > 0 ? mind.fresh : mind.known;
  const left = freshLeft > 0 ? freshLeft : mind.knownCount - timesIn(mind.known, mind.knownCount, except);
  // The k-th of those left: a place that is out of the question is stepped over.
  let at = below(rng, left);
  for (let i = 0; i <= at; i++) if (list[i] === except) at++;
  return list[at]!;
}

function timesIn(list: Int32Array, count: number, place: number): number {
  if (place >= 0) for (let i = 0; i < count; i++) if (list[i] === place) return 1;
  return 0;
}
