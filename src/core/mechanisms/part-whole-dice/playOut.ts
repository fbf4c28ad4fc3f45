import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { PartWholeParameters } from './parameters';

const MISSING = 0;
const TAKE = 1;

type Player = Seat<PartWholeParameters>;

/** Each player's grid has `cells` boxes for every missing part from 0 to the widest gap. */
export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const parts = seats.map((s) => s.parameters.faces - s.parameters.lowestFace + 1);
  const grids = parts.map((n) => new Int32Array(n));
  const common = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) grids[s]!.fill(0);
    for (let turn = 0; turn < common.rounds * count; turn++) {
      const s = turn % count;
      throwOnce(seats, s, grids, rng, log);
      // The round is played out, so that nobody is ahead by having begun.
      if (s === count - 1 && common.ends !== 'rounds' && seats.some(({ parameters: p }, o) => done(p, grids[o]!))) break;
    }
    settle(log, seats);
    if (common.ends === 'rounds') return;
    const all = seats.map(({ parameters: p }, o) => (done(p, grids[o]!) ? 1 : 0));
    // Used-up throws leave it to the boxes.
    if (all.includes(1)) log.winner = bestOf(all, count);
  };
}

function throwOnce(seats: readonly Player[], s: number, grids: readonly Int32Array[], rng: Rng, log: GameLog): void {
  const p = seats[s]!.parameters;
  const x = between(rng, p.lowestFace, p.faces);
  const y = between(rng, p.lowestFace, p.faces);
  const larger = x > y ? x : y;
  const smaller = x > y ? y : x;
  const missing = larger - smaller;
  if (p.say === 'missing-part') log.item(s, MISSING, smaller, missing);
  else log.item(s, TAKE, larger, smaller);
  const grid = grids[s]!;
  if (grid[missing]! < p.cells) {
    log.turn(s, 1);
    grid[missing]!++;
    log.scores[s]!++;
    log.note(s, 0, larger, missing);
    return;
  }
  log.turn(s, 0);
  log.note(s, 1, larger, missing);
  const next = (s + 1) % seats.length;
  const theirs = grids[next]!;
  if (p.takeOther && next !== s && missing < theirs.length && theirs[missing]! < seats[next]!.parameters.cells) {
    theirs[missing]!++;
    log.scores[next]!++;
    log.extra[0]!++;
  }
}

/** A full row, or the whole grid, as agreed. */
function done(p: PartWholeParameters, grid: Int32Array): boolean {
  return p.ends === 'line' ? grid.includes(p.cells) : full(grid, p.cells);
}

function full(grid: Int32Array, cells: number): boolean {
  for (let i = 0; i < grid.length; i++) if (grid[i]! < cells) return false;
  return true;
}
