import type { GameLog } from '../../simulate/gameLog';
import type { Rng } from '../../shared/rng';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { SumColumnsParameters } from './parameters';
import { pickColumn } from './policies';
import { clear, draw, newState, valueChances } from './rules';

export function createTable(seats: readonly Seat<SumColumnsParameters>[]): PlayGame {
  const board = seats[0]!.parameters;
  const states = seats.map((seat) => newState({ ...seat.parameters, lastColumn: board.lastColumn }));
  const shared = states[0]!;
  const count = seats.length;
  const rankings = seats.map((seat) => rankColumns(seat.parameters, board));
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) clear(states[s]!);
    for (let s = 0; s < count; s++) {
      const picks = Math.min(seats[s]!.parameters.picks, board.lastColumn - board.firstColumn + 1);
      for (let i = 0; i < picks; i++) {
        const column = pickColumn(shared, seats[s]!, 1 << s, rankings[s]!, rng);
        log.note(s, 2, column, 0);
        shared.pickedBy[column] = shared.pickedBy[column]! | (1 << s);
      }
    }
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      const seat = seats[s]!;
      const own = states[s]!;
      draw(own, seat, rng);
      const value = joinAndReport(own.faces, seat.parameters, s, log);
      const printed = value >= board.firstColumn && value <= board.lastColumn;
      log.turn(s, printed ? 1 : 0);
      log.note(s, printed ? 1 : 0, value, own.faces[1]!);
      if (!printed) continue;
      if (++shared.marks[value]! < board.height) continue;
      log.rounds = Math.ceil((turn + 1) / count);
      finish(shared.pickedBy[value]!, count, log);
      let empty = 0;
      for (let c = board.firstColumn; c <= board.lastColumn; c++) if (shared.marks[c] === 0) empty++;
      log.extra[0] = empty;
      log.extra[2] = value;
      return;
    }
    log.capped = true;
    log.rounds = Math.ceil(TURN_CAP / count);
  };
}

function rankColumns(p: SumColumnsParameters, board: SumColumnsParameters): Int32Array {
  const chances = valueChances(p);
  const columns = Array.from({ length: board.lastColumn - board.firstColumn + 1 }, (_, i) => board.firstColumn + i);
  return Int32Array.from(columns.sort((x, y) => (chances.get(y) ?? 0) - (chances.get(x) ?? 0) || x - y));
}

function joinAndReport(faces: Int32Array, p: SumColumnsParameters, seat: number, log: GameLog): number {
  if (p.combine === 'difference') {
    const larger = Math.max(faces[0]!, faces[1]!);
    const smaller = Math.min(faces[0]!, faces[1]!);
    log.item(seat, 0, larger, smaller);
    return larger - smaller;
  }
  let sum = faces[0]!;
  for (let i = 1; i < p.dice; i++) {
    log.item(seat, 0, sum, faces[i]!);
    sum += faces[i]!;
  }
  return sum;
}

/** Everyone who picked the full column wins; alone they win outright, nobody counts as unpicked. */
function finish(pickedBy: number, count: number, log: GameLog): void {
  let winners = 0;
  for (let s = 0; s < count; s++) {
    if ((pickedBy & (1 << s)) === 0) continue;
    winners++;
    log.scores[s] = 1;
    log.winner = s;
  }
  if (winners !== 1) log.winner = -1;
  log.extra[1] = winners === 0 ? 1 : 0;
}
