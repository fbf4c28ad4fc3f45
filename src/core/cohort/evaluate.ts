/** A forecast that a skill is held, and whether it truly was. */
export interface Forecast {
  readonly p: number;
  readonly held: boolean;
}

/** Mean squared error of forecasts (G. W. Brier 1950); lower is better. // => brier([{ p: 0.8, held: true }]) is 0.04 */
export function brier(list: readonly Forecast[]): number {
  return list.reduce((sum, f) => sum + (f.p - (f.held ? 1 : 0)) ** 2, 0) / list.length;
}

export const baseRate = (list: readonly Forecast[]): number => list.filter((f) => f.held).length / list.length;

/** One bin of the reliability curve. */
export interface Bin {
  readonly from: number;
  readonly to: number;
  readonly n: number;
  readonly meanForecast: number;
  readonly shareHeld: number;
}

export function reliability(list: readonly Forecast[], bins = 10): Bin[] {
  return Array.from({ length: bins }, (_, b) => {
    const inside = list.filter((f) => Math.min(bins - 1, Math.floor(f.p * bins)) === b);
    return {
      from: b / bins,
      to: (b + 1) / bins,
      n: inside.length,
      meanForecast: inside.length ? inside.reduce((s, f) => s + f.p, 0) / inside.length : NaN,
      shareHeld: inside.length ? baseRate(inside) : NaN,
    };
  });
}

/** Expected calibration error: the mean gap of the reliability curve, weighed by how many forecasts lie in each bin (M. P. Naeini and others 2015). */
export function calibrationError(list: readonly Forecast[]): number {
  return reliability(list).reduce((sum, b) => (b.n === 0 ? sum : sum + (b.n / list.length) * Math.abs(b.meanForecast - b.shareHeld)), 0);
}

/** Area under the receiver operating characteristic: the chance that a held skill is forecast above one not held, ties counting half (J. A. Hanley and B. J. McNeil 1982). */
export function areaUnderCurve(list: readonly Forecast[]): number {
  const sorted = [...list].sort((x, y) => x.p - y.p);
  let rankSum = 0;
  for (let i = 0; i < sorted.length;) {
    let j = i;
    while (j < sorted.length && sorted[j]!.p === sorted[i]!.p) j++;
    for (let m = i; m < j; m++) if (sorted[m]!.held) rankSum += (i + j + 1) / 2;
    i = j;
  }
  const held = list.filter((f) => f.held).length;
  return (rankSum - (held * (held + 1)) / 2) / (held * (list.length - held));
}
