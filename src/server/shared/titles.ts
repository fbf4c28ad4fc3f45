import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { games, kinds, learners, variants } from '../db/schema';

/** What each thing is called, by its id; an id that is gone stands for itself. */
export interface Titles {
  readonly learner: (id: string) => string;
  readonly game: (id: string) => string;
  readonly variant: (id: string) => string;
  readonly kind: (id: string) => string;
  readonly skill: (id: string) => string;
}

/** Reads names only, and of each table when it is asked for the first time. */
export function titles(db: Db): Titles {
  const graph = graphOf(db);
  const game = once(() => db.select({ id: games.id, title: games.title }).from(games).all());
  return {
    learner: once(() => db.select({ id: learners.id, title: learners.nickname }).from(learners).all()),
    game,
    variant: once(() =>
      db
        .select({ id: variants.id, title: variants.title, game: variants.gameId })
        .from(variants)
        .all()
        .map((v) => ({ id: v.id, title: `${game(v.game)}, ${v.title}` })),
    ),
    kind: once(() => db.select({ id: kinds.id, title: kinds.title }).from(kinds).all()),
    skill: (id) => graph.skills[graph.indexOf.get(id) ?? -1]?.title ?? id,
  };
}

function once(read: () => readonly { readonly id: string; readonly title: string }[]): (id: string) => string {
  let known: ReadonlyMap<string, string> | null = null;
  return (id) => (known ??= new Map(read().map((x) => [x.id, x.title]))).get(id) ?? id;
}
