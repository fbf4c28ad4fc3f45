import { compareFractions, fractionCode } from '../../items/fraction';
import { type Rng, shuffle } from '../../shared/rng';
import type { PairMemoryParameters } from './parameters';

export interface MemoryState {
  /** Value of the card at each place; the look is 0 or 1. */
  readonly value: Int32Array;
  readonly look: Int32Array;
  /** Which card of the deck lies at each place, and which two cards of the deck are a pair. */
  readonly card: Int32Array;
  readonly fits: Uint8Array;
  readonly there: Uint8Array;
  /** Flip number at which a place was last seen; 0 when never. */
  readonly seenAt: Int32Array;
  readonly deal: Int32Array;
  flips: number;
  left: number;
}

/** A fraction in lowest terms and one other form of it. */
const fractionPairs: readonly (readonly [number, number])[] = (
  [
    [1, 2, 2, 4],
    [1, 3, 2, 6],
    [2, 3, 4, 6],
    [1, 4, 2, 8],
    [3, 4, 6, 8],
    [1, 5, 2, 10],
    [2, 5, 4, 10],
    [3, 5, 6, 10],
    [4, 5, 8, 10],
    [1, 6, 2, 12],
    [5, 6, 10, 12],
    [1, 8, 2, 16],
  ] as const
).map(([a, b, c, d]) => [fractionCode(a, b), fractionCode(c, d)]);

/** The two values of every pair the parameters allow. */
export function pairsOf(p: PairMemoryParameters): readonly (readonly [number, number])[] {
  const pairs: [number, number][] = [];
  if (p.relation === 'equal-fraction') return fractionPairs;
  for (let low = p.lowestCard; low <= p.highestCard; low += p.by) {
    if (p.relation === 'equal') pairs.push([low, low]);
    else if (p.relation === 'difference') {
      const high = low + p.gap;
      // A card that suits two others would leave somebody without a partner.
      const alone = !pairs.flat().some((v) => [low, high].some((x) => x === v || Math.abs(x - v) === p.gap));
      if (high <= p.highestCard && alone) pairs.push([low, high]);
    } else if (low <= p.sum - low && p.sum - low <= p.highestCard && (p.sum - 2 * low) % p.by === 0) pairs.push([low, p.sum - low]);
  }
  return pairs;
}

export function newState(p: PairMemoryParameters): MemoryState {
  const cards = p.rows * p.columns;
  const state: MemoryState = {
    value: new Int32Array(cards),
    look: new Int32Array(cards),
    card: new Int32Array(cards),
    fits: fitsOf(p, cards),
    there: new Uint8Array(cards),
    seenAt: new Int32Array(cards),
    deal: Int32Array.from({ length: cards }, (_, i) => i),
    flips: 0,
    left: cards,
  };
  return state;
}

export function lay(state: MemoryState, pairs: readonly (readonly [number, number])[], rng: Rng): void {
  for (let i = 0; i < state.deal.length; i++) state.deal[i] = i;
  shuffle(rng, state.deal, state.deal.length);
  for (let i = 0; i < state.deal.length; i++) {
    const place = state.deal[i]!;
    const pair = pairs[(i >> 1) % pairs.length]!;
    state.value[place] = pair[i & 1]!;
    state.look[place] = i & 1;
    state.card[place] = i;
  }
  state.there.fill(1);
  state.seenAt.fill(0);
  state.flips = 0;
  state.left = state.deal.length;
}

/** Which cards of the deck match, looked up in the turn loop instead of asked again. */
function fitsOf(p: PairMemoryParameters, cards: number): Uint8Array {
  const pairs = pairsOf(p);
  const fits = new Uint8Array(cards * cards);
  if (pairs.length === 0) return fits;
  const valueOf = (i: number): number => pairs[(i >> 1) % pairs.length]![i & 1]!;
  for (let i = 0; i < cards; i++)
    for (let j = 0; j < cards; j++) if (match(p, valueOf(i), valueOf(j), (i & 1) === (j & 1))) fits[i * cards + j] = 1;
  return fits;
}

/** Two cards match when their values do and, for equal amounts, their looks differ. */
function match(p: PairMemoryParameters, a: number, b: number, sameLook: boolean): boolean {
  if (p.relation === 'sum') return a + b === p.sum;
  if (p.relation === 'difference') return a - b === p.gap || b - a === p.gap;
  if (p.relation === 'equal-fraction') return compareFractions(a, b) === 0;
  return a === b && !sameLook;
}

export function isPair(state: MemoryState, x: number, y: number): boolean {
  return state.fits[state.card[x]! * state.card.length + state.card[y]!] === 1;
}

export function flip(state: MemoryState, place: number): void {
  state.flips++;
  state.seenAt[place] = state.flips;
}

export function take(state: MemoryState, x: number, y: number): void {
  state.there[x] = 0;
  state.there[y] = 0;
  state.left -= 2;
}
