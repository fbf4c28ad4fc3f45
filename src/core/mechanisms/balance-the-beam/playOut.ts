import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { BeamParameters } from './parameters';

const SUM = 0;
const TIMES = 1;
const MISSING = 2;
const COMPARE = 3;
/** Weights on one peg, at most, when several may hang there. */
const mostOnPeg = 3;

export function createTable(seats: readonly Seat<BeamParameters>[]): PlayGame {
  const count = seats.length;
  const tasks = Math.max(...seats.map((s) => s.parameters.tasks));
  return (rng: Rng, log: GameLog): void => {
    for (let task = 0; task < tasks; task++)
      for (let s = 0; s < count; s++) if (task < seats[s]!.parameters.tasks) solveTask(seats[s]!, s, rng, log);
    settle(log, seats);
  };
}

/**
 * Weights on the left have a turning effect of peg × number; what is already on the right
 * must be less and leave a whole peg for the missing one.
 */
function solveTask(seat: Seat<BeamParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  let leftSide = 0;
  for (let i = 0; i < p.left; i++) leftSide = hang(p, s, leftSide, p.pegs, rng, log);
  const most = p.pegs * (p.multiples ? mostOnPeg : 1);
  const missing = between(rng, Math.max(1, leftSide - (p.right - 1) * most), Math.min(most, leftSide - (p.right - 1)));
  const given = leftSide - missing;
  if (p.right === 3 && given >= 2) {
    const part = between(rng, Math.max(1, given - most), Math.min(most, given - 1));
    log.item(s, SUM, part, given - part);
  }
  if (p.predict) log.item(s, COMPARE, leftSide, given);
  log.turn(s, p.pegs);
  log.item(s, MISSING, leftSide, given);
  if (!slips(seat, rng)) {
    log.scores[s]!++;
    log.note(s, 0, leftSide, missing);
    return;
  }
  // The beam tips: try once more from what is seen.
  log.extra[0]!++;
  log.turn(s, 2);
  log.item(s, COMPARE, leftSide, given + Math.max(1, missing - 1));
  log.item(s, MISSING, leftSide, given);
  log.note(s, 1, leftSide, missing);
}

/** Hangs one or, if agreed, several weights on a peg and joins them to what hangs already. */
function hang(p: BeamParameters, s: number, before: number, pegs: number, rng: Rng, log: GameLog): number {
  const peg = between(rng, before === 0 ? 3 : 1, pegs);
  const number = p.multiples ? 1 + below(rng, mostOnPeg) : 1;
  if (number > 1) log.item(s, TIMES, number, peg);
  if (before > 0) log.item(s, SUM, before, number * peg);
  return before + number * peg;
}
