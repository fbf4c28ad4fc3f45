import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { ClaimRectanglesParameters } from './parameters';

const AREA = 0;
const ROUND = 1;
const ADD = 2;

type Player = Seat<ClaimRectanglesParameters>;

/** Squares of a paper, 1 where they are claimed. */
interface Paper {
  readonly rows: number;
  readonly columns: number;
  readonly taken: Uint8Array;
}

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const common = seats[0]!.parameters;
  const papers: Paper[] = Array.from({ length: common.paper === 'is-shared' ? 1 : count }, () => ({
    rows: common.rows,
    columns: common.columns,
    taken: new Uint8Array(common.rows * common.columns),
  }));
  const spot = { row: 0, column: 0, high: 0, wide: 0 };
  return (rng: Rng, log: GameLog): void => {
    for (const p of papers) p.taken.fill(0);
    let passes = 0;
    for (let turn = 0; turn < TURN_CAP && passes < count; turn++) {
      const s = turn % count;
      const paper = papers[common.paper === 'is-shared' ? 0 : s]!;
      const p = seats[s]!.parameters;
      const [x, y] = [between(rng, 1, p.faces), between(rng, 1, p.faces)];
      const options = findSpot(paper, x, y, seats[s]!, spot, rng);
      log.turn(s, options);
      if (options === 0) {
        passes++;
        log.note(s, 1, x, y);
        continue;
      }
      passes = 0;
      for (let r = 0; r < spot.high; r++)
        paper.taken.fill(1, (spot.row + r) * paper.columns + spot.column, (spot.row + r) * paper.columns + spot.column + spot.wide);
      if (p.says !== 'way-round') log.item(s, AREA, x, y);
      if (p.says !== 'area') log.item(s, ROUND, x, y);
      if (p.total && log.scores[s]! > 0) log.item(s, ADD, log.scores[s]!, x * y);
      log.scores[s]! += x * y;
      log.note(s, 0, x * y, log.scores[s]!);
    }
    let left = 0;
    for (const paper of papers) for (const t of paper.taken) left += 1 - t;
    log.extra[0] = left / papers.length;
    settle(log, seats);
  };
}

/** How many places take the rectangle, lying or standing; a careful eye hugs edges and neighbours, so that little is wasted. */
function findSpot(
  paper: Paper,
  x: number,
  y: number,
  seat: Player,
  spot: { row: number; column: number; high: number; wide: number },
  rng: Rng,
): number {
  let options = 0;
  let best = -1;
  const random = seat.policy === 'random' || slips(seat, rng);
  for (let turned = 0; turned < (x === y ? 1 : 2); turned++) {
    const [high, wide] = turned === 0 ? [x, y] : [y, x];
    for (let row = 0; row + high <= paper.rows; row++)
      for (let column = 0; column + wide <= paper.columns; column++) {
        if (!free(paper, row, column, high, wide)) continue;
        options++;
        const hugs = random ? 0 : edges(paper, row, column, high, wide);
        if (random ? below(rng, options) === 0 : hugs > best) {
          best = hugs;
          spot.row = row;
          spot.column = column;
          spot.high = high;
          spot.wide = wide;
        }
      }
  }
  return options;
}

function free(paper: Paper, row: number, column: number, high: number, wide: number): boolean {
  for (let r = row; r < row + high; r++)
    for (let c = column; c < column + wide; c++) if (paper.taken[r * paper.columns + c] === 1) return false;
  return true;
}

/** Unit edges of the rectangle that lie on the rim or against what is claimed. */
function edges(paper: Paper, row: number, column: number, high: number, wide: number): number {
  const at = (r: number, c: number): number =>
    r < 0 || c < 0 || r >= paper.rows || c >= paper.columns ? 1 : paper.taken[r * paper.columns + c]!;
  let n = 0;
  for (let c = column; c < column + wide; c++) n += at(row - 1, c) + at(row + high, c);
  for (let r = row; r < row + high; r++) n += at(r, column - 1) + at(r, column + wide);
  return n / (high + wide);
}
