import { type Rng, shuffle } from '../../shared/rng';
import type { PairMemoryParameters } from './parameters';

export interface MemoryState {
  /** Value of the card at each place; the look is 0 or 1. */
  readonly value: Int32Array;
  readonly look: Int32Array;
  readonly there: Uint8Array;
  /** Flip number at which a place was last seen; 0 when never. */
  readonly seenAt: Int32Array;
  readonly deal: Int32Array;
  flips: number;
  left: number;
}

/** The two values of every pair the parameters allow. */
export function pairsOf(p: PairMemoryParameters): readonly (readonly [number, number])[] {
  const pairs: [number, number][] = [];
  for (let low = p.lowestCard; low <= p.highestCard; low++) {
    if (p.relation === 'equal') pairs.push([low, low]);
    else if (low <= p.sum - low && p.sum - low <= p.highestCard) pairs.push([low, p.sum - low]);
  }
  return pairs;
}

/** The value that belongs to `value`. */
export function partnerOf(p: PairMemoryParameters, value: number): number {
  return p.relation === 'equal' ? value : p.sum - value;
}

export function newState(p: PairMemoryParameters): MemoryState {
  const cards = p.rows * p.columns;
  const state: MemoryState = {
    value: new Int32Array(cards),
    look: new Int32Array(cards),
    there: new Uint8Array(cards),
    seenAt: new Int32Array(cards),
    deal: Int32Array.from({ length: cards }, (_, i) => i),
    flips: 0,
    left: cards,
  };
  return state;
}

export function lay(state: MemoryState, pairs: readonly (readonly [number, number])[], rng: Rng): void {
  shuffle(rng, state.deal, state.deal.length);
  for (let i = 0; i < state.deal.length; i++) {
    const place = state.deal[i]!;
    const pair = pairs[(i >> 1) % pairs.length]!;
    state.value[place] = pair[i & 1]!;
    state.look[place] = i & 1;
  }
  state.there.fill(1);
  state.seenAt.fill(0);
  state.flips = 0;
  state.left = state.deal.length;
}

/** Two cards match when their values do and, for equal amounts, their looks differ. */
export function isPair(state: MemoryState, p: PairMemoryParameters, x: number, y: number): boolean {
  if (state.value[y] !== partnerOf(p, state.value[x]!)) return false;
  return p.relation === 'sum' || state.look[x] !== state.look[y];
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
