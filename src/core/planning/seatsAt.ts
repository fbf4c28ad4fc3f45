/** A table as it is stored or sent: some seats are shared by two, and a grown-up may play along. */
interface SharedTable {
  readonly seats: readonly { readonly learner: string; readonly with?: string | null }[];
  readonly grownUp?: boolean;
}

/** How many play at a table: two on one seat are one player, a grown-up who plays along is one more. */
export const playersAt = ({ seats, grownUp }: SharedTable): number => seats.filter((s) => !s.with).length + (grownUp ? 1 : 0);

/** Whether a child's seat is played by two, so that each meets about half of its chances. */
export const isShared = ({ seats }: SharedTable, learner: string): boolean =>
  seats.some((s) => (s.learner === learner && Boolean(s.with)) || s.with === learner);
