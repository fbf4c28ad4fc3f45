import type { WirePlayed } from '../../core/planning/planTerm';
import type { Db } from '../db/db';
import { plans } from '../db/schema';

/** Who played what in sessions that took place. */
export function playedBefore(db: Db, day: string): WirePlayed[] {
  return db
    .select()
    .from(plans)
    .all()
    .filter((p) => p.playedAt !== null && p.date < day)
    .flatMap((p) =>
      p.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => ({ learner: s.learner, game: t.game, date: p.date })))),
    );
}
