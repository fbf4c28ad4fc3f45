import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { CollectParameters } from './parameters';

const READ_DIE = 0;
const SUM = 1;
const MATCH = 2;
const COUNT = 3;

export function createTable(seats: readonly Seat<CollectParameters>[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const lying = new Int32Array(p.highest + 1);
  return (rng: Rng, log: GameLog): void => {
    lying.fill(0);
    for (let n = p.lowest; n <= p.highest; n++) lying[n] = p.each;
    let left = (p.highest - p.lowest + 1) * p.each;
    for (let turn = 0; turn < p.throws && left > 0; turn++) {
      const s = turn % count;
      let value = throwValue(p, s, rng, log);
      // None left of it: throw on, so that nobody's turn is lost.
      for (let again = 0; p.noneLeft === 'throws-on' && lying[value] === 0 && again < mostAgain; again++)
        value = throwValue(p, s, rng, log);
      const there = lying[value]!;
      log.turn(s, there);
      log.note(s, there > 0 ? 0 : 1, value, there);
      if (there === 0) continue;
      if (p.sayFirst) log.item(s, COUNT, there, 0);
      left -= gather(seats, p, s, value, lying, rng, log);
    }
    log.extra[0] = left;
    if (p.play === 'together') {
      log.rounds = Math.ceil(log.turns / count);
      log.winner = count === 1 ? 0 : -1;
    } else settle(log, seats);
  };
}

/** Throws in one turn, so that a turn ends. */
const mostAgain = 12;

function throwValue(p: CollectParameters, s: number, rng: Rng, log: GameLog): number {
  if (p.thrown === 'one-die') {
    const value = between(rng, p.lowest, p.highest);
    log.item(s, READ_DIE, value, 0);
    return value;
  }
  const low = Math.ceil(p.lowest / 2);
  const high = Math.floor(p.highest / 2);
  const x = between(rng, low, high);
  const y = between(rng, low, high);
  log.item(s, SUM, x, y);
  return x + y;
}

/** Everybody, or the thrower alone, looks for the pieces; some are overlooked and stay. */
function gather(
  seats: readonly Seat<CollectParameters>[],
  p: CollectParameters,
  s: number,
  value: number,
  lying: Int32Array,
  rng: Rng,
  log: GameLog,
): number {
  let taken = 0;
  const there = lying[value]!;
  for (let i = 0; i < there; i++) {
    const who = p.play === 'in-turn' ? s : below(rng, seats.length);
    log.item(who, MATCH, value, value);
    if (slips(seats[who]!, rng)) {
      log.extra[1]!++;
      continue;
    }
    log.scores[who]!++;
    taken++;
  }
  // A near neighbour is looked at and left: one comparison that fails.
  const near = value < p.highest ? value + 1 : value - 1;
  if (lying[near]! > 0) log.item(s, MATCH, value, near);
  lying[value] = there - taken;
  return taken;
}
