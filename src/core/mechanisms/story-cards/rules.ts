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

/** Channels of stories beyond one step of adding or taking away, after the twelve. */
export const furtherChannels = [
  { op: 'multiply', rep: 'story-groups' },
  { op: 'divide', rep: 'story-groups' },
  { op: 'multiply', rep: 'story-compare' },
  { op: 'divide', rep: 'story-compare' },
  { op: 'add', rep: 'story-two-step' },
  { op: 'subtract', rep: 'story-two-step' },
  { op: 'remainder', rep: 'story-groups' },
] as const;
export const [GROUPS, SHARES, TIMES, TIMES_BACK, STEP_MORE, STEP_LESS, LEFT_OVER] = [12, 13, 14, 15, 16, 17, 18] as const;

/** Channels in the order situation × unknown. */
export function channelsOf(highest: number): ItemChannel[] {
  const span = [0, highest] as const;
  const oneStep = (['add-to', 'take-from', 'together', 'compare'] as const).flatMap((situation) =>
    (['result', 'change', 'start'] as const).map((unknown) => ({ ...situationItem(situation, unknown), a: span, b: span })),
  );
  return [...oneStep, ...furtherChannels.map((c) => ({ ...c, unknown: 'result' as const, a: span, b: span }))];
}
