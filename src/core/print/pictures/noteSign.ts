import { type Box, circle, rect } from '../box';

/** What a helper may have seen, in the order in which the signs stand on a card. */
export const noteResults = ['stuck', 'support', 'alone'] as const;
export type NoteResult = (typeof noteResults)[number];

/** A sign about a middle, of a radius: a ring, crossed by a bar for help, with a dot for on their own. None of them reads as a mark. */
export function noteSign(result: NoteResult, x: number, y: number, r: number): Box[] {
  const ring = circle(x, y, r, { line: 'ink', width: r * 0.18 });
  if (result === 'support') return [ring, rect(x - r, y - r * 0.12, 2 * r, r * 0.24, { fill: 'ink' })];
  if (result === 'alone') return [ring, circle(x, y, r * 0.42, { fill: 'ink' })];
  return [ring];
}
