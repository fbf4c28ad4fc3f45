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
const largestShown = 1200;
const leastShare = 0.05;

/** Cells across or upward that still can be told apart. */
const mostCells = 30;

export interface FactCell {
  a: number;
  b: number;
  count: number;
  /** Crosses a ten, and so needs another strategy; of several facts in one cell, most do. */
  crossing: boolean;
}

export interface OperationGrid {
  readonly op: string;
  /** Different facts met. */
  readonly facts: number;
  /** A cell is so many first numbers wide and so many second numbers high: 1, 10 or 100. */
  readonly by: readonly [number, number];
  readonly cells: FactCell[];
}

/** The smallest of 1, 10 and 100 that leaves few enough cells. */
function widthOf(numbers: readonly number[]): number {
  const span = Math.max(...numbers) - Math.min(...numbers) + 1;
  return [1, 10].find((by) => span / by <= mostCells) ?? 100;
}

/** Puts facts together by tens or hundreds where there are too many numbers to draw one each. */
function together(facts: readonly FactCell[]): Pick<OperationGrid, 'by' | 'cells'> {
  const by = [widthOf(facts.map((f) => f.a)), widthOf(facts.map((f) => f.b))] as const;
  const cells = new Map<string, FactCell & { crossed: number }>();
  for (const f of facts) {
    const a = Math.floor(f.a / by[0]) * by[0];
    const b = Math.floor(f.b / by[1]) * by[1];
    const key = `${a}|${b}`;
    const cell = cells.get(key) ?? { a, b, count: 0, crossing: false, crossed: 0 };
    cell.count += f.count;
    if (f.crossing) cell.crossed += f.count;
    cells.set(key, cell);
  }
  return { by, cells: [...cells.values()].map(({ crossed, ...cell }) => ({ ...cell, crossing: crossed > cell.count / 2 })) };
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
      const merged = new Map<string, FactCell>();
      for (const { a, b, count } of own) {
        const key = `${a}|${b}`;
        const known = merged.get(key);
        if (known) known.count += count;
        else merged.set(key, { a, b, count, crossing: tenTraitOf({ op: op as Operation, a, b }) === 'crossing' });
      }
      return { op, share: own.reduce((sum, i) => sum + i.count, 0) / (all || 1), facts: [...merged.values()] };
    })
    .filter((g) => g.share > leastShare)
    .sort((x, y) => y.share - x.share)
    .slice(0, 2)
    .map(({ op, facts }) => ({ op, facts: facts.length, ...together(facts) }));
}
