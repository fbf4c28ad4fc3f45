import { heldAt } from '../mastery/parameters';

/** How many stops of a line are drawn at once; the rest is folded to its ends. */
export const mostStops = 11;

/**
 * Where the drawn part of a line begins: around the edge of what is there (the first stop
 * that is not upright), a little more ahead than behind; always holding the focused stop.
 */
export function foldFrom(heights: readonly number[], focusAt: number, asked: number | null, stops = mostStops): number {
  const last = Math.max(0, heights.length - stops);
  const edge = heights.findIndex((h) => h < heldAt);
  let from = asked ?? (edge < 0 ? last : edge - Math.floor(stops / 2) + 1);
  if (asked === null && focusAt >= 0) from = focusAt < from ? focusAt - 1 : focusAt >= from + stops ? focusAt - stops + 2 : from;
  return Math.min(last, Math.max(0, from));
}
