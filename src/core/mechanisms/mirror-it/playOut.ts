import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { MirrorParameters } from './parameters';

/** A slanting line is harder to mirror in (common practice, no source). */
const slantSlips = 2;
const checkSeconds = 20;

export function createTable(seats: readonly Seat<MirrorParameters>[]): PlayGame {
  const tasks = Math.max(...seats.map((s) => s.parameters.tasks));
  return (rng: Rng, log: GameLog): void => {
    for (let task = 0; task < tasks; task++)
      for (let s = 0; s < seats.length; s++) if (task < seats[s]!.parameters.tasks) picture(seats[s]!, s, rng, log);
    settle(log, seats);
  };
}

/** Each coloured square is carried over the line, as far on the other side as it stood on this. */
function picture(seat: Seat<MirrorParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const way = p.line === 'upright' ? 0 : p.line === 'lying' ? 1 : p.line === 'slanting' ? 2 : below(rng, 3);
  log.turn(s, p.filled);
  let wrong = 0;
  for (let i = 0; i < p.filled; i++) {
    log.item(s, way, between(rng, 1, p.grid), between(rng, 1, p.rows));
    if (slips(seat, rng) && below(rng, slantSlips) < (way === 2 ? slantSlips : 1)) wrong++;
  }
  if (p.check) {
    log.spend(s, checkSeconds);
    // What the mirror shows to be wrong is set right.
    for (let i = 0; i < wrong; i++) log.item(s, way, between(rng, 1, p.grid), between(rng, 1, p.rows));
  }
  log.extra[0]! += wrong;
  if (wrong === 0 || p.check) log.scores[s]!++;
  log.note(s, wrong > 0 ? 1 : 0, p.filled, wrong);
}
