import type { TrackRaceParameters } from './parameters';

/** Where a token goes from each space by jumping; the space itself where there is no jump. */
export function jumpTable(p: TrackRaceParameters): Int32Array {
  const to = Int32Array.from({ length: p.end + 1 }, (_, i) => i);
  for (const [from, target] of p.jumps) if (from < p.end && target <= p.end && (p.loops || target > from)) to[from] = target;
  return to;
}

/** Steps one throw can make, with their signs, before special spaces. */
export function possibleSteps(p: TrackRaceParameters): number[] {
  const faces = Array.from({ length: p.highestFace - p.lowestFace + 1 }, (_, i) => p.lowestFace + i);
  if (p.move === 'difference') return [...new Set(faces.flatMap((x) => faces.map((y) => Math.abs(x - y))))];
  if (p.move === 'forward-then-back') return [...new Set(faces.flatMap((x) => faces.map((y) => x - y)))];
  let sums = new Set([0]);
  for (let d = 0; d < p.dice; d++) sums = new Set([...sums].flatMap((s) => faces.map((f) => s + f)));
  return p.move === 'signed' ? [...sums].flatMap((s) => [s, -s]) : [...sums];
}

/**
 * Spaces from which the end can no longer be reached, found by walking all moves from the
 * start forward and from the end backward. Empty when every game can end.
 */
export function trappedSpaces(p: TrackRaceParameters): number[] {
  const jumps = jumpTable(p);
  const steps = possibleSteps(p);
  const next = (space: number): number[] =>
    steps.flatMap((step) => {
      const landing = space + step;
      if (landing >= p.end) return p.landing === 'beyond' || landing === p.end ? [p.end] : [];
      const at = jumps[Math.max(p.start, landing)]!;
      return p.special !== 'none' && at % p.specialEvery === 0
        ? [at, ...steps.map((s) => Math.min(p.end, Math.max(p.start, at + s)))]
        : [at];
    });
  const reached = new Set([p.start]);
  for (const space of reached) if (space < p.end) for (const n of next(space)) reached.add(n);
  const good = new Set([p.end]);
  for (let grew = true; grew;) {
    grew = false;
    for (const space of reached) if (!good.has(space) && next(space).some((n) => good.has(n))) grew = Boolean(good.add(space));
  }
  return [...reached].filter((s) => !good.has(s)).sort((x, y) => x - y);
}
