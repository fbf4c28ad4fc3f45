import { between } from '../../play/deck';
import type { Rng } from '../../shared/rng';
import { uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { BoundGuessParameters } from './parameters';

const GUESS = 0;
const INSIDE = 1;

type Player = Seat<BoundGuessParameters>;

/** All against the hidden number: the group wins or the points run out. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    let points = p.points;
    let turn = 0;
    let found = 0;
    for (let round = 0; round < p.rounds && points > 0; round++) {
      const secret = between(rng, p.low, p.high);
      let low = p.low;
      let high = p.high;
      while (points > 0 && turn < TURN_CAP) {
        const s = turn++ % count;
        const guess = guessOf(seats[s]!, low, high, rng);
        log.turn(s, Math.max(1, high - low + 1));
        const outside = guess < low || guess > high;
        if (low > p.low) log.item(s, INSIDE, guess, low - 1);
        if (high < p.high) log.item(s, INSIDE, guess, high + 1);
        if (outside) {
          points -= p.outside;
          log.extra[1]!++;
          log.note(s, 3, guess, points);
          continue;
        }
        log.item(s, GUESS, guess, secret);
        if (guess === secret) {
          found++;
          log.note(s, 2, guess, points);
          break;
        }
        points -= p.wrong;
        log.note(s, guess < secret ? 0 : 1, guess, points);
        if (guess < secret) low = guess + 1;
        else high = guess - 1;
      }
    }
    log.capped = turn >= TURN_CAP;
    log.rounds = Math.ceil(log.turns / count);
    log.extra[0] = found / p.rounds;
    const won = found === p.rounds && points > 0;
    log.extra[2] = won ? 1 : 0;
    // Together: everyone scores what is left, and with one player at the table it is theirs.
    for (let s = 0; s < count; s++) log.scores[s] = Math.max(0, points);
    log.winner = won && count === 1 ? 0 : -1;
  };
}

/** Careful halves what is left; typical guesses inside but now and then forgets a bound; random forgets both. */
function guessOf(seat: Player, low: number, high: number, rng: Rng): number {
  const p = seat.parameters;
  if (seat.policy === 'careful') return Math.floor((low + high) / 2);
  if (seat.policy === 'random' || uniform(rng) < seat.errorRate / 2) return between(rng, p.low, p.high);
  const width = Math.floor((high - low) / 4);
  return between(rng, low + width, high - width);
}
