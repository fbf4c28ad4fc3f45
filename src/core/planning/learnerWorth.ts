import type { PlanInstance } from './instance';

/**
 * What each learner's games are worth as they change one by one: Σ value + Σ gap weight × concave dose, the worth of
 * seats kept, less the price of what is missing to the floor. A change is weighed without being made.
 */
export class LearnerWorth {
  private readonly G: number;
  private readonly I: number;
  private readonly value: Float64Array;
  private readonly weight: Float64Array;
  /** Doses of (learner, game): gaps and units from `start` on. */
  private readonly start: Int32Array;
  private readonly gap: Int32Array;
  private readonly dose: Float64Array;
  private readonly units: Float64Array;
  private readonly plain: Float64Array;
  private readonly slope: Float64Array;
  private readonly sum: Float64Array;
  private readonly pieces: number;
  private readonly more: Float64Array;
  private readonly touched: Int32Array;
  private readonly least: readonly number[] | null;
  private readonly price: number;
  private readonly keep: readonly (readonly number[])[] | null;
  private readonly keepWorth: number;

  constructor(instance: PlanInstance) {
    const { learners: L, games, gaps, slopes, aims } = instance;
    const G = (this.G = games.length);
    const I = (this.I = Math.max(1, ...gaps.map((list) => list.length)));
    this.value = new Float64Array(L * G);
    this.weight = new Float64Array(L * I);
    this.start = new Int32Array(L * G + 1);
    const gapList: number[] = [];
    const doseList: number[] = [];
    for (let l = 0; l < L; l++) {
      gaps[l]!.forEach((w, i) => (this.weight[l * I + i] = w));
      for (let g = 0; g < G; g++) {
        this.value[l * G + g] = instance.value[l]![g]!;
        for (const [i, units] of instance.dose[l]![g] ?? []) {
          gapList.push(i);
          doseList.push(units);
        }
        this.start[l * G + g + 1] = gapList.length;
      }
    }
    this.gap = Int32Array.from(gapList);
    this.dose = Float64Array.from(doseList);
    this.units = new Float64Array(L * I);
    this.plain = new Float64Array(L);
    this.slope = Float64Array.from(slopes);
    this.pieces = slopes.length;
    this.sum = new Float64Array(slopes.length + 1);
    slopes.forEach((s, i) => (this.sum[i + 1] = this.sum[i]! + s));
    this.more = new Float64Array(I);
    this.touched = new Int32Array(2 * I);
    this.least = aims?.floor?.least ?? null;
    this.price = aims?.floor?.price ?? 0;
    this.keep = aims?.keep?.games ?? null;
    this.keepWorth = aims?.keep?.worth ?? 0;
  }

  reset(): void {
    this.units.fill(0);
    this.plain.fill(0);
  }

  /** What one game alone would be worth to a learner. */
  alone(learner: number, game: number): number {
    const row = learner * this.G + game;
    let worth = this.value[row]!;
    for (let p = this.start[row]!; p < this.start[row + 1]!; p++)
      worth += this.weight[learner * this.I + this.gap[p]!]! * this.worthOf(this.dose[p]!);
    return worth;
  }

  /** The price of what is missing to the floor, taken off; seats kept are counted with the change that makes them. */
  penalised(learner: number): number {
    return this.withFloor(learner, this.plain[learner]!);
  }

  private withFloor(learner: number, plain: number): number {
    if (!this.least) return plain;
    const missing = this.least[learner]! - plain;
    return missing > 0 ? plain - this.price * missing : plain;
  }

  private worthOf(units: number): number {
    if (units <= 0) return 0;
    const k = units | 0;
    return k >= this.pieces ? this.sum[this.pieces]! : this.sum[k]! + this.slope[k]! * (units - k);
  }

  /** How much more a learner's games would be worth with `to` in place of `from` (−1: none) in a round. */
  gain(learner: number, round: number, from: number, to: number): number {
    return this.withPrices(learner, round, from, to, this.plainGain(learner, from, to));
  }

  private withPrices(learner: number, round: number, from: number, to: number, delta: number): number {
    if (!this.least && !this.keep) return delta;
    const was = this.keep?.[learner]?.[round] ?? -1;
    const kept = was < 0 ? 0 : this.keepWorth * (Number(was === to) - Number(was === from));
    const plain = this.plain[learner]!;
    return this.withFloor(learner, plain + delta) - this.withFloor(learner, plain) + kept;
  }

  private plainGain(learner: number, from: number, to: number): number {
    const { G, I, more, touched, gap, dose, start, units, weight, value } = this;
    const row = learner * G;
    const base = learner * I;
    let n = 0;
    let delta = 0;
    if (from >= 0) {
      delta -= value[row + from]!;
      for (let p = start[row + from]!; p < start[row + from + 1]!; p++) {
        const i = gap[p]!;
        more[i] = -dose[p]!;
        touched[n++] = i;
      }
    }
    if (to >= 0) {
      delta += value[row + to]!;
      for (let p = start[row + to]!; p < start[row + to + 1]!; p++) {
        const i = gap[p]!;
        if (more[i] === 0) touched[n++] = i;
        more[i]! += dose[p]!;
      }
    }
    for (let k = 0; k < n; k++) {
      const i = touched[k]!;
      const d = more[i]!;
      if (d === 0) continue;
      const u = units[base + i]!;
      delta += weight[base + i]! * (this.worthOf(u + d) - this.worthOf(u));
      more[i] = 0;
    }
    return delta;
  }

  /** Makes the change and answers what it brought. */
  change(learner: number, round: number, from: number, to: number): number {
    const delta = this.plainGain(learner, from, to);
    const gained = this.withPrices(learner, round, from, to, delta);
    const { G, I, gap, dose, start, units } = this;
    this.plain[learner]! += delta;
    const row = learner * G;
    const base = learner * I;
    if (from >= 0) for (let p = start[row + from]!; p < start[row + from + 1]!; p++) units[base + gap[p]!]! -= dose[p]!;
    if (to >= 0) for (let p = start[row + to]!; p < start[row + to + 1]!; p++) units[base + gap[p]!]! += dose[p]!;
    return gained;
  }
}
