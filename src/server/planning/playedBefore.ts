import type { WirePlayed } from '../../core/planning/planTerm';
import { isShared, playersAt } from '../../core/planning/seatsAt';
import { pairKey } from '../../core/planning/wishes';
import { addDays } from '../../core/shared/days';
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
        r.tables.flatMap((t) =>
          t.seats.map(({ learner, variant }) => ({
            learner,
            variant,
            game: t.game,
            players: playersAt(t),
            ...(isShared(t, learner) ? { shared: true } : {}),
            minutes: Number(request.minutes),
            date,
          })),
        ),
      ),
    );
}

/** By learner and skill, the day it was last met in a session that took place. */
export const metBefore = (db: Db, day: string, offers: readonly Offer[]): ReturnType<typeof metInPlay> =>
  metInPlay(playedBefore(db, day), offers);

/** Weeks in which it matters who sat with whom, and who had no seat. */
const companyDays = 42;

/** How often two sat together and in how many rounds each had no seat, in sessions that took place lately. */
export function companyBefore(db: Db, day: string): { satTogether: [string, number][]; rested: [string, number][] } {
  const satTogether = new Map<string, number>();
  const rested = new Map<string, number>();
  const more = (of: Map<string, number>, key: string): void => void of.set(key, (of.get(key) ?? 0) + 1);
  const since = addDays(day, -companyDays);
  for (const { rounds, playedAt, date } of db.select().from(plans).all()) {
    if (playedAt === null || date >= day || date < since) continue;
    for (const round of rounds) {
      for (const l of round.resting) more(rested, l);
      for (const { seats } of round.tables)
        for (const [i, x] of seats.entries()) for (const y of seats.slice(i + 1)) more(satTogether, pairKey(x.learner, y.learner));
    }
  }
  return { satTogether: [...satTogether], rested: [...rested] };
}
