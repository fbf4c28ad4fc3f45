import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { BuildParameters } from './parameters';

const READ = 0;
const WRITE = 1;
const PIECE = 2;
const COMPOSE = 3;
const COMPARE = 4;
const pieceSeconds = 1.5;

export function createTable(seats: readonly Seat<BuildParameters>[]): PlayGame {
  const count = seats.length;
  const numbers = new Float64Array(count);
  const { rounds } = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < rounds; round++) {
      for (let s = 0; s < count; s++) numbers[s] = build(seats[s]!, s, rng, log);
      if (count > 1)
        for (let s = 0; s < count; s++) if (seats[s]!.parameters.compare) log.item(s, COMPARE, numbers[s]!, numbers[(s + 1) % count]!);
    }
    settle(log, seats);
  };
}

function build(seat: Seat<BuildParameters>, s: number, rng: Rng, log: GameLog): number {
  const p = seat.parameters;
  const n = between(rng, p.lowest, p.highest);
  log.turn(s, 1);
  if (p.asked !== 'pieces') log.item(s, READ, n, 0);
  let pieces = 0;
  if (p.form !== 'expanded-form') {
    // One digit at a time: so many hundreds, tens, ones.
    for (let place = 0, rest = n; rest > 0; place++, rest = Math.floor(rest / 10)) {
      if (rest % 10 === 0) continue;
      log.item(s, PIECE, rest % 10, place);
      pieces += rest % 10;
    }
    log.spend(s, pieceSeconds * pieces);
  }
  if (p.form !== 'pieces') expand(s, n, log);
  if (p.asked === 'pieces') log.item(s, WRITE, n, 0);
  if (p.another && n >= 20) {
    // One ten becomes ten ones: 46 is 30 and 16.
    const tens = Math.floor(n / 10) * 10 - 10;
    log.spend(s, pieceSeconds * 11);
    log.item(s, COMPOSE, tens, n - tens);
    log.extra[0]!++;
  }
  log.note(s, 0, n, pieces);
  if (!slips(seat, rng)) log.scores[s]!++;
  return n;
}

/** 347 = 300 + 47, 47 = 40 + 7. */
function expand(s: number, n: number, log: GameLog): void {
  let rest = n;
  for (let unit = 10 ** Math.floor(Math.log10(Math.max(1, n))); unit >= 10; unit /= 10) {
    const part = Math.floor(rest / unit) * unit;
    if (part === 0 || part === rest) continue;
    log.item(s, COMPOSE, part, rest - part);
    rest -= part;
  }
}
