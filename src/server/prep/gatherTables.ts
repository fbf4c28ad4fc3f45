import type { GatherWire } from '../../contract/wire/prep';
import type { Kept } from '../../contract/wire/route';
import type { StoredTable } from '../db/schema';

/** A table of a session with what is laid out on it. */
export interface LaidTable {
  readonly round: number;
  readonly table: number;
  readonly of: StoredTable;
  /** How many of each kind, tools of the seats among them. */
  readonly things: ReadonlyMap<string, number>;
}

interface Titles {
  readonly game: (id: string) => string;
  readonly kind: (id: string) => string;
  readonly version: (id: string) => string;
}

/**
 * What is laid out table by table, and what goes back to its bin after it: things that no later round uses. One child of
 * the table takes them, whoever has done so least in this session, so that it goes round.
 */
export function byTable(laid: readonly LaidTable[], title: Titles): Kept<GatherWire>['tables'] {
  const lastRound = new Map<string, number>();
  for (const { round, things, of } of laid) for (const thing of [...things.keys(), `game:${of.game}`]) lastRound.set(thing, round);
  const carried = new Map<string, number>();
  return laid.map(({ round, table, of, things }) => {
    const done = [...things].filter(([kind, quantity]) => quantity > 0 && lastRound.get(kind) === round).map(([kind]) => title.kind(kind));
    const back = [...(lastRound.get(`game:${of.game}`) === round ? [title.game(of.game)] : []), ...done];
    const least = Math.min(...of.seats.map((s) => carried.get(s.learner) ?? 0));
    const carrier = back.length === 0 ? undefined : of.seats.find((s) => (carried.get(s.learner) ?? 0) === least)?.learner;
    if (carrier !== undefined) carried.set(carrier, least + 1);
    return {
      round,
      table,
      game: of.game,
      title: title.game(of.game),
      versions: [...new Set(of.seats.map((s) => title.version(s.variant)))],
      things: [...things]
        // The tool of a seat is told with its seat.
        .map(([kind, quantity]) => ({ title: title.kind(kind), quantity: quantity - of.seats.filter((s) => s.tool === kind).length }))
        .filter((m) => m.quantity > 0),
      tools: of.seats.flatMap((s) => (s.tool ? [{ learner: s.learner, tool: s.tool }] : [])),
      returns: carrier === undefined ? null : { learner: carrier, things: back },
    };
  });
}
