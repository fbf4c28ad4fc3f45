import { fourOperations } from '../../play/arithmetic';
import { Deck, leftOf, numberCards } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { EquationParameters } from './parameters';
import { findEquations, newFound, WILD } from './rules';

const PARTS = 4;
const mostHeld = 20;

export function createTable(seats: readonly Seat<EquationParameters>[]): PlayGame {
  const count = seats.length;
  const common = seats[0]!.parameters;
  const deck = new Deck([
    ...leftOf(numberCards(common.lowest, common.highest, common.copies), common.missing),
    ...Array.from({ length: common.wild }, () => WILD),
  ]);
  const hands = seats.map(() => new Int32Array(mostHeld + 1));
  const held = new Int32Array(count);
  const allowed = seats.map((s) => Uint8Array.from(fourOperations, (op) => (s.parameters.operations.includes(op) ? 1 : 0)));
  const found = newFound();

  const draw = (s: number, rng: Rng): void => {
    if (deck.left > 0 && held[s]! < mostHeld) hands[s]![held[s]!++] = deck.draw(rng);
  };
  return (rng: Rng, log: GameLog): void => {
    deck.reset();
    held.fill(0);
    for (let s = 0; s < count; s++) for (let i = 0; i < seats[s]!.parameters.hand; i++) draw(s, rng);
    let idle = 0;
    for (let turn = 0; turn < TURN_CAP && idle < 2 * count; turn++) {
      const s = turn % count;
      const { parameters: p } = seats[s]!;
      const hand = hands[s]!;
      findEquations(p, hand, held[s]!, allowed[s]!, found);
      log.turn(s, found.count);
      if (found.count > 0 && !(seats[s]!.policy === 'random' && below(rng, 2) === 0) && !slips(seats[s]!, rng)) {
        idle = 0;
        log.item(s, found.op, found.a, found.b);
        if (found.extra >= 0) log.item(s, PARTS, found.result, found.extra);
        const used = found.extra >= 0 ? 4 : 3;
        log.note(s, 0, used, found.result);
        discard(hand, held, s, found.used, used);
        log.scores[s]! += used === 4 && p.bonusFour ? 2 * used : used;
        if (p.drawBack === 'as-many-as-used') for (let i = 0; i < used; i++) draw(s, rng);
        if (held[s] === 0) {
          log.scores[s]! += 3;
          break;
        }
        continue;
      }
      // A look for an equation is work too: one pair is tried and checked.
      if (held[s]! >= 2 && hand[0] !== WILD && hand[1] !== WILD)
        lookAt(
          s,
          p.operations.includes('add') ? 0 : allowed[s]!.indexOf(1),
          Math.max(hand[0]!, hand[1]!),
          Math.min(hand[0]!, hand[1]!),
          log,
        );
      log.note(s, 1, held[s]!, deck.left);
      const left = deck.left;
      if (p.noEquation === 'change-one' && held[s]! > 0) hand[below(rng, held[s]!)] = deck.left > 0 ? deck.draw(rng) : hand[0]!;
      else draw(s, rng);
      if (deck.left === left) idle++;
      if (p.noEquation === 'change-one' && left === 0) idle++;
    }
    log.extra[0] = deck.left;
    settle(log, seats);
  };
}

/** A pair that is tried is an item only where it gives a whole number, as the equation must. */
function lookAt(s: number, op: number, larger: number, smaller: number, log: GameLog): void {
  if (fourOperations[op] === 'divide' && (smaller === 0 || larger % smaller !== 0)) return;
  log.item(s, op, larger, smaller);
}

/** Takes the used places out of the hand, largest place first. */
function discard(hand: Int32Array, held: Int32Array, s: number, used: Int32Array, count: number): void {
  for (let n = 0; n < count; n++) {
    let at = -1;
    for (let i = 0; i < count; i++) if (used[i]! > at) at = used[i]!;
    for (let i = 0; i < count; i++) if (used[i] === at) used[i] = -1;
    hand[at] = hand[--held[s]!]!;
  }
}
