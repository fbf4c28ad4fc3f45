import { forEverybody } from '../../core/recommend/forEverybody';
import type { Db } from '../db/db';
import { missingFor } from '../../core/recommend/recommend';
import { stockOf } from '../shelf/offers';
import { titles } from '../shared/titles';
import type { PlanRow } from './planById';
import { sceneOf } from './planScene';

const listed = 8;

/** Games for a round that is for everybody of a session, with what is there to play them. */
export async function everybodyOf(
  db: Db,
  plan: PlanRow,
  today: string,
): Promise<{ items: { game: string; title: string; most: number; for: number }[] }> {
  const { graph, offers, needs, order } = await sceneOf(db, plan, today);
  const { stock } = stockOf(db);
  const title = titles(db);
  const here = offers.filter((o) => missingFor([o], stock).length === 0);
  const children = order.map((l) => needs.get(l)!);
  return {
    items: forEverybody(graph, here, children, plan.request.minutes)
      .slice(0, listed)
      .map(({ game, most, serves }) => ({ game, title: title.game(game), most, for: serves })),
  };
}
