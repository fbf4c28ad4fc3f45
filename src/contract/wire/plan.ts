import { type Static } from '@sinclair/typebox';
import { arr, bool, int, nullable, num, obj, oneOf, opt, str } from './schema';
import { status } from './session';
import { material } from './things';

const lock = obj({ learner: str, round: int, game: str });

export type LockWire = Static<typeof lock>;

const table = obj({
  game: str,
  title: str,
  helper: bool,
  /** A grown-up plays along. */
  grownUp: bool,
  /** The child whose note would tell most; null where no seat is for a step. */
  lookFor: nullable(str),
  materials: arr(obj({ ...material.properties, title: str })),
  /** What stands in for what is not to be had, by the titles of both. */
  standIns: arr(obj({ instead: str, say: str })),
  seats: arr(
    obj({
      learner: str,
      variant: str,
      variantTitle: str,
      doses: arr(obj({ skill: str, items: num, source: oneOf('calculated', 'declared') })),
      why: str,
      /** The step the seat is for: a note at the table is about it first. */
      skill: nullable(str),
      /** The tool to lay out for this child, a kind or a sort of help; null for none. */
      tool: nullable(str),
      /** The child whose seat it is, where two play it as partners. */
      with: nullable(str),
    }),
  ),
});

export type TableWire = Static<typeof table>;

export type SeatWire = TableWire['seats'][number];

export const round = obj({
  tables: arr(table),
  resting: arr(str),
  /** What those who rest without having asked for it can do. */
  meanwhile: arr(obj({ learner: str, text: str })),
});

/** Who has no seat, and the smallest set of things that together would bring one. */
export const missingSeats = obj({
  unseated: int,
  /** With all of `steps` done. */
  unseatedAfter: int,
  /** Games here, and how many of them nobody has said yet how they are played, so that no plan can use them. */
  games: int,
  unknown: int,
  steps: arr(
    obj({
      text: str,
      relax: oneOf('tables', 'helpers', 'preparation', 'stock', 'lock', 'repeats', 'lively', 'apart'),
      by: opt(num),
      kind: opt(str),
      lock: opt(obj({ learner: str, round: int, game: str })),
    }),
  ),
});
export const changes = obj({ seats: int, of: int, price: num });

export type MissingSeatsWire = Static<typeof missingSeats>;

export const plan = obj({
  id: str,
  date: str,
  status,
  objective: num,
  bound: num,
  /** Share of the bound that the plan may at most fall short of. */
  gap: num,
  /** Ways to share a game that were looked at closely, where the shelf has more; the bound is one over those. */
  considered: nullable(int),
  /** What would make room, where nobody could be seated. */
  missing: nullable(missingSeats),
  /** Planning again found no seats, and the session stands as it was. */
  failed: opt(missingSeats),
  /** Planned again with few changes: how many seats are others, of how many, and the share of worth given up for the rest. */
  changes: opt(changes),
  rounds: arr(round),
  locks: arr(lock),
  request: obj({
    present: arr(str),
    rounds: int,
    minutes: int,
    tables: int,
    helpers: int,
    seed: int,
    preparationMinutes: nullable(num),
    withoutGames: opt(arr(str)),
    grownUp: bool,
    everybody: arr(obj({ round: int, game: str })),
  }),
  edited: bool,
  forecast: bool,
  playedAt: nullable(str),
  version: int,
  /** Stands on its papers. */
  number: int,
});

export type PlanWire = Static<typeof plan>;
