/** Seats of a table that is not known yet. */
const usual = 3;

/** Players at which a version is read until the table is known: three, or as near as it allows. */
export const usualSeats = (players: { readonly min: number; readonly max: number }): number =>
  Math.min(players.max, Math.max(players.min, usual));
