import type { WirePlayed } from '../../core/planning/planTerm';
import { metInPlay } from '../../core/recommend/metInPlay';
import type { Offer } from '../../core/recommend/offer';
import type { Db } from '../db/db';
import { plans } from '../db/schema';

/** Who played what in sessions that took place. */
export function playedBefore(db: Db, day: string): WirePlayed[] {
  return db
    .select()
    .from(plans)
    .all()
    .filter((p) => p.playedAt !== null && p.date < day)
    .flatMap(({ rounds, request, date }) =>
      rounds.flatMap((r) =>
        r.tables.flatMap(({ game, seats }) =>
          seats.map(({ learner, variant }) => ({ learner, variant, game, players: seats.length, minutes: Number(request.minutes), date })),
        ),
      ),
    );
}

/** By learner and skill, the day it was last met in a session that took place. */
export const metBefore = (db: Db, day: string, offers: readonly Offer[]): ReturnType<typeof metInPlay> =>
  metInPlay(playedBefore(db, day), offers);
