import { playersAt } from '../../core/planning/seatsAt';
import { andThen, endsEarly } from '../../core/recommend/andThen';
import type { Db } from '../db/db';
import type { PlanRow } from './planById';
import { sceneOf } from './planScene';

interface Then {
  readonly round: number;
  readonly table: number;
  /** How long its game is expected to take. */
  readonly minutes: number;
  readonly then: {
    readonly game: string;
    readonly title: string;
    readonly variant: string;
    readonly variantTitle: string;
    readonly minutes: number;
  } | null;
}

/** For each table that is done long before its round, what the same children play on with from the same things. */
export async function thenOf(db: Db, plan: PlanRow, today: string): Promise<{ items: Then[] }> {
  const scene = await sceneOf(db, plan, today);
  const byVariant = new Map(scene.offers.map((o) => [o.variant, o]));
  const { minutes } = plan.request;
  const items = plan.rounds.flatMap((r, round) =>
    r.tables.flatMap((t, table): Then[] => {
      const playing = t.seats.flatMap((s) => byVariant.get(s.variant) ?? []);
      if (!endsEarly(playing, minutes)) return [];
      const here = new Set(t.seats.map((s) => s.learner));
      const elsewhere = new Set(
        plan.rounds.flatMap((x) => x.tables.filter((y) => y.seats.some((s) => here.has(s.learner))).map((y) => y.game)),
      );
      const learners = t.seats.flatMap((s) => scene.needs.get(s.learner) ?? []);
      const then =
        learners.length === t.seats.length ? andThen(scene.graph, scene.offers, playing, learners, minutes, elsewhere, playersAt(t)) : null;
      return [
        {
          round,
          table,
          minutes: Math.max(...playing.map((o) => o.minutes)),
          then: then && { game: then.game, title: then.gameTitle, variant: then.variant, variantTitle: then.title, minutes: then.minutes },
        },
      ];
    }),
  );
  return { items };
}
