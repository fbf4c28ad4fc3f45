/** A session reduced to who plays what. */
export type Seating = readonly {
  readonly tables: readonly { readonly game: string; readonly seats: readonly { readonly learner: string; readonly variant: string }[] }[];
  readonly resting: readonly string[];
  readonly meanwhile?: readonly { readonly learner: string; readonly variant: string | null }[] | undefined;
}[];

/** Children who do something else than they were to do, all at one table. */
export interface Move {
  readonly round: number;
  /** Null for those who have no seat. */
  readonly game: string | null;
  readonly seats: readonly { readonly learner: string; readonly variant: string | null }[];
  /** Who sits there already. */
  readonly with: readonly string[];
}

/** What changes from one seating of a session to another, round by round, for children who are in both. */
export function movesBetween(before: Seating, after: Seating): Move[] {
  return after.flatMap((round, r): Move[] => {
    const was = before[r];
    const gameOf = new Map((was?.tables ?? []).flatMap((t) => t.seats.map((s) => [s.learner, t.game] as const)));
    const tables = round.tables.flatMap((t): Move[] => {
      const seats = t.seats.filter((s) => gameOf.get(s.learner) !== t.game);
      if (seats.length === 0) return [];
      const stay = t.seats.filter((s) => gameOf.get(s.learner) === t.game).map((s) => s.learner);
      return [{ round: r, game: t.game, seats: seats.map(({ learner, variant }) => ({ learner, variant })), with: stay }];
    });
    const seated = new Set(round.tables.flatMap((t) => t.seats.map((s) => s.learner)));
    const out = round.resting
      .filter((l) => gameOf.has(l) && !seated.has(l))
      .map((learner) => ({ learner, variant: round.meanwhile?.find((m) => m.learner === learner)?.variant ?? null }));
    return [...tables, ...(out.length > 0 ? [{ round: r, game: null, seats: out, with: [] }] : [])];
  });
}
