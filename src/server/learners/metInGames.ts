import { isShared, playersAt } from '../../core/planning/seatsAt';
import { atTable } from '../../core/recommend/atTable';
import { graphOf } from '../db/graphOf';
import type { Db } from '../db/db';
import { plans } from '../db/schema';
import { offersOf } from '../shelf/offers';
import { learnerById } from './learnerStore';

const tenMinutes = 10;
const leastChances = 1;

/** Chances a learner probably met in sessions that took place: calculated from what was played, never evidence. */
export async function metInGames(db: Db, id: string): Promise<{ skill: string; chances: number; sessions: number }[]> {
  learnerById(db, id);
  const graph = graphOf(db);
  const offers = new Map((await offersOf(db)).map((o) => [o.variant, o]));
  const chances = new Float64Array(graph.skills.length);
  const sessions = graph.skills.map(() => new Set<string>());
  for (const p of db.select().from(plans).all()) {
    if (p.playedAt === null) continue;
    const minutes = Number(p.request.minutes);
    for (const table of p.rounds.flatMap((r) => r.tables)) {
      const offer = offers.get(table.seats.find((s) => s.learner === id)?.variant ?? '');
      if (!offer) continue;
      const { doses } = atTable(offer, playersAt(table), minutes);
      for (let k = 0; k < doses.length; k++) {
        if (doses[k] === 0) continue;
        chances[k]! += ((isShared(table, id) ? 0.5 : 1) * doses[k]! * minutes) / tenMinutes;
        sessions[k]!.add(p.date);
      }
    }
  }
  return graph.skills.flatMap((s, k) =>
    chances[k]! >= leastChances ? [{ skill: s.id, chances: Math.round(chances[k]!), sessions: sessions[k]!.size }] : [],
  );
}
