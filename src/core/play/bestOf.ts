/**
 * Index of the best of several values, −1 where several are equally good: a tie belongs to nobody. The best of one is itself.
 * `better(a, b)` is positive when `a` is better; the larger number when left out.
 * // => bestOf([3, 7, 5], 3) is 1, bestOf([7, 7], 2) is −1
 */
export function bestOf(values: ArrayLike<number>, count: number, better?: (a: number, b: number) => number): number {
  let best = 0;
  let tied = false;
  for (let i = 1; i < count; i++) {
    const order = better ? better(values[i]!, values[best]!) : values[i]! - values[best]!;
    if (order > 0) {
      best = i;
      tied = false;
    } else if (order === 0) tied = true;
  }
  return tied || count === 0 ? -1 : best;
}
