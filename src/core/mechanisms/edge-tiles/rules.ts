import { createRng, below } from '../../shared/rng';
import type { EdgeTileParameters } from './parameters';

/** Side of the board; games that would leave it end the search for spots there. */
export const SIDE = 41;
export const EMPTY = -1;

/** Steps to the neighbour above, right, below, left; edge i of a tile meets edge (i+2)%4 there. */
export const STEPS = Int32Array.from([-SIDE, 1, SIDE, -1]);

export interface Tiles {
  /** Four numbers and four colours a tile, clockwise from the top. */
  readonly number: Int32Array;
  readonly colour: Int32Array;
  readonly count: number;
}

/** The deck is the same for every game of a variant: it lies in the box. */
const deckSeed = 20;

/** Numbers and colours spread evenly over the edges, then mixed by a fixed seed. */
export function deckOf(p: EdgeTileParameters): Tiles {
  const rng = createRng(deckSeed, p.tiles);
  const edges = p.tiles * 4;
  const kinds = p.highest - p.lowest + 1;
  const number = Int32Array.from({ length: edges }, (_, i) => p.lowest + (i % kinds));
  const colour = Int32Array.from({ length: edges }, (_, i) => Math.floor(i / kinds) % p.colours);
  for (let i = edges - 1; i > 0; i--) {
    const j = below(rng, i + 1);
    [number[i], number[j]] = [number[j]!, number[i]!];
    [colour[i], colour[j]] = [colour[j]!, colour[i]!];
  }
  return { number, colour, count: p.tiles };
}

/** Points of two edges that meet, or −1 when they may not: 0 for an equal pair, else the result. */
export function joinPoints(p: EdgeTileParameters, x: number, xColour: number, y: number, yColour: number): number {
  if (p.sameColour && xColour !== yColour) return -1;
  const value = p.operation === 'sum' ? x + y : p.operation === 'product' ? x * y : x > y ? x - y : y - x;
  if (value > 0 && value <= p.most && value % p.step === 0) return value;
  return p.noScorePairs && x === y && xColour === yColour ? 0 : -1;
}

/** Whether any two edges of the deck may be joined for points. */
export function canScore(p: EdgeTileParameters): boolean {
  for (let x = p.lowest; x <= p.highest; x++) for (let y = x; y <= p.highest; y++) if (joinPoints(p, x, 0, y, 0) > 0) return true;
  return false;
}

export interface Board {
  readonly tile: Int32Array;
  readonly turn: Uint8Array;
  /** Spots next to a tile, in order of appearance. */
  readonly open: Int32Array;
  readonly isOpen: Uint8Array;
  openCount: number;
  last: number;
}

export function newBoard(): Board {
  return {
    tile: new Int32Array(SIDE * SIDE).fill(EMPTY),
    turn: new Uint8Array(SIDE * SIDE),
    open: new Int32Array(SIDE * SIDE),
    isOpen: new Uint8Array(SIDE * SIDE),
    openCount: 0,
    last: 0,
  };
}

export function clearBoard(board: Board): void {
  board.tile.fill(EMPTY);
  board.isOpen.fill(0);
  board.openCount = 0;
}

export function put(board: Board, spot: number, tile: number, turn: number): void {
  board.tile[spot] = tile;
  board.turn[spot] = turn;
  board.last = spot;
  for (let side = 0; side < 4; side++) {
    const next = spot + STEPS[side]!;
    const column = next % SIDE;
    if (next < SIDE || next >= SIDE * (SIDE - 1) || column === 0 || column === SIDE - 1) continue;
    if (board.tile[next] !== EMPTY || board.isOpen[next]) continue;
    board.isOpen[next] = 1;
    board.open[board.openCount++] = next;
  }
}

/** Number (or colour) on a side of a tile turned by so many quarters. */
export const onSide = (of: Int32Array, tile: number, turn: number, side: number): number => of[tile * 4 + ((side + turn) & 3)]!;

/**
 * Points a tile would score at a spot, or −1 when it does not fit: every edge that meets
 * another must be allowed.
 */
export function fits(p: EdgeTileParameters, tiles: Tiles, board: Board, spot: number, tile: number, turn: number): number {
  let points = 0;
  let touching = 0;
  for (let side = 0; side < 4; side++) {
    const other = board.tile[spot + STEPS[side]!]!;
    if (other === EMPTY) continue;
    const theirTurn = board.turn[spot + STEPS[side]!]!;
    const back = (side + 2) & 3;
    const got = joinPoints(
      p,
      onSide(tiles.number, tile, turn, side),
      onSide(tiles.colour, tile, turn, side),
      onSide(tiles.number, other, theirTurn, back),
      onSide(tiles.colour, other, theirTurn, back),
    );
    if (got < 0) return -1;
    touching++;
    points = p.inner === 'both-count' ? points + got : Math.max(points, got);
  }
  return touching === 0 || (touching > 1 && p.inner === 'not-allowed') ? -1 : points;
}
