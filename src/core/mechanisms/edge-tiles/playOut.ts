import { Deck } from '../../play/deck';
import { settle } from '../../play/outcome';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { EdgeTileParameters } from './parameters';
import { type Board, clearBoard, deckOf, EMPTY, fits, newBoard, onSide, put, SIDE, STEPS, type Tiles } from './rules';

const JOIN = 0;
const TOTAL = 1;

/** The move in hand while spots are gone through. */
interface Move {
  fitting: number;
  place: number;
  spot: number;
  turn: number;
  points: number;
}

export function createTable(seats: readonly Seat<EdgeTileParameters>[]): PlayGame {
  const count = seats.length;
  const p = seats[0]!.parameters;
  const tiles = deckOf(p);
  const deck = new Deck(Array.from({ length: tiles.count }, (_, i) => i));
  const board = newBoard();
  const hands = seats.map(() => new Int32Array(6));
  const held = new Int32Array(count);
  const move: Move = { fitting: 0, place: -1, spot: 0, turn: 0, points: 0 };
  return (rng: Rng, log: GameLog): void => {
    deck.reset();
    clearBoard(board);
    put(board, SIDE * 20 + 20, deck.draw(rng), 0);
    for (let s = 0; s < count; s++) {
      held[s] = 0;
      log.scores[s] = seats[s]!.headStart;
      while (held[s]! < seats[s]!.parameters.hand && deck.left > 0) hands[s]![held[s]!++] = deck.draw(rng);
    }
    let idle = 0;
    let reached = false;
    for (let turn = 0; turn < TURN_CAP && idle < count; turn++) {
      const s = turn % count;
      // The round is played out, so that nobody is ahead by having begun.
      if (s === 0 && reached) break;
      const seat = seats[s]!;
      findMove(seat, tiles, board, hands[s]!, held[s]!, move, rng);
      log.turn(s, move.fitting);
      if (move.place < 0) {
        log.note(s, 1, held[s]!, 0);
        // Nothing fits: change a tile while there are any to draw.
        if (deck.left > 0 && held[s]! > 0) hands[s]![below(rng, held[s]!)] = deck.draw(rng);
        else idle++;
        continue;
      }
      idle = 0;
      layDown(seat, s, tiles, board, hands[s]!, move, log);
      hands[s]![move.place] = deck.left > 0 ? deck.draw(rng) : hands[s]![--held[s]!]!;
      if (log.scores[s]! >= seat.parameters.target) reached = true;
    }
    for (let s = 0; s < count; s++) log.scores[s]! -= seats[s]!.headStart;
    settle(log, seats);
  };
}

/** Goes through every tile, spot and turn; keeps the highest (careful), a fair one, or any. */
function findMove(seat: Seat<EdgeTileParameters>, tiles: Tiles, board: Board, hand: Int32Array, held: number, move: Move, rng: Rng): void {
  const p = seat.parameters;
  const highest = seat.policy === 'careful' || (seat.policy === 'typical' && uniform(rng) >= seat.errorRate);
  move.fitting = 0;
  move.place = -1;
  move.points = -1;
  let seen = 0;
  for (let o = 0; o < board.openCount; o++) {
    const spot = board.open[o]!;
    if (board.tile[spot] !== EMPTY || (p.joinTo === 'last' && !touchesLast(board, spot))) continue;
    for (let i = 0; i < held; i++) {
      let fitsHere = 0;
      for (let turn = 0; turn < (p.turning ? 4 : 1); turn++) {
        const points = fits(p, tiles, board, spot, hand[i]!, turn);
        if (points < 0) continue;
        fitsHere = 1;
        seen++;
        if (highest ? points > move.points || (points === move.points && below(rng, 2) === 0) : below(rng, seen) === 0) {
          move.place = i;
          move.spot = spot;
          move.turn = turn;
          move.points = points;
        }
      }
      move.fitting += fitsHere;
    }
  }
}

function touchesLast(board: Board, spot: number): boolean {
  for (let side = 0; side < 4; side++) if (spot + STEPS[side]! === board.last) return true;
  return false;
}

function layDown(seat: Seat<EdgeTileParameters>, s: number, tiles: Tiles, board: Board, hand: Int32Array, move: Move, log: GameLog): void {
  const p = seat.parameters;
  const tile = hand[move.place]!;
  let touching = 0;
  for (let side = 0; side < 4; side++) {
    const next = move.spot + STEPS[side]!;
    const other = board.tile[next]!;
    if (other === EMPTY) continue;
    touching++;
    const own = onSide(tiles.number, tile, move.turn, side);
    const theirs = onSide(tiles.number, other, board.turn[next]!, (side + 2) & 3);
    log.item(s, JOIN, own > theirs ? own : theirs, own > theirs ? theirs : own);
  }
  if (touching > 1) log.extra[0]!++;
  if (move.points === 0) log.extra[1]!++;
  if (p.scoring === 'running-total' && move.points > 0 && log.scores[s]! > 0) log.item(s, TOTAL, log.scores[s]!, move.points);
  log.scores[s]! += p.scoring === 'single' && move.points > 0 ? p.step : move.points;
  log.note(s, touching > 1 ? 2 : 0, move.points, log.scores[s]!);
  put(board, move.spot, tile, move.turn);
}
