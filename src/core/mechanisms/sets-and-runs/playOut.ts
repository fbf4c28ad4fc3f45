import { bestOf } from '../../play/bestOf';
import { Deck } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { SetsParameters } from './parameters';
import { belongTogether, type Card, groupsOf, readingOf } from './rules';

type Player = Seat<SetsParameters>;

/** Draws and puts away, in turn; a set laid down stays. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const cards: Card[] = groupsOf(p).flatMap((group) => ([0, 1, 2] as const).map((face): Card => ({ group, face })));
  const deck = new Deck(cards.map((_, i) => i));
  const hands: number[][] = seats.map(() => []);
  return (rng: Rng, log: GameLog): void => {
    deck.reset();
    const open: number[] = [];
    for (const [s, hand] of hands.entries()) {
      hand.length = 0;
      while (hand.length < seats[s]!.parameters.hand && deck.left > 0) take(hand, deck.draw(rng), s, cards, p, log);
      log.scores[s] = seats[s]!.headStart;
    }
    for (let i = 0; i < p.open && deck.left > 0; i++) open.push(deck.draw(rng));
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      const hand = hands[s]!;
      const thinks = seats[s]!.policy !== 'random' && !slips(seats[s]!, rng);
      log.turn(s, open.length + 1);
      drawOne(hand, open, deck, thinks, s, cards, p, rng, log);
      layDown(hand, s, cards, p, log);
      if (s === count - 1 && log.scores.some((x) => x >= p.sets)) {
        log.winner = bestOf(log.scores, count);
        log.rounds = Math.ceil((turn + 1) / count);
        return;
      }
      if (hand.length > 0) open.push(putAway(hand, thinks, cards, p, rng));
      while (open.length > p.open) open.shift();
      // The pile is out: everything that nobody holds is shuffled again.
      if (deck.left === 0) refill(deck, hands, open, rng);
    }
    log.capped = true;
  };
}

function take(hand: number[], card: number, s: number, cards: readonly Card[], p: SetsParameters, log: GameLog): void {
  hand.push(card);
  const reading = readingOf(p, cards[card]!.group, cards[card]!.face);
  if (reading) log.item(s, reading.channel, reading.a, reading.b);
}

/** How near a card is to a set with what is held: how many of the hand could lie with it. */
function company(hand: readonly number[], card: number, cards: readonly Card[], p: SetsParameters): number {
  const own = cards[card]!;
  let n = 0;
  for (const h of hand) {
    if (h === card) continue;
    const other = cards[h]!;
    const near =
      p.cards === 'multiples-in-a-row'
        ? Math.abs(other.group - own.group) <= 2 * p.step && other.group !== own.group
        : other.group === own.group && other.face !== own.face;
    if (near) n++;
  }
  return n;
}

function drawOne(
  hand: number[],
  open: number[],
  deck: Deck,
  thinks: boolean,
  s: number,
  cards: readonly Card[],
  p: SetsParameters,
  rng: Rng,
  log: GameLog,
): void {
  let best = -1;
  let worth = 0;
  for (let i = 0; i < open.length; i++) {
    const w = thinks ? company(hand, open[i]!, cards, p) : below(rng, 2);
    if (w > worth) {
      worth = w;
      best = i;
    }
  }
  if (best >= 0) take(hand, open.splice(best, 1)[0]!, s, cards, p, log);
  else if (deck.left > 0) take(hand, deck.draw(rng), s, cards, p, log);
  else if (open.length > 0) take(hand, open.splice(0, 1)[0]!, s, cards, p, log);
}

function layDown(hand: number[], s: number, cards: readonly Card[], p: SetsParameters, log: GameLog): void {
  for (let i = 0; i < hand.length; i++)
    for (let j = i + 1; j < hand.length; j++)
      for (let k = j + 1; k < hand.length; k++) {
        if (!belongTogether(p, cards[hand[i]!]!, cards[hand[j]!]!, cards[hand[k]!]!)) continue;
        for (const at of [i, j, k]) {
          const reading = readingOf(p, cards[hand[at]!]!.group, cards[hand[at]!]!.face);
          if (reading) log.item(s, reading.channel, reading.a, reading.b);
        }
        log.scores[s]!++;
        log.note(s, 0, cards[hand[i]!]!.group, log.scores[s]!);
        hand.splice(k, 1);
        hand.splice(j, 1);
        hand.splice(i, 1);
        return;
      }
}

function putAway(hand: number[], thinks: boolean, cards: readonly Card[], p: SetsParameters, rng: Rng): number {
  let worst = below(rng, hand.length);
  if (thinks) {
    let least = Infinity;
    for (let i = 0; i < hand.length; i++) {
      const w = company(hand, hand[i]!, cards, p);
      if (w < least) {
        least = w;
        worst = i;
      }
    }
  }
  return hand.splice(worst, 1)[0]!;
}

function refill(deck: Deck, hands: readonly number[][], open: readonly number[], rng: Rng): void {
  deck.reset();
  const held = new Set([...hands.flat(), ...open]);
  const kept: number[] = [];
  while (deck.left > 0) {
    const card = deck.draw(rng);
    if (!held.has(card)) kept.push(card);
  }
  deck.putBack(kept);
}
