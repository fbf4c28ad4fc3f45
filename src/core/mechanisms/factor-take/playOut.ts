import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { FactorTakeParameters } from './parameters';

const FACTOR = 0;
const PRIME = 1;
const ADD = 2;

type Player = Seat<FactorTakeParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const common = seats[0]!.parameters;
  const there = new Uint8Array(common.highest + 1);
  return (rng: Rng, log: GameLog): void => {
    there.fill(1);
    let stuck = 0;
    // There and back again: who picks last in one round picks first in the next, so that the fat numbers are not always one player's.
    for (let turn = 0; turn < common.picks * count && stuck < count; turn++) {
      const round = Math.floor(turn / count);
      const s = round % 2 === 0 ? turn % count : count - 1 - (turn % count);
      const pick = choose(seats[s]!, there, rng, log, s);
      if (pick === 0) {
        stuck++;
        continue;
      }
      stuck = 0;
      take(s, pick, there, count, common, log);
    }
    let left = 0;
    for (let n = 1; n <= common.highest; n++) left += there[n]!;
    log.extra[0] = left;
    settle(log, seats);
  };
}

/** What a pick is worth: the number less what the others get for it. */
function worth(n: number, there: Uint8Array, p: FactorTakeParameters): number {
  let factors = 0;
  let any = 0;
  for (let d = 1; d < n; d++) {
    if (n % d !== 0 || there[d] === 0) continue;
    any++;
    if (p.takes === 'its-factors') factors += d;
  }
  if (any === 0 && p.noFactor === 'is-barred') return -1000;
  return n - factors;
}

function choose(seat: Player, there: Uint8Array, rng: Rng, log: GameLog, s: number): number {
  const { parameters: p } = seat;
  const thinks = seat.policy !== 'random' && !slips(seat, rng);
  let best = 0;
  let bestWorth = -999;
  let open = 0;
  for (let n = p.highest; n >= 1; n--) {
    if (there[n] === 0) continue;
    const w = worth(n, there, p);
    if (w === -1000) continue;
    open++;
    const value = thinks ? w : below(rng, 1000);
    if (best === 0 || value > bestWorth) {
      best = n;
      bestWorth = value;
    }
  }
  log.turn(s, open);
  return best;
}

function take(s: number, pick: number, there: Uint8Array, count: number, p: FactorTakeParameters, log: GameLog): void {
  there[pick] = 0;
  if (log.scores[s]! > 0) log.item(s, ADD, log.scores[s]!, pick);
  log.scores[s]! += pick;
  // The next player looks for every factor that is still there.
  const other = (s + 1) % count;
  let gone = 0;
  for (let d = 1; d < pick; d++) {
    if (pick % d !== 0 || there[d] === 0) continue;
    log.item(other, FACTOR, pick, d);
    gone++;
    if (p.takes === 'nothing') continue;
    there[d] = 0;
    if (count > 1) log.scores[other]! += d;
  }
  // Only one is left of its factors, or none: is it a prime?
  if (gone <= 1 && pick > 1) log.item(other, PRIME, pick, 0);
  log.note(s, 0, pick, gone);
}
