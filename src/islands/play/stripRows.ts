import type { PlanWire, SeatWire, TableWire } from '../../contract/wire/plan';

/** One child at one table. */
export interface Row {
  readonly key: string;
  readonly round: number;
  readonly table: number;
  readonly of: TableWire;
  readonly seat: SeatWire;
  /** That note would change most of what comes next. */
  readonly first: boolean;
}

/** The children to look at first, table by table as the cards lie, then all others in the same order. */
export function rowsOf(plan: PlanWire): Row[] {
  const all = plan.rounds.flatMap((r, round) =>
    r.tables.flatMap((of, table) =>
      of.seats.map((seat): Row => ({
        key: `${round}|${table}|${seat.learner}`,
        round,
        table,
        of,
        seat,
        first: of.lookFor === seat.learner,
      })),
    ),
  );
  return [...all.filter((r) => r.first), ...all.filter((r) => !r.first)];
}
