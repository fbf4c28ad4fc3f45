import { below, type Rng } from '../../shared/rng';
import { slips } from '../../play/outcome';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { DealOrderParameters } from './parameters';
import { dealOrder } from './rules';

const NEXT = 0;
const COUNT = 1;

/** Most times a player deals the packet to the end and mends it. */
const mostTries = 8;

export function createTable(seats: readonly Seat<DealOrderParameters>[]): PlayGame {
  const orders = seats.map((s) => dealOrder(s.parameters));
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < seats.length; s++) solve(seats[s]!, s, orders[s]!, rng, log);
    log.rounds = Math.ceil(log.turns / seats.length);
    log.winner = seats.length === 1 ? 0 : -1;
  };
}

/**
 * Builds the packet card by card, counting the places that go underneath; a slip shows
 * when the packet is dealt, and everything from that card on is built anew.
 */
function solve(seat: Seat<DealOrderParameters>, s: number, order: readonly number[], rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  let right = p.help === 'first-half-given' ? Math.floor(p.cards / 2) : 0;
  for (let attempt = 1; attempt <= mostTries; attempt++) {
    log.turn(s, p.cards - right);
    log.extra[0]! += 1 / (log.scores.length || 1);
    let slipAt = -1;
    for (let i = right; i < p.cards; i++) {
      const from = (p.direction === 'rising' ? i : p.cards - i + 1) * p.step;
      if (i > 0) log.item(s, p.direction === 'rising' ? NEXT : NEXT + 2, from, p.direction === 'rising' ? p.step : -p.step);
      const gap = i === 0 ? order[0]! + 1 : (order[i]! - order[i - 1]! + p.cards) % p.cards || p.cards;
      if (p.help !== 'row-of-slots') log.item(s, COUNT, gap, 0);
      if (slipAt < 0 && (slips(seat, rng) || (seat.policy === 'random' && below(rng, 2) === 0)) && i < p.cards - 1) slipAt = i;
    }
    if (slipAt < 0) {
      log.scores[s] = 1;
      log.note(s, 0, attempt, 0);
      return;
    }
    log.note(s, 1, slipAt + 1, 0);
    right = slipAt;
  }
}
