/** A version of a shipped game as far as it is compared. */
export interface ShippedVersion {
  readonly game: string;
  readonly version: string;
  readonly mechanism: string;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly ages: readonly [number, number];
}

export interface Twin {
  readonly game: string;
  readonly version: string;
  /** Parameters in which it is not what was told; none where it is the very same. */
  readonly differs: readonly string[];
}

/** Settings of a version beyond what was told that still leave it "the same game". */
const mostUntold = 3;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * The shipped version that comes nearest to what a row tells: fewest contradictions first, then the ages that overlap
 * most, then the fewest settings nobody spoke of. Null where the family ships none.
 * @param told parameters read from the row that are not as usual
 */
export function libraryTwin(
  mechanism: string,
  told: Readonly<Record<string, unknown>>,
  usual: Readonly<Record<string, unknown>>,
  ages: readonly [number, number] | null,
  shipped: readonly ShippedVersion[],
): Twin | null {
  const ranked = shipped
    .filter((v) => v.mechanism === mechanism)
    .map((v) => {
      const whole: Readonly<Record<string, unknown>> = { ...usual, ...v.parameters };
      const differs = Object.keys(told).filter((name) => !same(whole[name], told[name]));
      const untold = Object.keys(v.parameters).filter((name) => !(name in told) && !same(v.parameters[name], usual[name]));
      const apart = ages ? Math.max(0, v.ages[0] - ages[1]) + Math.max(0, ages[0] - v.ages[1]) : 0;
      const middles = ages ? Math.abs(v.ages[0] + v.ages[1] - ages[0] - ages[1]) / 2 : 0;
      return { v, differs, untold, rank: differs.length * 100 + apart * 20 + untold.length * 2 + middles };
    })
    .sort((x, y) => x.rank - y.rank);
  const best = ranked[0];
  if (!best) return null;
  const tooFar = best.untold.length > mostUntold ? best.untold : [];
  return { game: best.v.game, version: best.v.version, differs: [...best.differs, ...tooFar] };
}
