import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { HopParameters } from './parameters';

const PLACE = 0;
const READ = 1;
const AHEAD = 2;
const BACK = 3;

type Player = Seat<HopParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const at = new Int32Array(count);
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) at[s] = Math.min(common.end - 1, common.start + seats[s]!.headStart);
    for (let turn = 0; turn < common.hops * count; turn++) {
      const s = turn % count;
      if (hop(seats[s]!, s, at, rng, log) && common.finish === 'first-home') break;
    }
    let best = 0;
    let tied = false;
    for (let s = 0; s < count; s++) {
      log.scores[s] = at[s]!;
      if (s === 0) continue;
      if (at[s]! > at[best]!) {
        best = s;
        tied = false;
      } else if (at[s] === at[best]) tied = true;
    }
    log.winner = tied ? -1 : best;
    log.rounds = Math.ceil(log.turns / count);
  };
}

/** Draws place and digit, finds the space, hops; true at the end of the board. */
function hop(seat: Player, s: number, at: Int32Array, rng: Rng, log: GameLog): boolean {
  const p = seat.parameters;
  const place = p.places === 'ones' ? 0 : p.places === 'tens' ? 1 : below(rng, p.places === 'either' ? 2 : 3);
  const digit = below(rng, 10);
  const here = at[s]!;
  let to = nearest(p, here, digit, place);
  log.turn(s, to === here ? 0 : 1);
  log.item(s, PLACE, digit, place);
  if (to === here) {
    log.note(s, 1, digit, here);
    return false;
  }
  // A slip lands one such space too far; the others notice and it goes back.
  if (slips(seat, rng)) {
    log.extra[0]!++;
    log.item(s, READ, to, 0);
  }
  log.item(s, READ, to, 0);
  if (p.sayDistance) log.item(s, to > here ? AHEAD : BACK, to > here ? to : here, to > here ? here : to);
  log.note(s, 0, digit, to);
  if (to > p.end) to = p.end;
  at[s] = to;
  log.stand(s, to);
  return to >= p.end;
}

/** The nearest other space with the digit in its place; where the peg stands when there is none. */
function nearest(p: HopParameters, here: number, digit: number, place: number): number {
  const unit = 10 ** place;
  for (let d = 1; d <= p.end - p.start; d++) {
    const up = here + d;
    if (up <= p.end && Math.floor(up / unit) % 10 === digit) return up;
    const down = here - d;
    if (p.nearest === 'either-way' && down >= p.start && Math.floor(down / unit) % 10 === digit) return down;
  }
  return here;
}
