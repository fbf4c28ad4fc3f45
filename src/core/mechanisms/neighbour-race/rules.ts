import { below, createRng, type Rng } from '../../shared/rng';
import type { NeighbourParameters } from './parameters';

/** Spaces 0 (start), then row by row, then the last; `ahead` lists up to five spaces, −1 for none. */
export interface RaceBoard {
  readonly number: Int32Array;
  readonly row: Int32Array;
  readonly ahead: Int32Array;
  readonly last: number;
}
export const WAYS = 5;

const boardAttempts = 400;

/**
 * A hexagonal strip: each space touches `ways` spaces of the next row. Numbers are chosen
 * so that every step forward is one to `faces` more than where it starts, all steps from
 * one space are different, and throws that move nobody stay under the asked share. Null
 * when no such board was found.
 */
export function makeBoard(p: NeighbourParameters): RaceBoard | null {
  const rng = createRng(p.board, p.rows * 64 + p.width);
  for (let i = 0; i < boardAttempts; i++) {
    const board = tryBoard(p, rng);
    if (board && boardProblem(p, board) === null) return board;
  }
  return null;
}

function tryBoard(p: NeighbourParameters, rng: Rng): RaceBoard | null {
  const spaces = p.rows * p.width + 2;
  const board: RaceBoard = {
    number: new Int32Array(spaces),
    row: new Int32Array(spaces),
    ahead: new Int32Array(spaces * WAYS).fill(-1),
    last: spaces - 1,
  };
  const at = (row: number, column: number): number => 1 + row * p.width + ((column + p.width) % p.width);
  for (let c = 0; c < p.width; c++) board.ahead[c] = at(0, c);
  for (let row = 0; row < p.rows; row++)
    for (let c = 0; c < p.width; c++) {
      const here = at(row, c);
      board.row[here] = row + 1;
      if (row === p.rows - 1) board.ahead[here * WAYS] = board.last;
      else for (let w = 0; w < Math.min(p.ways, p.width); w++) board.ahead[here * WAYS + w] = at(row + 1, c + w);
    }
  board.row[board.last] = p.rows + 1;
  for (let space = 1; space < spaces; space++) if (!numberSpace(p, board, space, rng)) return null;
  return board;
}

/** A number that every space leading here can throw, and that no sibling has already. */
function numberSpace(p: NeighbourParameters, board: RaceBoard, space: number, rng: Rng): boolean {
  let low = 1;
  let high = Infinity;
  const taken = new Set<number>();
  for (let from = 0; from < space; from++) {
    let leads = false;
    for (let w = 0; w < WAYS; w++) if (board.ahead[from * WAYS + w] === space) leads = true;
    if (!leads) continue;
    low = Math.max(low, board.number[from]! + 1);
    high = Math.min(high, board.number[from]! + p.faces);
    for (let w = 0; w < WAYS; w++) {
      const sibling = board.ahead[from * WAYS + w]!;
      if (sibling >= 0 && sibling < space) taken.add(board.number[sibling]!);
    }
  }
  if (low > high) return false;
  const free: number[] = [];
  for (let n = low; n <= high; n++) if (!taken.has(n)) free.push(n);
  if (free.length === 0) return false;
  board.number[space] = free[below(rng, free.length)]!;
  return true;
}

/** Space that a throw leads to, by its place among the ways; −1 when it moves nobody. */
export function leadsTo(p: NeighbourParameters, board: RaceBoard, here: number, die: number, way: number): number {
  const next = board.ahead[here * WAYS + way]!;
  if (next < 0) return -1;
  if (next === board.last && p.finish === 'any-throw') return next;
  if (p.rule === 'here-plus-die') return board.number[next] === board.number[here]! + die ? next : -1;
  // The last space of a factor board wants the highest number on the die, if it is a factor at all.
  if (next === board.last) return die === highestFactor(board.number[next]!, p.faces) ? next : -1;
  return board.number[next]! % die === 0 ? next : -1;
}

function highestFactor(n: number, faces: number): number {
  let die = faces;
  while (n % die !== 0) die--;
  return die;
}

/** Share of throws that would move nobody, over all inner spaces. */
export function wastedShare(p: NeighbourParameters, board: RaceBoard): number {
  let wasted = 0;
  let all = 0;
  for (let here = 0; here < board.last; here++) {
    if (board.row[here] === p.rows) continue;
    for (let die = 1; die <= p.faces; die++) {
      all++;
      let moves = false;
      for (let w = 0; w < WAYS; w++) if (leadsTo(p, board, here, die, w) >= 0) moves = true;
      if (!moves) wasted++;
    }
  }
  return wasted / all;
}

/** What is wrong with a board, or null: neighbours, a way to the end from everywhere, and few wasted throws. */
export function boardProblem(p: NeighbourParameters, board: RaceBoard): string | null {
  for (let here = 1; here < board.last; here++) {
    if (board.row[here] === p.rows) continue;
    let ways = 0;
    for (let w = 0; w < WAYS; w++) if (board.ahead[here * WAYS + w]! >= 0) ways++;
    if (ways !== Math.min(p.ways, p.width)) return `space ${here} has ${ways} ways ahead`;
  }
  const good = new Uint8Array(board.last + 1);
  good[board.last] = 1;
  for (let here = board.last - 1; here >= 0; here--)
    for (let die = 1; die <= p.faces; die++)
      for (let w = 0; w < WAYS; w++) {
        const next = leadsTo(p, board, here, die, w);
        if (next >= 0 && good[next]) good[here] = 1;
      }
  const trap = good.indexOf(0);
  if (trap >= 0) return `from space ${trap} the end cannot be reached`;
  const wasted = wastedShare(p, board);
  return wasted * 100 > p.wasted ? `${Math.round(wasted * 100)} % of throws move nobody` : null;
}
