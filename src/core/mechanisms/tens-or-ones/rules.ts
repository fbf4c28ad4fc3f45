import type { TensParameters } from './parameters';

/** How much the smaller unit is worth; whole numbers as such, decimals in thousandths. */
export const unitOf = (p: TensParameters): { readonly worth: number; readonly decimal: boolean; readonly place: number } =>
  ({
    'tens-or-ones': { worth: 1, decimal: false, place: 0 },
    'hundreds-or-tens': { worth: 10, decimal: false, place: 1 },
    'ones-or-tenths': { worth: 100, decimal: true, place: 1 },
    'tenths-or-hundredths': { worth: 10, decimal: true, place: 2 },
  })[p.units];

/** How far a total ends from the target, in smaller units; out is as far as nothing at all. */
export const farFrom = (p: TensParameters, total: number): number =>
  total > p.target && p.over === 'is-out' ? p.target : Math.abs(p.target - total);

/** The least expected distance from the target, by throws left and total: backward induction over even throws. */
export function solve(p: TensParameters): Float64Array[] {
  const most = p.throws * p.faces * 10;
  const value: Float64Array[] = [Float64Array.from({ length: most + 1 }, (_, t) => farFrom(p, t))];
  for (let left = 1; left <= p.throws; left++) {
    const before = value[left - 1]!;
    value.push(
      Float64Array.from({ length: most + 1 }, (_, t) => {
        let sum = 0;
        for (let d = 1; d <= p.faces; d++) sum += Math.min(before[Math.min(most, t + d)]!, before[Math.min(most, t + 10 * d)]!);
        return sum / p.faces;
      }),
    );
  }
  return value;
}
