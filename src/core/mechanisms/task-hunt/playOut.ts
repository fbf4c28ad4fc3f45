import { fourOperations } from '../../play/arithmetic';
import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { HuntParameters } from './parameters';

const MISSING = 4;
const LABEL = 8;
/** Seconds to find a hidden card, on average, and to take a passed one (common practice, no source). */
const huntSeconds = 25;
const passSeconds = 5;

export function createTable(seats: readonly Seat<HuntParameters>[]): PlayGame {
  const count = seats.length;
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) sheetOf(seats[s]!, s, rng, log);
    log.extra[0]! /= count;
    settle(log, seats);
  };
}

/** One player's sheet: card by card until it is full or the time is up. It is a check-in, not a test to be finished. */
function sheetOf(seat: Seat<HuntParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  for (let box = 0; box < p.tasks && log.secondsOf(s) < p.minutes * 60; box++) {
    log.turn(s, 1);
    log.spend(s, p.cards === 'hidden' ? huntSeconds * (0.4 - 0.6 * Math.log(1 - uniform(rng))) : passSeconds);
    if (p.labels === 'numbers') log.item(s, LABEL, box + 1, 0);
    const op = fourOperations.indexOf(p.operations[below(rng, p.operations.length)]!);
    const [a, b] = numbersFor(p, op, rng);
    log.item(s, op + (p.unknown === 'result' ? 0 : MISSING), a, b);
    log.note(s, 0, a, b);
    log.extra[0]!++;
    if (!slips(seat, rng)) log.scores[s]!++;
  }
}

/** Two numbers of a task with its result, or its first number when taking away, up to the highest. */
export function numbersFor(p: HuntParameters, op: number, rng: Rng): [number, number] {
  const low = Math.max(p.lowest, op >= 2 ? 1 : 0);
  if (op === 0 || op === 1) {
    const whole = between(rng, Math.max(2 * low, 1), p.highest);
    const part = between(rng, low, Math.max(low, whole - low));
    return op === 0 ? [part, whole - part] : [whole, part];
  }
  const side = Math.max(low, Math.min(12, Math.floor(p.highest / Math.max(1, low))));
  const x = between(rng, low, side);
  const y = between(rng, low, Math.max(low, Math.min(12, Math.floor(p.highest / x))));
  return op === 2 ? [x, y] : [x * y, x];
}
