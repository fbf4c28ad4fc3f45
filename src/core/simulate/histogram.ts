/** Exact quantile of counted whole numbers: the smallest k with at least `share` at or below it. */
export function quantileOf(counts: ArrayLike<number>, share: number): number {
  let total = 0;
  for (let i = 0; i < counts.length; i++) total += counts[i]!;
  if (total === 0) return 0;
  let seen = 0;
  for (let i = 0; i < counts.length; i++) {
    seen += counts[i]!;
    if (seen >= share * total) return i;
  }
  return counts.length - 1;
}

/** Share of counts at or below a place. */
export function shareUpTo(counts: ArrayLike<number>, place: number): number {
  let total = 0;
  let below = 0;
  for (let i = 0; i < counts.length; i++) {
    total += counts[i]!;
    if (i <= place) below += counts[i]!;
  }
  return total === 0 ? 0 : below / total;
}
