import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import type { PlayGame, Seat } from '../mechanism';
import type { StackParameters } from './parameters';

const COUNT = 0;
const COMPARE = 1;
const MORE = 2;
const SKIP = 3;
/** Seconds to set one piece (common practice, no source). */
const pieceSeconds = 2;

export function createTable(seats: readonly Seat<StackParameters>[]): PlayGame {
  const count = seats.length;
  const heights = new Int32Array(count);
  const { rounds } = seats[0]!.parameters;
  return (rng: Rng, log: GameLog): void => {
    for (let round = 0; round < rounds; round++) {
      for (let s = 0; s < count; s++) heights[s] = build(seats[s]!, s, rng, log);
      compareAll(seats, heights, log);
    }
    log.extra[0]! /= rounds * count;
    settle(log, seats);
  };
}

/** Pieces that stand: each further one topples a stack more easily (common practice, no source); a line only ends with the pieces. */
function build(seat: Seat<StackParameters>, s: number, rng: Rng, log: GameLog): number {
  const p = seat.parameters;
  let height = 1;
  if (p.build === 'stacked') while (height < p.pieces && uniform(rng) >= (height / p.steady) ** 2 / 3) height++;
  else height = between(rng, Math.max(1, Math.min(p.pieces, p.steady) - 3), Math.min(p.pieces, p.steady + 3));
  log.turn(s, 1);
  log.spend(s, pieceSeconds * height);
  if (p.countBy === 'one-by-one') log.item(s, COUNT, height, 0);
  else countInSteps(p.countBy === 'in-twos' ? 2 : 5, s, height, log);
  log.extra[0]! += height;
  log.note(s, 0, height, 0);
  if (p.predict) {
    const guess = slips(seat, rng) ? between(rng, 1, p.pieces) : Math.max(1, Math.min(p.pieces, p.steady + between(rng, -2, 2)));
    log.item(s, COMPARE, guess, height);
    if (Math.abs(guess - height) <= 1) log.scores[s]!++;
  }
  return height;
}

function countInSteps(step: number, s: number, height: number, log: GameLog): void {
  let at = 0;
  for (; at + step <= height; at += step) log.item(s, SKIP, at, step);
  for (; at < height; at++) log.item(s, SKIP, at, 1);
}

function compareAll(seats: readonly Seat<StackParameters>[], heights: Int32Array, log: GameLog): void {
  const best = bestOf(heights, heights.length);
  if (best >= 0) log.scores[best]!++;
  if (heights.length === 1) return;
  for (let s = 0; s < heights.length; s++) {
    const { compare } = seats[s]!.parameters;
    const other = heights[(s + 1) % heights.length]!;
    const own = heights[s]!;
    if (compare === 'not') continue;
    log.item(s, COMPARE, own, other);
    if (compare === 'how-many-more') log.item(s, MORE, own > other ? own : other, own > other ? other : own);
  }
}
