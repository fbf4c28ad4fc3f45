import { leftOf, numberCards } from '../../play/deck';
import { below, type Rng, shuffle } from '../../shared/rng';
import type { Seat } from '../mechanism';
import type { RunningTotalParameters } from './parameters';

/** Card codes above every number card. */
export const TAKE_TEN = 100;
export const REVERSE = 101;
export const SKIP = 102;
export const ROUND = 103;
const NO_CARD = 0;

/** A draw pile; seats with the same cards share one. */
export interface Pile {
  /** The whole deck, never changed. */
  readonly deck: Int32Array;
  readonly cards: Int32Array;
  readonly discard: Int32Array;
  left: number;
  discarded: number;
}

export interface TotalState {
  total: number;
  /** +1 counting up, −1 counting down. */
  step: number;
  /** +1 or −1: which neighbour plays next. */
  order: number;
  top: number;
  /** A draw was asked for and no card was left. */
  deckIsOut: boolean;
  /** Different legal cards at the last look through a hand, and what is needed to count them. */
  choices: number;
  stamp: number;
  readonly stamps: Int32Array;
  readonly hands: Int32Array;
  readonly held: Int32Array;
  readonly handWidth: number;
  readonly piles: readonly Pile[];
  readonly pileOfSeat: Int32Array;
}

export function deckOf(p: RunningTotalParameters): number[] {
  const cards = leftOf(numberCards(p.lowestCard, p.highestCard, p.copies), p.missing);
  for (let i = 0; i < p.takeTen; i++) cards.push(TAKE_TEN);
  for (let i = 0; i < p.reverse; i++) cards.push(REVERSE);
  for (let i = 0; i < p.skip; i++) cards.push(SKIP);
  for (let i = 0; i < p.round; i++) cards.push(ROUND);
  return cards;
}

export function newState(seats: readonly Seat<RunningTotalParameters>[]): TotalState {
  const keys: string[] = [];
  const piles: Pile[] = [];
  const pileOfSeat = new Int32Array(seats.length);
  seats.forEach((seat, s) => {
    const cards = deckOf(seat.parameters);
    const key = cards.join();
    if (!keys.includes(key)) {
      keys.push(key);
      piles.push({
        deck: Int32Array.from(cards),
        cards: Int32Array.from(cards),
        discard: new Int32Array(cards.length),
        left: 0,
        discarded: 0,
      });
    }
    pileOfSeat[s] = keys.indexOf(key);
  });
  const handWidth = Math.max(...seats.map((s) => s.parameters.handSize));
  return {
    total: 0,
    step: 1,
    order: 1,
    top: NO_CARD,
    deckIsOut: false,
    choices: 0,
    stamp: 0,
    stamps: new Int32Array(ROUND + 1),
    hands: new Int32Array(handWidth * seats.length),
    held: new Int32Array(seats.length),
    handWidth,
    piles,
    pileOfSeat,
  };
}

export function startRound(state: TotalState, seats: readonly Seat<RunningTotalParameters>[], rng: Rng): void {
  const p = seats[0]!.parameters;
  state.total = p.direction === 'down' ? p.high : p.low;
  state.step = p.direction === 'down' ? -1 : 1;
  state.order = 1;
  state.top = NO_CARD;
  state.deckIsOut = false;
  for (const pile of state.piles) {
    pile.cards.set(pile.deck);
    pile.left = pile.cards.length;
    pile.discarded = 0;
    shuffle(rng, pile.cards, pile.left);
  }
  state.held.fill(0);
  for (let s = 0; s < seats.length; s++)
    for (let i = 0; i < seats[s]!.parameters.handSize; i++) drawCard(state, s, seats[s]!.parameters, rng);
}

export function drawCard(state: TotalState, seat: number, p: RunningTotalParameters, rng: Rng): void {
  const pile = state.piles[state.pileOfSeat[seat]!]!;
  const slot = seat * state.handWidth + state.held[seat]!;
  if (p.draw === 'return') {
    state.hands[slot] = pile.deck[below(rng, pile.deck.length)]!;
    state.held[seat]!++;
    return;
  }
  if (pile.left === 0) {
    if (p.deckOut === 'ends' || pile.discarded === 0) {
      state.deckIsOut = true;
      return;
    }
    for (let i = 0; i < pile.discarded; i++) pile.cards[i] = pile.discard[i]!;
    pile.left = pile.discarded;
    pile.discarded = 0;
    shuffle(rng, pile.cards, pile.left);
  }
  state.hands[slot] = pile.cards[--pile.left]!;
  state.held[seat]!++;
}

/** Whether a card may be played on the total as it stands. */
export function isLegal(state: TotalState, p: RunningTotalParameters, card: number): boolean {
  if (card === TAKE_TEN) return state.total - 10 >= p.low;
  if (card === ROUND) return state.total % 10 !== 0 && roundedTotal(state.total) >= p.low && roundedTotal(state.total) <= p.high;
  if (card > TAKE_TEN) return true;
  if (p.landing === 'beyond') return true;
  return state.step > 0 ? state.total + card <= p.high : state.total - card >= p.low;
}

/** The total at the nearest ten, halves upward. */
export const roundedTotal = (total: number): number => Math.floor((total + 5) / 10) * 10;

/** Puts a card from a hand on the discard pile. */
export function leaveHand(state: TotalState, seat: number, place: number): number {
  const base = seat * state.handWidth;
  const card = state.hands[base + place]!;
  state.held[seat]!--;
  state.hands[base + place] = state.hands[base + state.held[seat]!]!;
  const pile = state.piles[state.pileOfSeat[seat]!]!;
  if (pile.discarded < pile.discard.length) pile.discard[pile.discarded++] = card;
  return card;
}

/** Whether the round is over after the total moved; turns round at the upper end when asked. */
export function reachesEnd(state: TotalState, p: RunningTotalParameters): boolean {
  if (state.step < 0) return state.total <= p.low;
  if (state.total < p.high) return false;
  if (p.direction !== 'up-and-down') return true;
  state.step = -1;
  return false;
}

/**
 * The totals from which the end can no longer be met exactly, by search over all totals
 * that number and take-ten cards can reach; empty when the game can always end.
 */
export function deadTotals(p: RunningTotalParameters): number[] {
  if (p.landing === 'beyond') return [];
  const legs: [number, number, number][] =
    p.direction === 'up'
      ? [[p.low, p.high, 1]]
      : p.direction === 'down'
        ? [[p.high, p.low, -1]]
        : [
            [p.low, p.high, 1],
            [p.high, p.low, -1],
          ];
  return legs.flatMap(([from, to, step]) => deadOnLeg(p, from, to, step));
}

function deadOnLeg(p: RunningTotalParameters, from: number, to: number, step: number): number[] {
  const kinds = [...new Set(leftOf(numberCards(p.lowestCard, p.highestCard, p.copies), p.missing))];
  const next = (total: number): number[] => {
    const found: number[] = [];
    for (const c of kinds) {
      const t = total + step * c;
      if (t >= p.low && t <= p.high) found.push(t);
    }
    if (p.takeTen > 0 && total - 10 >= p.low) found.push(total - 10);
    if (p.round > 0 && roundedTotal(total) >= p.low && roundedTotal(total) <= p.high) found.push(roundedTotal(total));
    return found;
  };
  const reached = new Set([from]);
  for (const total of reached) if (total !== to) for (const t of next(total)) reached.add(t);
  const good = new Set([to]);
  for (let grew = true; grew;) {
    grew = false;
    for (const total of reached) if (!good.has(total) && next(total).some((t) => good.has(t))) grew = Boolean(good.add(total));
  }
  return [...reached].filter((t) => !good.has(t)).sort((x, y) => x - y);
}
