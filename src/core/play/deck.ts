import { below, type Rng } from '../shared/rng';

/**
 * A deck drawn from at random, without return, and made whole by `reset`. Draws by
 * swapping, so a deck need not be shuffled whole before a game of few draws.
 */
export class Deck {
  private readonly whole: Int32Array;
  private readonly cards: Int32Array;
  left: number;

  constructor(cards: ArrayLike<number>) {
    this.whole = Int32Array.from(cards);
    this.cards = Int32Array.from(cards);
    this.left = this.cards.length;
  }

  get size(): number {
    return this.cards.length;
  }

  /** Whole again and in its first order, so that a game depends on its own random numbers only. */
  reset(): void {
    this.cards.set(this.whole);
    this.left = this.cards.length;
  }

  /** Makes these cards of the deck the ones that are left. */
  putBack(cards: ArrayLike<number>): void {
    this.cards.set(cards);
    this.left = cards.length;
  }

  /** The next card; −1 when the deck is out. */
  draw(rng: Rng): number {
    if (this.left === 0) return -1;
    const at = below(rng, this.left);
    const last = --this.left;
    const card = this.cards[at]!;
    this.cards[at] = this.cards[last]!;
    this.cards[last] = card;
    return card;
  }

  /** Any card of the whole deck, which stays in it. */
  peek(rng: Rng): number {
    return this.cards[below(rng, this.cards.length)]!;
  }
}

/** Cards low … high, so many of each. */
export function numberCards(low: number, high: number, copies: number): number[] {
  const cards: number[] = [];
  for (let c = low; c <= high; c++) for (let i = 0; i < copies; i++) cards.push(c);
  return cards;
}

/** The deck without the cards that are missing. */
export function leftOf(cards: readonly number[], missing: readonly number[]): number[] {
  const left = [...cards];
  for (const gone of missing) {
    const at = left.indexOf(gone);
    if (at >= 0) left.splice(at, 1);
  }
  return left;
}

/** A whole number from low to high, both counted. */
export const between = (rng: Rng, low: number, high: number): number => low + below(rng, high - low + 1);
