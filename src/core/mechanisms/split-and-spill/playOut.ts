import { settle, slips } from '../../play/outcome';
import { below, nextUint, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { SplitParameters } from './parameters';
import { splitIndex, splitsToFind } from './rules';

const SEE = 0;
const HIDDEN = 1;
const WRITE = 2;

export function createTable(seats: readonly Seat<SplitParameters>[]): PlayGame {
  const count = seats.length;
  const seen = seats.map((s) => new Uint8Array(s.parameters.counters + 1));
  const wanted = seats.map((s) => splitsToFind(s.parameters).length);
  const found = new Int32Array(count);
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) seen[s]!.fill(0);
    found.fill(0);
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      if (common.ends === 'rounds' ? turn >= common.rounds * count : s === 0 && allFound(found, wanted)) return finish(seats, found, log);
      // Who has found every split watches the others.
      if (common.ends === 'all-seen' && found[s]! >= wanted[s]!) continue;
      spillOnce(seats[s]!, s, seen[s]!, found, rng, log);
    }
    log.capped = true;
    finish(seats, found, log);
  };
}

function spillOnce(seat: Seat<SplitParameters>, s: number, seen: Uint8Array, found: Int32Array, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const first = spill(p, rng);
  const second = p.counters - first;
  log.turn(s, 1);
  if (p.hide) log.item(s, HIDDEN, p.counters, first);
  else {
    log.item(s, SEE, first, 0);
    log.item(s, SEE, second, 0);
  }
  if (p.record) log.item(s, WRITE, first, second);
  const index = splitIndex(p, first);
  const fresh = index >= 0 && seen[index] === 0;
  log.note(s, fresh ? 0 : 1, first, second);
  if (fresh) {
    seen[index] = 1;
    found[s]!++;
    log.extra[0]!++;
  }
  if (!slips(seat, rng)) log.scores[s]! += fresh ? 2 : 1;
}

/** How many show the first colour. */
function spill(p: SplitParameters, rng: Rng): number {
  if (p.from === 'shaken') {
    let bits = nextUint(rng) & ((1 << p.counters) - 1);
    let first = 0;
    for (; bits !== 0; bits &= bits - 1) first++;
    return first;
  }
  let red = p.first;
  let all = p.first + p.second;
  let first = 0;
  for (let i = 0; i < p.counters; i++, all--) {
    if (below(rng, all) < red) {
      red--;
      first++;
    }
  }
  return first;
}

function allFound(found: Int32Array, wanted: readonly number[]): boolean {
  for (let s = 0; s < found.length; s++) if (found[s]! < wanted[s]!) return false;
  return true;
}

function finish(seats: readonly Seat<SplitParameters>[], found: Int32Array, log: GameLog): void {
  let sum = 0;
  for (let s = 0; s < found.length; s++) sum += found[s]!;
  log.extra[0] = sum / found.length;
  settle(log, seats);
}
