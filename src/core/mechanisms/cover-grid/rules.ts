import { resultOf } from '../../items/item';
import { actHalves, isActHalf, matchesOf } from '../../play/actHalves';
import type { CoverParameters } from './parameters';

/** The tasks that are called, where each is an act with an answer of its own. */
export const tasksOf = (p: CoverParameters): (readonly [number, number])[] =>
  isActHalf(p.relation) ? matchesOf(p.relation, p.lowest, Number.MAX_SAFE_INTEGER).slice(0, p.pool) : [];

/** The numbers that can stand on a card, in rising order. */
export function poolOf(p: CoverParameters): number[] {
  if (isActHalf(p.relation)) {
    const { op } = actHalves[p.relation];
    return tasksOf(p).map(([a, b]) => resultOf(op, a, b));
  }
  if (p.relation === 'round') return Array.from({ length: p.pool }, (_, i) => (Math.ceil(p.lowest / 10) + i) * 10);
  if (p.relation !== 'product') return Array.from({ length: p.pool }, (_, i) => p.lowest + i);
  const products = new Set<number>();
  for (let x = 2; x <= 12; x++) for (let y = 2; y <= 12; y++) if (x * y >= p.lowest) products.add(x * y);
  return [...products].sort((x, y) => x - y).slice(0, p.pool);
}

/** Facts that lead to a number, as flat pairs (a, b). */
export function factsFor(p: CoverParameters, n: number): Int32Array {
  if (isActHalf(p.relation)) {
    const { op } = actHalves[p.relation];
    return Int32Array.from(
      tasksOf(p)
        .filter(([a, b]) => resultOf(op, a, b) === n)
        .flat(),
    );
  }
  const facts: number[] = [];
  if (p.relation === 'number') facts.push(n, 0);
  if (p.relation === 'sum') for (let a = Math.ceil(n / 2); a <= n && a <= Math.max(10, Math.ceil(n / 2) + 4); a++) facts.push(a, n - a);
  if (p.relation === 'difference') for (let b = 1; b <= 9; b++) facts.push(n + b, b);
  if (p.relation === 'product') for (let a = 2; a <= 12; a++) if (n % a === 0 && n / a >= 2 && n / a <= 12) facts.push(a, n / a);
  if (p.relation === 'round') for (let a = n - 5; a <= n + 4; a++) if (a >= 0 && a !== n) facts.push(a, 10);
  return Int32Array.from(facts);
}

/** What stands on a card for each task, as it is written. */
export const answersOf = (p: CoverParameters): string[] => {
  const { relation } = p;
  return isActHalf(relation) ? tasksOf(p).map(([a, b]) => actHalves[relation].pair(a, b)[1]) : [];
};

/** The winning lines of a card, each as a list of cells. */
export function linesOf(p: CoverParameters): readonly Int32Array[] {
  const k = p.size;
  const range = Array.from({ length: k }, (_, i) => i);
  if (p.lines === 'whole-card') return [Int32Array.from({ length: k * k }, (_, i) => i)];
  const lines = range.map((r) => Int32Array.from(range, (c) => r * k + c));
  if (p.lines !== 'rows') lines.push(...range.map((c) => Int32Array.from(range, (r) => r * k + c)));
  if (p.lines === 'rows-columns-diagonals')
    lines.push(
      Int32Array.from(range, (i) => i * k + i),
      Int32Array.from(range, (i) => i * k + k - 1 - i),
    );
  return lines;
}

/** Cells of a card that carry a number. */
export const cellsOf = (p: CoverParameters): number => p.size ** 2 - (hasFreeCentre(p) ? 1 : 0);
export const hasFreeCentre = (p: CoverParameters): boolean => p.freeCentre && p.size % 2 === 1;
