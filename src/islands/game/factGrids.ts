import type { ItemWire } from '../../contract/wire/practice';
import type { Operation } from '../../core/items/item';
import { tenTraitOf } from '../../core/items/traits';

export const signs: Record<string, string> = {
  add: '+',
  subtract: '−',
  multiply: '×',
  divide: '÷',
  compare: 'against',
  compose: 'and',
  balance: 'and',
  area: '×',
};
const gridOps = ['add', 'subtract', 'multiply', 'divide', 'compare', 'compose', 'balance', 'area'];
const largestShown = 120;
const leastShare = 0.05;

export interface OperationGrid {
  readonly op: string;
  readonly cells: { a: number; b: number; count: number; crossing: boolean }[];
}

/** One grid for each operation on two numbers that makes up a real part of the practice. */
export function factGrids(items: readonly Pick<ItemWire, 'op' | 'a' | 'b' | 'count'>[]): OperationGrid[] {
  const all = items.reduce((sum, i) => sum + i.count, 0);
  return gridOps
    .map((op) => {
      const own = items.filter(
        (i) =>
          i.op === op &&
          Number.isInteger(i.a) &&
          Number.isInteger(i.b) &&
          i.a >= 0 &&
          i.b >= 0 &&
          i.a <= largestShown &&
          i.b <= largestShown,
      );
      const merged = new Map<string, { a: number; b: number; count: number; crossing: boolean }>();
      for (const { a, b, count } of own) {
        const key = `${a}|${b}`;
        const known = merged.get(key);
        if (known) known.count += count;
        else merged.set(key, { a, b, count, crossing: tenTraitOf({ op: op as Operation, a, b }) === 'crossing' });
      }
      return { op, share: own.reduce((sum, i) => sum + i.count, 0) / (all || 1), cells: [...merged.values()] };
    })
    .filter((g) => g.share > leastShare)
    .sort((x, y) => y.share - x.share)
    .slice(0, 2);
}
