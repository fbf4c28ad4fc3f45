import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { games, kinds, learners, variants } from '../db/schema';

/** What each thing is called, by its id; an id that is gone stands for itself. */
export function titles(db: Db): {
  learner: (id: string) => string;
  game: (id: string) => string;
  variant: (id: string) => string;
  kind: (id: string) => string;
  skill: (id: string) => string;
} {
  const graph = graphOf(db);
  const l = new Map(
    db
      .select()
      .from(learners)
      .all()
      .map((x) => [x.id, x.nickname]),
  );
  const g = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((x) => [x.id, x.title]),
  );
  const v = new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((x) => [x.id, `${g.get(x.gameId) ?? ''}, ${x.title}`]),
  );
  const k = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((x) => [x.id, x.title]),
  );
  return {
    learner: (id) => l.get(id) ?? id,
    game: (id) => g.get(id) ?? id,
    variant: (id) => v.get(id) ?? id,
    kind: (id) => k.get(id) ?? id,
    skill: (id) => graph.skills[graph.indexOf.get(id) ?? -1]?.title ?? id,
  };
}
