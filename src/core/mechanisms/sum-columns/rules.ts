import { type Rng, shuffle } from '../../shared/rng';
import type { SumColumnsParameters } from './parameters';

/** Chance of each joined value, by exact enumeration of all throws. */
export function valueChances(p: SumColumnsParameters): ReadonlyMap<number, number> {
  const faces = Array.from({ length: p.highestFace - p.lowestFace + 1 }, (_, i) => p.lowestFace + i);
  let sums = new Map<number, number>([[0, 1]]);
  if (p.combine === 'difference') {
    sums = new Map();
    for (const x of faces) for (const y of faces) add(sums, Math.abs(x - y), 1 / faces.length ** 2);
    return sums;
  }
  for (let die = 0; die < p.dice; die++) {
    const next = new Map<number, number>();
    for (const [sum, chance] of sums) for (const face of faces) add(next, sum + face, chance / faces.length);
    sums = next;
  }
  return sums;
}

function add(map: Map<number, number>, key: number, chance: number): void {
  map.set(key, (map.get(key) ?? 0) + chance);
}

export interface ColumnsState {
  readonly marks: Int32Array;
  /** Seats that picked a column, as bits. */
  readonly pickedBy: Int32Array;
  readonly deck: Int32Array;
  /** The deck in its first order. */
  readonly wholeDeck: Int32Array;
  deckLeft: number;
}

export function newState(p: SumColumnsParameters): ColumnsState {
  const kinds = p.highestFace - p.lowestFace + 1;
  // Dice need no deck, and an empty one costs nothing to lay anew.
  const deck = new Int32Array(p.draw === 'return' ? 0 : kinds * p.copies);
  for (let i = 0; i < deck.length; i++) deck[i] = p.lowestFace + (i % kinds);
  return {
    marks: new Int32Array(p.lastColumn + 1),
    pickedBy: new Int32Array(p.lastColumn + 1),
    deck,
    wholeDeck: deck.slice(),
    deckLeft: 0,
  };
}

export function clear(state: ColumnsState): void {
  const { marks, pickedBy, deck, wholeDeck } = state;
  for (let c = 0; c < marks.length; c++) {
    marks[c] = 0;
    pickedBy[c] = 0;
  }
  state.deckLeft = 0;
  for (let i = 0; i < deck.length; i++) deck[i] = wholeDeck[i]!;
}

/** The next card of a seat's own deck, mixed anew when it is out. */
export function drawCard(state: ColumnsState, rng: Rng): number {
  if (state.deckLeft === 0) {
    shuffle(rng, state.deck, state.deck.length);
    state.deckLeft = state.deck.length;
  }
  return state.deck[--state.deckLeft]!;
}
