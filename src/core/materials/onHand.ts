/** How many there are: a number, plenty, nobody is sure (used as if there), or none. */
export type ThingState = 'number' | 'plenty' | 'unsure' | 'none';

/** Some that are with somebody else until a day. */
export interface Loan {
  readonly who: string;
  readonly quantity: number;
  /** ISO day; null where none was named. */
  readonly until: string | null;
}

/** What is written down of a kind of thing. */
export interface Counted {
  /** Pieces that are ours. */
  readonly quantity: number;
  /** What the owner said; null where nobody said anything yet. */
  readonly told: 'number' | 'plenty' | 'unsure' | null;
  /** Used up or freely at hand by its nature (paper, pencils). */
  readonly plentiful: boolean;
  readonly loans: readonly Loan[];
}

/** More than any session needs. */
export const plenty = 9999;

/** Pieces of a kind that are with somebody else; what is lent stays away until it is said to be back. */
export const lentOf = ({ loans }: Counted): number => loans.reduce((sum, l) => sum + l.quantity, 0);

/** Pieces that are here: what is ours less what is lent, never below 0. */
export const hereOf = (c: Counted): number => Math.max(0, c.quantity - lentOf(c));

/** A count of 0 that nobody typed says nothing: nobody is sure then. */
export function stateOf(c: Counted): ThingState {
  if (c.told === 'plenty' || c.told === 'unsure') return c.told;
  if (c.told === null && c.plentiful) return 'plenty';
  if (c.told === null && c.quantity === 0) return 'unsure';
  return hereOf(c) > 0 ? 'number' : 'none';
}

/** Pieces that a session may count on: what nobody is sure of counts as there. */
export function onHand(c: Counted): number {
  const state = stateOf(c);
  return state === 'plenty' || state === 'unsure' ? plenty : hereOf(c);
}
