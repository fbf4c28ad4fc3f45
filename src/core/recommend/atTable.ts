import type { Offer } from './offer';
import { timesShare } from './practised';

/** Minutes to lay a game out again before the next play (common practice, no source). */
export const layOutMinutes = 1;

/**
 * Share of a slot that is play, where a game that ends early is laid out again: m of every m + 1 minutes, and
 * nothing before the first play.
 */
export function playingShare(minutes: number, slot: number): number {
  if (minutes <= 0 || minutes >= slot) return 1;
  return (minutes * (slot + layOutMinutes)) / ((minutes + layOutMinutes) * slot);
}

/**
 * What is left of a player's chances, or added to them, at a table of `players` instead of `counted`: of the time
 * somebody is busy, a part is everybody's and the rest goes round in turn, and the waiting at the counted table tells
 * how large each part is. // => in turn, four instead of two: 0.5
 */
export function sizeShare(counted: { readonly seats: number; readonly waiting: number }, players: number): number {
  const { seats, waiting } = counted;
  if (seats < 2 || players < 1) return 1;
  const busy = Math.min(1, Math.max(1 / seats, 1 - waiting));
  const everybody = (busy - 1 / seats) / (1 - 1 / seats);
  return (everybody + (1 - everybody) / players) / busy;
}

const scaled = new WeakMap<Float64Array, Map<number, Float64Array>>();

/**
 * The same version with its chances in ten minutes as they are at a table of so many, or the usual one, in a slot of
 * so many minutes. The owner's word stands as it was given.
 */
export function atTable(offer: Offer, players: number | null, slot: number): Offer {
  const { counted, minutes } = offer;
  if (!counted) return offer;
  const within = players === null ? counted.seats : Math.min(offer.players[1], Math.max(offer.players[0], players));
  // In hundredths, so that versions alike share a list.
  const share = Math.round(100 * sizeShare(counted, within) * playingShare(minutes, slot)) / 100;
  if (share === 1) return offer;
  let lists = scaled.get(offer.doses);
  if (!lists) scaled.set(offer.doses, (lists = new Map()));
  let doses = lists.get(share);
  if (!doses) {
    doses = timesShare(offer.doses, share);
    lists.set(share, doses);
  }
  return { ...offer, doses };
}

/** The table that most will sit at where so many share so many tables. */
export const likelyPlayers = (present: number, tables: number): number => Math.max(1, Math.round(present / Math.max(1, tables)));
