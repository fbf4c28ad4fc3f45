import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { CoverShapeParameters } from './parameters';

const COUNT = 0;
const ROW = 1;
const AREA = 2;
const JOIN = 3;
const ESTIMATE = 4;
/** Seconds to lay one tile (common practice, no source). */
const tileSeconds = 1.5;

export function createTable(seats: readonly Seat<CoverShapeParameters>[]): PlayGame {
  const tasks = Math.max(...seats.map((s) => s.parameters.tasks));
  return (rng: Rng, log: GameLog): void => {
    for (let task = 0; task < tasks; task++)
      for (let s = 0; s < seats.length; s++) if (task < seats[s]!.parameters.tasks) cover(seats[s]!, s, rng, log);
    settle(log, seats);
  };
}

function cover(seat: Seat<CoverShapeParameters>, s: number, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  const joined = p.figure === 'two-joined' || (p.figure === 'either' && below(rng, 2) === 0);
  log.turn(s, 1);
  const first = oneRectangle(p, s, rng, log);
  const second = joined ? oneRectangle(p, s, rng, log) : 0;
  if (joined) log.item(s, JOIN, first, second);
  const area = first + second;
  if (p.estimate) {
    const guess = Math.max(1, area + between(rng, -Math.ceil(area / 5), Math.ceil(area / 5)));
    log.item(s, ESTIMATE, guess, area);
    if (Math.abs(guess - area) <= area / 10) log.scores[s]!++;
  }
  if (!slips(seat, rng)) log.scores[s]! += 2;
  else log.extra[0]!++;
  log.note(s, joined ? 1 : 0, area, 0);
}

/** Covers one rectangle and finds its area in the agreed way. */
function oneRectangle(p: CoverShapeParameters, s: number, rng: Rng, log: GameLog): number {
  const rows = between(rng, p.shortest, p.longest);
  const columns = between(rng, p.shortest, p.longest);
  const area = rows * columns;
  log.spend(s, p.work === 'sides-times' ? tileSeconds * (rows + columns) : tileSeconds * area);
  if (p.work === 'counting-tiles') log.item(s, COUNT, area, 0);
  else if (p.work === 'sides-times') log.item(s, AREA, rows, columns);
  else for (let r = 1; r < rows; r++) log.item(s, ROW, r * columns, columns);
  return area;
}
