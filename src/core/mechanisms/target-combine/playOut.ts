import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { CombineOperation, TargetCombineParameters } from './parameters';
import { findLine } from './policies';
import { deal, type Hand, newDealer, randomLine } from './rules';

const channelOf: Readonly<Record<CombineOperation, number>> = { add: 0, subtract: 1, multiply: 2, divide: 3 };

export function createTable(seats: readonly Seat<TargetCombineParameters>[]): PlayGame {
  const dealers = seats.map((s) => newDealer(s.parameters));
  const common = seats[0]!.parameters;
  const sameCards = seats.every((s) => JSON.stringify(s.parameters) === JSON.stringify(common));
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < common.hands; round++) {
      let hand: Hand | null = null;
      for (let s = 0; s < seats.length; s++) {
        // One hand lies on the table for all, unless players have cards of their own.
        if (!sameCards || !hand) hand = deal(dealers[s]!, seats[s]!.parameters, rng);
        const own = sameCards ? dealers[0]! : dealers[s]!;
        workOn(hand, seats[s]!, s, own.numbers, rng, log);
      }
    }
    log.rounds = common.hands;
    log.winner = bestScore(log.scores);
  };
}

function workOn(hand: Hand, seat: Seat<TargetCombineParameters>, s: number, numbers: Int32Array, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const pairs = (numbers.length * (numbers.length - 1)) / 2;
  log.turn(s, hand.stars === 0 ? 0 : pairs * p.operations.length);
  const report = (op: CombineOperation, a: number, b: number): void => log.item(s, channelOf[op], a, b);
  for (let attempt = 0; attempt < p.tries; attempt++) {
    const line = findLine(hand, seat, rng);
    if (line) {
      for (const step of line) report(step.op, step.a, step.b);
      log.extra[0]!++;
      log.scores[s]! += hand.stars;
      if (p.bonusSecondWay && hand.ways > 1) secondWay(hand, seat, s, report, rng, log);
      return;
    }
    const end = randomLine(numbers, p, rng, report);
    if (end === p.target) {
      log.extra[0]!++;
      log.scores[s]! += hand.stars;
      return;
    }
  }
}

function secondWay(hand: Hand, seat: Seat<TargetCombineParameters>, s: number, report: (op: CombineOperation, a: number, b: number) => void, rng: Rng, log: GameLog): void {
  const line = findLine(hand, seat, rng);
  if (!line) return;
  const other = line === hand.easiest ? hand.all[1]! : line;
  for (const step of other) report(step.op, step.a, step.b);
  log.scores[s]!++;
  log.extra[1]!++;
}

function bestScore(scores: Float64Array): number {
  const best = Math.max(...scores);
  const first = scores.indexOf(best);
  return scores.indexOf(best, first + 1) >= 0 || scores.length === 1 ? (scores.length === 1 && best > 0 ? 0 : -1) : first;
}
