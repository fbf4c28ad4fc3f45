import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { FillParameters } from './parameters';
import { asFraction, dieOf, expectedTurns } from './rules';

const NAME = 0;
const ADD = 1;
const TAKE = 2;

type Player = Seat<FillParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const dice = seats.map((s) => dieOf(s.parameters));
  const worth = seats.map((s) => expectedTurns(s.parameters));
  const left = new Int32Array(count);
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) {
      const all = dice[s]!.of * seats[s]!.parameters.wholes;
      left[s] = Math.max(1, all - seats[s]!.headStart);
    }
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      layOne(seats[s]!, s, dice[s]!, worth[s]!, left, rng, log);
      // The round is played out, so that nobody is ahead by having begun.
      if (s < count - 1) continue;
      let done = 0;
      for (let o = 0; o < count; o++) {
        log.scores[o] = -left[o]! / dice[o]!.of;
        if (left[o] === 0) done++;
      }
      if (done === 0) continue;
      log.winner = done === 1 ? left.indexOf(0) : -1;
      log.rounds = Math.ceil((turn + 1) / count);
      return;
    }
    log.capped = true;
  };
}

function layOne(
  seat: Player,
  s: number,
  die: ReturnType<typeof dieOf>,
  worth: Float64Array,
  left: Int32Array,
  rng: Rng,
  log: GameLog,
): void {
  const p = seat.parameters;
  const here = left[s]!;
  let best = 0;
  let fits = 0;
  // A careful eye keeps what is likely to be filled; a hasty one takes what lies largest.
  const careful = seat.policy !== 'random' && !slips(seat, rng);
  for (let i = 0; i < p.choose; i++) {
    const piece = die.faces[below(rng, die.faces.length)]!;
    if (piece > here && p.finish === 'must-fit') continue;
    fits++;
    const better = careful ? worth[Math.max(0, here - piece)]! < worth[Math.max(0, here - best)]! : below(rng, fits) === 0;
    if (best === 0 || better) best = piece;
  }
  log.turn(s, fits);
  if (best === 0) {
    log.extra[0]!++;
    log.note(s, 1, asFraction(here, die.of), 0);
    return;
  }
  const used = Math.min(best, here);
  const piece = asFraction(best, die.of);
  const filled = die.of * p.wholes - here;
  // The piece is named first, then what it makes.
  log.item(s, NAME, piece, 0);
  if (p.way === 'emptied') log.item(s, TAKE, asFraction(here, die.of), asFraction(used, die.of));
  else if (filled > 0) log.item(s, ADD, asFraction(filled, die.of), piece);
  left[s] = here - used;
  log.note(s, 0, piece, asFraction(Math.max(0, left[s]!), die.of));
}
