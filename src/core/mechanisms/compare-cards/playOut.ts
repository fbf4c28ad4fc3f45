import { bestOf } from '../../play/bestOf';
import { Deck, leftOf, numberCards } from '../../play/deck';
import { compareFractions, fractionCode } from '../../items/fraction';
import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { CompareParameters } from './parameters';

const SUM = 0;
const DIFFERENCE = 1;
const PRODUCT = 2;
const COMPARE = 3;
const MORE = 4;
const SHARE = 5;
const UP_TO = 6;

/** One half, as fractions are written here. */
const half = fractionCode(1, 2);

type Player = Seat<CompareParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const decks = seats.map(
    (s) => new Deck(leftOf(numberCards(s.parameters.lowest, s.parameters.highest, s.parameters.copies), s.parameters.missing)),
  );
  // Players with the same cards draw from one deck.
  const deckOf = seats.map(
    (s) =>
      decks[
        seats.findIndex(
          (o) =>
            o.parameters.lowest === s.parameters.lowest &&
            o.parameters.highest === s.parameters.highest &&
            o.parameters.copies === s.parameters.copies,
        )
      ]!,
  );
  const values = new Int32Array(count);
  const table = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (const deck of decks) deck.reset();
    let stake = 1;
    for (let round = 0; round < table.rounds; round++) {
      const before = values[0]!;
      for (let s = 0; s < count; s++) values[s] = turnCards(seats[s]!.parameters, deckOf[s]!, s, rng, log);
      // Alone, each turn is compared with the one before.
      if (count === 1 && round > 0) log.item(0, COMPARE, values[0]!, before);
      const best = compareAll(values, table, log);
      if (best >= 0) {
        log.scores[best]! += stake;
        log.note(best, 1, values[best]!, stake);
        stake = 1;
      } else if (table.tie === 'turn-again' && count > 1) {
        stake++;
        log.extra[0]!++;
      }
    }
    settle(log, seats);
  };
}

/** Turns a player's cards, says what they make, and returns it. */
function turnCards(p: CompareParameters, deck: Deck, s: number, rng: Rng, log: GameLog): number {
  log.turn(s, 1);
  if (deck.left < p.cards || p.draw === 'returned') deck.reset();
  let value = deck.draw(rng) * p.worth;
  const one = withAgreed(p, value, s, log);
  if (one !== null) {
    log.note(s, 0, one, 0);
    return one;
  }
  if (p.join === 'fraction') {
    value = fractionOf(p, value, p.bottom > 0 ? p.bottom : deck.draw(rng));
    if (p.sayHalf) log.item(s, COMPARE, value, half);
    log.note(s, 0, value, 0);
    return value;
  }
  if (p.join === 'number') {
    // Two or three digits side by side are one number.
    for (let i = 1; i < p.cards; i++) value = value * 10 + (deck.draw(rng) % 10);
    log.note(s, 0, value, 0);
    return value;
  }
  for (let i = 1; i < p.cards; i++) {
    const next = deck.draw(rng) * p.worth;
    if (p.join === 'sum') {
      log.item(s, SUM, value, next);
      value += next;
    } else if (p.join === 'product') {
      log.item(s, PRODUCT, value, next);
      value *= next;
    } else {
      log.item(s, DIFFERENCE, value > next ? value : next, value > next ? next : value);
      value = value > next ? value - next : next - value;
    }
  }
  log.note(s, 0, value, 0);
  return value;
}

/** What a card makes with the agreed number; null where cards are joined with one another. */
function withAgreed(p: CompareParameters, card: number, s: number, log: GameLog): number | null {
  switch (p.join) {
    case 'times':
      log.item(s, PRODUCT, card, p.by);
      return card * p.by;
    case 'times-itself':
      log.item(s, PRODUCT, card, card);
      return card * card;
    case 'doubled':
      log.item(s, SUM, card, card);
      return 2 * card;
    case 'shared-by':
      log.item(s, SHARE, card * p.by, p.by);
      return card;
    case 'taken-from':
      log.item(s, DIFFERENCE, p.by, card);
      return p.by - card;
    case 'so-much-more':
      log.item(s, SUM, card, p.by);
      return card + p.by;
    case 'so-much-less':
      log.item(s, DIFFERENCE, card, p.by);
      return card - p.by;
    case 'up-to-the-next': {
      const rest = p.by - (card % p.by);
      log.item(s, UP_TO, card, rest);
      return rest;
    }
    default:
      return null;
  }
}

/** A card over the agreed bottom number, or the smaller of two over the larger. */
function fractionOf(p: CompareParameters, first: number, second: number): number {
  if (p.bottom > 0) return fractionCode(first, second);
  return first < second ? fractionCode(first, second) : fractionCode(second, first);
}

/** Who takes the round, −1 when several are equal; everyone compares the own with the best of the others. */
function compareAll(values: Int32Array, p: CompareParameters, log: GameLog): number {
  const order = p.join === 'fraction' ? compareFractions : (a: number, b: number): number => a - b;
  const better = p.goal === 'higher' ? order : (a: number, b: number): number => order(b, a);
  if (values.length === 1) return -1;
  for (let s = 0; s < values.length; s++) {
    let other = s === 0 ? 1 : 0;
    for (let o = 0; o < values.length; o++) if (o !== s && better(values[o]!, values[other]!) > 0) other = o;
    const [a, b] = [values[s]!, values[other]!];
    log.item(s, COMPARE, a, b);
    const difference = order(a, b);
    if (p.howMuchMore && difference !== 0) log.item(s, MORE, difference > 0 ? a : b, difference > 0 ? b : a);
  }
  return bestOf(values, values.length, better);
}
