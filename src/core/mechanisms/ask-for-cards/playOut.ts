import { Deck } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { AskParameters } from './parameters';
import { belong, completes, deckOf, fractionOf } from './rules';

const PARTNER = 0;
const CHECK = 1;
const SECOND = 2;

class Table {
  readonly hands: number[][];
  readonly deck: Deck;
  /** Card last asked for by each seat, and so known to the others; −1 for none. */
  readonly asked: Int32Array;
  readonly size: number;

  constructor(
    readonly seats: readonly Seat<AskParameters>[],
    readonly p: AskParameters,
  ) {
    this.hands = seats.map(() => []);
    this.deck = new Deck(deckOf(p));
    this.asked = new Int32Array(seats.length);
    this.size = p.together === 'pairs' ? 2 : 3;
  }

  deal(rng: Rng): void {
    this.deck.reset();
    this.asked.fill(-1);
    for (const [s, hand] of this.hands.entries()) {
      hand.length = 0;
      const cards = this.p.drawPile ? this.seats[s]!.parameters.hand : Math.floor(this.deck.size / this.hands.length);
      for (let i = 0; i < cards && this.deck.left > 0; i++) hand.push(this.deck.draw(rng));
    }
  }

  draw(s: number, rng: Rng): boolean {
    if (this.deck.left === 0) return false;
    this.hands[s]!.push(this.deck.draw(rng));
    return true;
  }

  /** Lays down every complete group in a hand. */
  lay(s: number, log: GameLog): void {
    const hand = this.hands[s]!;
    for (let i = 0; i < hand.length; i++) {
      for (let j = i + 1; j < hand.length; j++) {
        if (!completes(this.p, [hand[i]!], hand[j]!, this.size)) continue;
        let third = -1;
        if (this.size === 3) {
          for (let k = j + 1; k < hand.length && third < 0; k++) if (completes(this.p, [hand[i]!, hand[j]!], hand[k]!, 3)) third = k;
          if (third < 0) continue;
        }
        report(this.p, s, hand[i]!, hand[j]!, log, CHECK);
        if (third >= 0) report(this.p, s, this.p.relation === 'make-a-sum' ? hand[i]! + hand[j]! : hand[j]!, hand[third]!, log, CHECK);
        log.scores[s]!++;
        log.note(s, 2, shown(this.p, hand[i]!), shown(this.p, hand[j]!));
        if (third >= 0) hand.splice(third, 1);
        hand.splice(j, 1);
        hand.splice(i, 1);
        i--;
        break;
      }
    }
  }
}

const shown = (p: AskParameters, card: number): number => (p.relation === 'are-equal-fractions' ? fractionOf(card) : card);

/** The act of mathematics in putting two cards together, or in knowing what is needed. */
function report(p: AskParameters, s: number, x: number, y: number, log: GameLog, channel: number): void {
  if (p.relation === 'are-equal-fractions') log.item(s, channel, fractionOf(x), fractionOf(y));
  else if (p.relation === 'differ-by') log.item(s, channel, Math.max(x, y), Math.min(x, y));
  else log.item(s, channel, x, y);
}

export function createTable(seats: readonly Seat<AskParameters>[]): PlayGame {
  const table = new Table(seats, seats[0]!.parameters);
  const count = seats.length;
  return (rng: Rng, log: GameLog): void => {
    table.deal(rng);
    for (let s = 0; s < count; s++) table.lay(s, log);
    let idle = 0;
    for (let turn = 0; turn < TURN_CAP && idle < 3 * count; turn++) {
      const s = turn % count;
      idle = takeTurn(table, s, rng, log) ? 0 : idle + 1;
      if (table.hands.every((h) => h.length === 0) && table.deck.left === 0) break;
    }
    log.capped = log.turns >= TURN_CAP;
    settle(log, seats);
  };
}

/** Asks until a miss; true when anything moved. */
function takeTurn(table: Table, s: number, rng: Rng, log: GameLog): boolean {
  const { p, hands } = table;
  const hand = hands[s]!;
  if (hand.length === 0 && !table.draw(s, rng)) {
    log.turn(s, 0);
    return false;
  }
  let moved = false;
  for (;;) {
    log.turn(s, hands.length > 1 ? hand.length * (hands.length - 1) : hand.length);
    if (hand.length === 0) return moved;
    const { card, from } = choose(table, s, rng);
    const hit = from >= 0 ? hands[from]!.findIndex((c) => belong(p, card, c)) : -1;
    ask(p, s, card, log);
    table.asked[s] = card;
    if (hit >= 0) {
      const got = hands[from]!.splice(hit, 1)[0]!;
      log.note(s, 0, shown(p, card), shown(p, got));
      hand.push(got);
      log.extra[0]!++;
      moved = true;
      table.lay(s, log);
      if (p.again && hand.length > 0) continue;
      return true;
    }
    log.extra[1]!++;
    log.note(s, 1, shown(p, card), 0);
    if (p.drawPile && table.draw(s, rng)) {
      moved = true;
      table.lay(s, log);
    }
    return moved;
  }
}

/** The card held and the player asked: someone known to hold a partner, if remembered. */
function choose(table: Table, s: number, rng: Rng): { card: number; from: number } {
  const { hands, seats, p } = table;
  const hand = hands[s]!;
  if (seats[s]!.policy !== 'random' && !slips(seats[s]!, rng)) {
    for (let o = 0; o < hands.length; o++) {
      if (o === s || table.asked[o]! < 0) continue;
      const card = hand.find((c) => belong(p, c, table.asked[o]!));
      if (card !== undefined && hands[o]!.includes(table.asked[o]!)) return { card, from: o };
    }
  }
  const card = hand[below(rng, hand.length)]!;
  if (hands.length === 1) return { card, from: -1 };
  const other = below(rng, hands.length - 1);
  return { card, from: other >= s ? other + 1 : other };
}

/** Asking means knowing what belongs to the card held. */
function ask(p: AskParameters, s: number, card: number, log: GameLog): void {
  if (p.relation === 'make-a-sum' && card <= p.number) log.item(s, PARTNER, card, p.number - card);
  else if (p.relation === 'differ-by') log.item(s, PARTNER, card + p.number, p.number);
  else if (p.relation === 'are-equal') log.item(s, PARTNER, card, 0);
  else if (p.relation === 'are-equal-fractions') log.item(s, SECOND, fractionOf(card), 0);
}
