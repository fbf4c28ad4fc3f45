import { below, createRng, type Rng } from '../src/core/shared/rng';

/** Seeded choices. */
export class Dice {
  private readonly rng: Rng;

  constructor(seed: number, stream: number) {
    this.rng = createRng(seed, stream);
  }

  below(limit: number): number {
    return below(this.rng, limit);
  }

  one<T>(of: readonly T[]): T {
    return of[this.below(of.length)]!;
  }

  chance(inSo: number): boolean {
    return this.below(inSo) === 0;
  }
}
