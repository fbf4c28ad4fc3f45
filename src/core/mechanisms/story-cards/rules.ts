import type { Item } from '../../items/item';
import type { ItemChannel } from '../../simulate/itemChannel';
import { type situations, type unknowns } from './parameters';

export type Situation = (typeof situations)[number];
export type StoryUnknown = (typeof unknowns)[number];

/**
 * The twelve one-step situations: add to, take from, put together or take apart, and
 * compare, each with the result, the change (the other part, the difference) or the start
 * (the first part, the smaller amount) unknown. Tabulated in the glossary of the Common
 * Core State Standards for Mathematics, table 1 (from memory).
 */
export function situationItem(situation: Situation, unknown: StoryUnknown): Pick<Item, 'op' | 'unknown' | 'rep'> {
  const where = unknown === 'result' ? 'result' : unknown === 'change' ? 'b' : 'a';
  if (situation === 'add-to') return { op: 'add', unknown: where, rep: 'story-add-to' };
  if (situation === 'take-from') return { op: 'subtract', unknown: where, rep: 'story-take-from' };
  if (situation === 'together') return { op: 'add', unknown: where, rep: 'story-together' };
  // Larger − smaller = difference: the difference, the smaller, or the larger amount is asked for.
  return { op: 'subtract', unknown: where, rep: 'story-compare' };
}

/** Channels in the order situation × unknown. */
export function channelsOf(highest: number): ItemChannel[] {
  const span = [0, highest] as const;
  return (['add-to', 'take-from', 'together', 'compare'] as const).flatMap((situation) =>
    (['result', 'change', 'start'] as const).map((unknown) => ({ ...situationItem(situation, unknown), a: span, b: span })),
  );
}
