import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { slips } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { RemainderParameters } from './parameters';

const REST = 0;
const SHARE = 1;

type Player = Seat<RemainderParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const at = new Int32Array(count);
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) at[s] = Math.min(common.goal - 1, seats[s]!.headStart);
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      at[s]! += stepOf(seats[s]!, s, rng, log);
      for (let o = 0; o < count; o++) log.scores[o] = at[o]!;
      // The round is played out; the farthest past the end is ahead.
      if (s < count - 1 || !at.some((x) => x >= common.goal)) continue;
      log.winner = bestOf(at, count);
      log.rounds = Math.ceil((turn + 1) / count);
      return;
    }
    log.capped = true;
  };
}

/** Draws a number, shares it by one die or the better of two, and tells how far that goes. */
function stepOf(seat: Player, s: number, rng: Rng, log: GameLog): number {
  const { parameters: p } = seat;
  const n = between(rng, p.lowest, p.highest);
  const first = between(rng, 2, p.divisors);
  const second = p.choose === 'better-of-two' ? between(rng, 2, p.divisors) : first;
  const far = (d: number): number => (p.moves === 'what-is-left-over' ? n % d : n % d === 0 ? 3 : 1);
  // Both are worked out before one is chosen; who slips takes the first.
  log.item(s, REST, n, first);
  let by = first;
  if (second !== first) {
    log.item(s, REST, n, second);
    if (seat.policy !== 'random' && !slips(seat, rng) && far(second) > far(first)) by = second;
  }
  if (n % by === 0) log.item(s, SHARE, n, by);
  log.turn(s, second === first ? 1 : 2);
  log.note(s, 0, n, by);
  return far(by);
}
