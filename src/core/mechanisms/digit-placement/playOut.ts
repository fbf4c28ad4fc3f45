import { bestOf } from '../../play/bestOf';
import { Deck } from '../../play/deck';
import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { PlacementParameters } from './parameters';
import { chooseColumn } from './policies';
import { numberIn, type Placer, solvePlacement, worthOfNumber } from './solver';

const PLACE = 0;
const READ = 1;
const COMPARE = 2;
const GAP = 3;

export function createTable(seats: readonly Seat<PlacementParameters>[]): PlayGame {
  const count = seats.length;
  const placers = new Map(seats.map((s) => [JSON.stringify(s.parameters), solvePlacement(s.parameters)]));
  const placerOf = seats.map((s) => placers.get(JSON.stringify(s.parameters))!);
  const columns = seats.map((s) => new Int32Array(s.parameters.columns));
  const deck = new Deck([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  const common = seats[0]!.parameters;
  const widest = Math.max(...seats.map((s) => s.parameters.columns));
  const numbers = new Float64Array(count);
  const worth = new Float64Array(count);
  const digits = new Int32Array(widest);

  const drawDigits = (rng: Rng): void => {
    deck.reset();
    for (let i = 0; i < widest; i++) digits[i] = common.draw === 'kept' ? deck.draw(rng) : deck.peek(rng);
  };
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < common.rounds; round++) {
      drawDigits(rng);
      for (let s = 0; s < count; s++) {
        if (common.ownDigits && s > 0) drawDigits(rng);
        const seat = seats[s]!;
        const own = columns[s]!;
        own.fill(-1);
        for (let i = 0; i < own.length; i++) {
          const digit = digits[i]!;
          log.turn(s, own.length - i);
          const column = chooseColumn(seat, placerOf[s]!, own, digit, rng);
          if (seat.policy !== 'careful') reportCost(placerOf[s]!, s, own, digit, column, count * common.rounds, log);
          log.item(s, PLACE, digit, column);
          own[column] = digit;
        }
        numbers[s] = numberIn(own);
        log.note(s, 0, numbers[s]!, 0);
        if (seat.parameters.readAloud) log.item(s, READ, numbers[s]!, 0);
        log.extra[0]! += numbers[s]! / count / common.rounds;
        if (worthOfNumber(seat.parameters, numbers[s]!) === 0 && seat.parameters.goal !== 'nearest')
          log.extra[1]! += 1 / count / common.rounds;
      }
      score(seats, numbers, worth, log);
    }
    settle(log, seats);
  };
}

/** How much the choice is expected to cost against the best column for this digit. */
function reportCost(placer: Placer, s: number, columns: Int32Array, digit: number, column: number, numbers: number, log: GameLog): void {
  const best = placer.best(columns, digit);
  if (best === column) return;
  const cost = placer.worthOf(columns, digit, best) - placer.worthOf(columns, digit, column);
  log.extra[2]! += cost / numbers;
  log.note(s, 2, digit, Math.round(cost));
}

/** Best number of the round scores one, a tie nobody; each compares with the best of the others, and with the neighbour for the tally. */
function score(seats: readonly Seat<PlacementParameters>[], numbers: Float64Array, worth: Float64Array, log: GameLog): void {
  const count = numbers.length;
  for (let s = 0; s < count; s++) worth[s] = worthOfNumber(seats[s]!.parameters, numbers[s]!);
  for (let s = 0; s < count; s++) {
    if (count > 1) log.item(s, COMPARE, numbers[s]!, numbers[bestBeside(worth, s)]!);
    const other = count > 1 ? numbers[(s + 1) % count]! : 10 ** seats[0]!.parameters.columns - 1;
    if (seats[s]!.parameters.tally) log.item(s, GAP, Math.max(numbers[s]!, other), Math.min(numbers[s]!, other));
  }
  const best = bestOf(worth, count);
  if (best < 0) return;
  log.scores[best]!++;
  log.note(best, 1, numbers[best]!, 0);
}

/** Who stands best among the others. */
function bestBeside(worth: Float64Array, own: number): number {
  let best = own === 0 ? 1 : 0;
  for (let s = 0; s < worth.length; s++) if (s !== own && worth[s]! > worth[best]!) best = s;
  return best;
}
