import { channelOfOperation, wholeResult } from '../../play/arithmetic';
import type { CloseParameters } from './parameters';

/** Sum of the tiles in a set; bit 0 is tile 1. */
export function sumOf(tiles: number): number {
  let sum = 0;
  for (let t = 0; tiles >> t !== 0; t++) if (tiles & (1 << t)) sum += t + 1;
  return sum;
}

/** Every set of tiles with a given sum. */
export function setsBySum(p: CloseParameters): readonly Int32Array[] {
  const bySum: number[][] = [];
  for (let set = 1; set < 1 << p.tiles; set++) (bySum[sumOf(set)] ??= []).push(set);
  return Array.from({ length: Math.max(2 * p.faces + 1, bySum.length) }, (_, sum) => Int32Array.from(bySum[sum] ?? []));
}

/** One throw: the two faces (second 0 for one die) and its chance. */
export interface Throw {
  readonly x: number;
  readonly y: number;
  readonly chance: number;
  /** Sets of tiles that this throw may close, when they are open. */
  readonly sets: Int32Array;
  /** For single tiles: the operation that gave each set, by channel. */
  readonly by: Int32Array;
}

/** All throws of two dice, or of one. */
export function throwsOf(p: CloseParameters, dice: 1 | 2): readonly Throw[] {
  const sums = setsBySum(p);
  const list: Throw[] = [];
  for (let x = 1; x <= p.faces; x++) {
    if (dice === 1) {
      const sets = p.close === 'several' ? sums[x]! : Int32Array.from(x <= p.tiles ? [1 << (x - 1)] : []);
      list.push({ x, y: 0, chance: 1 / p.faces, sets, by: new Int32Array(sets.length) });
      continue;
    }
    for (let y = 1; y <= p.faces; y++) {
      const sets: number[] = [];
      const by: number[] = [];
      for (const op of p.operations) {
        const [a, b] = op === 'subtract' || op === 'divide' ? [Math.max(x, y), Math.min(x, y)] : [x, y];
        const value = wholeResult(op, a, b);
        if (value < 1) continue;
        const found = p.close === 'several' ? [...(sums[value] ?? [])] : value <= p.tiles ? [1 << (value - 1)] : [];
        for (const set of found) {
          if (sets.includes(set)) continue;
          sets.push(set);
          by.push(channelOfOperation[op]);
        }
      }
      list.push({ x, y, chance: 1 / p.faces ** 2, sets: Int32Array.from(sets), by: Int32Array.from(by) });
    }
  }
  return list;
}

/** Whether the player may throw just one die with these tiles open. */
export function mayThrowOne(p: CloseParameters, open: number): boolean {
  if (p.oneDie === 'high-closed') return open >> 6 === 0;
  return p.oneDie === 'few-left' && sumOf(open) <= 6;
}
