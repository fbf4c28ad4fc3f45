import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { SequenceParameters } from './parameters';

const NEXT = 0;
const READ = 1;

type Player = Seat<SequenceParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    if (common.form === 'one-grid-in-turn') fillGrid(seats, 0, count, rng, log);
    else for (let s = 0; s < count; s++) fillGrid(seats, s, 1, rng, log);
    settle(log, seats);
    // One grid is everybody's work: nobody has won against another.
    if (common.form === 'one-grid-in-turn') log.winner = count === 1 ? 0 : -1;
  };
}

/** Goes through one grid cell by cell; blanks are filled by the player, or by the players in turn. */
function fillGrid(seats: readonly Player[], first: number, players: number, rng: Rng, log: GameLog): void {
  const p = seats[first]!.parameters;
  const sign = p.direction === 'forward' ? p.step : -p.step;
  const row = below(rng, p.rows);
  const column = below(rng, p.columns);
  let turn = 0;
  for (let cell = 0; cell < p.rows * p.columns; cell++) {
    const s = first + (turn % players);
    if (isBlank(p, cell, row, column, rng)) {
      turn++;
      const before = p.start + (cell - 1) * sign;
      log.turn(s, 1);
      if (cell === 0) log.item(s, NEXT, p.start + sign, -sign);
      else log.item(s, NEXT, before, sign);
      log.note(s, 0, p.start + cell * sign, cell + 1);
      if (crossesHundred(before, before + sign)) log.extra[0]!++;
      if (slips(seats[s]!, rng)) log.extra[1]!++;
      else log.scores[s]!++;
    }
    if (p.sayRow && cell % p.columns === p.columns - 1)
      for (let i = 0; i < p.columns; i++) log.item(s, READ, p.start + (cell - i) * sign, 0);
  }
}

function isBlank(p: SequenceParameters, cell: number, row: number, column: number, rng: Rng): boolean {
  if (p.blanks === 'every-other') return cell % 2 === 1;
  if (p.blanks === 'a-row') return Math.floor(cell / p.columns) === row;
  if (p.blanks === 'a-column') return cell % p.columns === column;
  if (p.blanks === 'all-but-first') return cell > 0;
  return below(rng, 100) < p.share;
}

function crossesHundred(x: number, y: number): boolean {
  return Math.floor(x / 100) !== Math.floor(y / 100);
}
