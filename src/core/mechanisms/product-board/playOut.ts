import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { ProductBoardParameters } from './parameters';
import { type Board, boardOf, join } from './rules';

const JOIN = 0;

type Player = Seat<ProductBoardParameters>;
const FREE = -1;

interface Move {
  x: number;
  y: number;
  square: number;
  worth: number;
}

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const board = boardOf(p);
  const lines = new Uint8Array(count);
  const holder = new Int32Array(board.number.length);
  const best: Move = { x: 0, y: 0, square: -1, worth: 0 };
  return (rng: Rng, log: GameLog): void => {
    holder.fill(FREE);
    // The first two markers lie anywhere: who is first to move is not who chose both.
    let [x, y] = [between(rng, p.lowest, p.highest), between(rng, p.lowest, p.highest)];
    let idle = 0;
    lines.fill(0);
    for (let turn = 0; turn < TURN_CAP && idle < 2 * count; turn++) {
      const s = turn % count;
      // The round is played out: whoever began gave the others less time.
      if (s === 0 && lines.includes(1)) break;
      const options = chooseMove(seats[s]!, s, board, holder, x, y, best, rng);
      log.turn(s, options);
      if (options === 0) {
        // Nothing is free with one marker moved: any marker is moved and nothing claimed.
        idle++;
        x = between(rng, p.lowest, p.highest);
        log.note(s, 1, x, y);
        continue;
      }
      idle = 0;
      [x, y] = [best.x, best.y];
      log.item(s, JOIN, Math.max(x, y), Math.min(x, y));
      holder[best.square] = s;
      log.scores[s]!++;
      if (log.following) log.stand(s, longestOf(board, holder, s));
      log.note(s, 0, join(p, x, y), log.scores[s]!);
      if (!board.lines.some((line) => line.includes(best.square) && line.every((q) => holder[q] === s))) continue;
      lines[s] = 1;
    }
    // No line, or two in the same round: nobody has won.
    log.winner = lines.includes(1) ? bestOf(lines, count) : count === 1 ? 0 : -1;
    log.rounds = Math.ceil(log.turns / count);
  };
}

/** Free squares that moving one marker claims; the best by the lines it makes and breaks, or any. */
function chooseMove(seat: Player, s: number, board: Board, holder: Int32Array, x: number, y: number, best: Move, rng: Rng): number {
  const { parameters: p } = seat;
  const thinks = seat.policy !== 'random' && !slips(seat, rng);
  let options = 0;
  best.worth = -1;
  for (let marker = 0; marker < 2; marker++)
    for (let to = p.lowest; to <= p.highest; to++) {
      const [a, b] = marker === 0 ? [to, y] : [x, to];
      if (a === x && b === y) continue;
      for (const square of board.of.get(join(p, a, b)) ?? []) {
        if (holder[square] !== FREE) continue;
        options++;
        const worth = thinks ? worthOf(board, holder, square, s) + below(rng, 2) : below(rng, 100);
        if (worth > best.worth) {
          best.x = a;
          best.y = b;
          best.square = square;
          best.worth = worth;
        }
      }
    }
  return options;
}

/** Squares a player holds in the fullest line that nobody else has closed. */
function longestOf(board: Board, holder: Int32Array, s: number): number {
  let most = 0;
  for (const line of board.lines) {
    if (!line.every((q) => holder[q] === s || holder[q] === FREE)) continue;
    most = Math.max(most, line.filter((q) => holder[q] === s).length);
  }
  return most;
}

/** Lines through a square: nearly full ones of one's own first, then those of somebody else. */
function worthOf(board: Board, holder: Int32Array, square: number, s: number): number {
  let worth = 0;
  for (const line of board.lines) {
    if (!line.includes(square)) continue;
    let own = 0;
    let theirs = 0;
    let other = -2;
    for (const q of line) {
      if (holder[q] === s) own++;
      else if (holder[q]! >= 0) {
        theirs += other === -2 || other === holder[q] ? 1 : 100;
        other = holder[q]!;
      }
    }
    if (theirs === 0) worth += 4 ** own * 2;
    else if (own === 0 && theirs < 100) worth += 4 ** theirs;
  }
  return worth;
}
