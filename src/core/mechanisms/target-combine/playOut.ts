import { settle } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { CombineOperation, TargetCombineParameters } from './parameters';
import { findLine } from './policies';
import { deal, drawDecoy, type Hand, newDealer, randomLine } from './rules';

const channelOf: Readonly<Record<CombineOperation, number>> = { add: 0, subtract: 1, multiply: 2, divide: 3 };

export function createTable(seats: readonly Seat<TargetCombineParameters>[]): PlayGame {
  const dealers = seats.map((s) => newDealer(s.parameters));
  const common = seats[0]!.parameters;
  const sameCards = seats.every((s) => JSON.stringify(s.parameters) === JSON.stringify(common));
  return (rng: Rng, log: GameLog): void => {
    for (const dealer of dealers) dealer.deck.set(dealer.wholeDeck);
    for (let round = 0; round < common.hands; round++) {
      let hand: Hand | null = null;
      for (let s = 0; s < seats.length; s++) {
        // One hand lies on the table for all, unless players have cards of their own.
        if (!sameCards || !hand) hand = deal(dealers[s]!, seats[s]!.parameters, rng);
        const own = sameCards ? dealers[0]! : dealers[s]!;
        // With two on a card both sides are tried, since nobody knows which one works.
        const decoy =
          seats[s]!.parameters.twoOnACard && (sameCards && s > 0 ? true : drawDecoy(own, seats[s]!.parameters, rng)) ? own.decoy : null;
        workOn(hand, seats[s]!, s, own.numbers, decoy, rng, log);
      }
    }
    settle(log, seats);
    log.rounds = common.hands;
  };
}

function workOn(
  hand: Hand,
  seat: Seat<TargetCombineParameters>,
  s: number,
  numbers: Int32Array,
  decoy: Int32Array | null,
  rng: Rng,
  log: GameLog,
): void {
  const p = seat.parameters;
  const began = log.secondsOf(s);
  const pairs = (numbers.length * (numbers.length - 1)) / 2;
  log.turn(s, hand.stars === 0 ? 0 : pairs * p.operations.length);
  const report = (op: CombineOperation, a: number, b: number): void => log.item(s, channelOf[op], a, b);
  for (let attempt = 0; attempt < p.tries; attempt++) {
    if (p.timeBox > 0 && log.secondsOf(s) - began > p.timeBox * 60) break;
    if (decoy && seat.policy !== 'careful' && below(rng, 2) === 0) {
      const astray = randomLine(decoy, p, rng, report);
      log.note(s, 1, astray ?? 0, 0);
      continue;
    }
    const line = findLine(hand, seat, rng);
    if (line) {
      for (const step of line) report(step.op, step.a, step.b);
      log.extra[0]!++;
      log.scores[s]! += p.use === 'all' ? hand.stars : hand.used;
      log.note(s, 0, hand.stars, hand.ways);
      if (p.bonusSecondWay && hand.ways > 1) secondWay(hand, seat, s, report, rng, log);
      return;
    }
    const end = randomLine(numbers, p, rng, report);
    log.note(s, 1, end ?? 0, 0);
    if (end !== null && Math.abs(end - p.target) < 1e-9) {
      log.extra[0]!++;
      log.scores[s]! += p.use === 'all' ? hand.stars : numbers.length;
      log.note(s, 0, hand.stars, hand.ways);
      return;
    }
  }
  log.note(s, 2, hand.stars, 0);
}

function secondWay(
  hand: Hand,
  seat: Seat<TargetCombineParameters>,
  s: number,
  report: (op: CombineOperation, a: number, b: number) => void,
  rng: Rng,
  log: GameLog,
): void {
  const line = findLine(hand, seat, rng);
  if (!line) return;
  const other = line === hand.easiest ? hand.all[1]! : line;
  for (const step of other) report(step.op, step.a, step.b);
  log.scores[s]!++;
  log.extra[1]!++;
}
