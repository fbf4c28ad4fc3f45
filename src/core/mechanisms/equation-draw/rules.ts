import { fourOperations, wholeResult } from '../../play/arithmetic';
import type { EquationParameters } from './parameters';

export const WILD = 99;

/** A found equation: places in the hand of a, b and the result (or c + d), with operation channel. */
export interface Found {
  count: number;
  op: number;
  a: number;
  b: number;
  result: number;
  /** Fourth term, added to the result side; −1 with three cards. */
  extra: number;
  readonly used: Int32Array;
}

export const newFound = (): Found => ({ count: 0, op: 0, a: 0, b: 0, result: 0, extra: -1, used: new Int32Array(4) });

/**
 * Searches a hand for true equations a ∘ b = c and, if agreed, a ∘ b = c + d. Reports how
 * many there are (up to order) and keeps the one that uses most cards.
 */
export function findEquations(p: EquationParameters, hand: Int32Array, held: number, allowed: Uint8Array, found: Found): void {
  found.count = 0;
  let best = 0;
  for (let x = 0; x < held; x++)
    for (let y = 0; y < held; y++) {
      if (x === y || hand[x] === WILD || hand[y] === WILD) continue;
      for (let op = 0; op < 4; op++) {
        if (allowed[op] === 0 || (x > y && (op === 0 || op === 2))) continue;
        const value = wholeResult(fourOperations[op]!, hand[x]!, hand[y]!);
        if (value < 0) continue;
        for (let z = 0; z < held; z++) {
          if (z === x || z === y) continue;
          const card = hand[z]!;
          if (card === value || card === WILD) {
            found.count++;
            if (best < 3) best = keep(found, 3, op, hand, x, y, z, -1, value);
          }
          if (p.terms === 'three' || card === WILD) continue;
          for (let w = z + 1; w < held; w++) {
            if (w === x || w === y || hand[w] === WILD || card + hand[w]! !== value) continue;
            found.count++;
            if (best < 4) best = keep(found, 4, op, hand, x, y, z, w, value);
          }
        }
      }
    }
}

function keep(found: Found, size: number, op: number, hand: Int32Array, x: number, y: number, z: number, w: number, value: number): number {
  found.op = op;
  found.a = hand[x]!;
  found.b = hand[y]!;
  found.result = value;
  found.extra = w >= 0 ? hand[w]! : -1;
  found.used[0] = x;
  found.used[1] = y;
  found.used[2] = z;
  found.used[3] = w;
  return size;
}
