import { createRng, shuffle } from '../../shared/rng';
import type { ProductBoardParameters } from './parameters';

export interface Board {
  readonly size: number;
  /** Number on each square, row by row. */
  readonly number: readonly number[];
  /** Squares of each number. */
  readonly of: ReadonlyMap<number, readonly number[]>;
  readonly lines: readonly (readonly number[])[];
}

export const join = (p: Pick<ProductBoardParameters, 'operation'>, x: number, y: number): number =>
  p.operation === 'multiplied' ? x * y : x + y;

/** Every number two markers can make, each once and then again where squares are left, mixed by the board's own number. */
export function boardOf(p: ProductBoardParameters): Board {
  const all = new Set<number>();
  for (let x = p.lowest; x <= p.highest; x++) for (let y = x; y <= p.highest; y++) all.add(join(p, x, y));
  const numbers = [...all].sort((a, b) => a - b);
  const size = Math.max(p.inLine, Math.floor(Math.sqrt(numbers.length)));
  const cells = Int32Array.from({ length: size * size }, (_, i) => numbers[i % numbers.length]!);
  shuffle(createRng(p.board), cells, cells.length);
  const of = new Map<number, number[]>();
  cells.forEach((n, i) => of.set(n, [...(of.get(n) ?? []), i]));
  const lines: number[][] = [];
  for (let r = 0; r < size; r++)
    for (let c = 0; c < size; c++)
      for (const [dr, dc] of [
        [0, 1],
        [1, 0],
        [1, 1],
        [1, -1],
      ] as const) {
        const end = [r + dr * (p.inLine - 1), c + dc * (p.inLine - 1)] as const;
        if (end[0] >= size || end[1] >= size || end[1] < 0) continue;
        lines.push(Array.from({ length: p.inLine }, (_, i) => (r + dr * i) * size + c + dc * i));
      }
  return { size, number: [...cells], of, lines };
}
