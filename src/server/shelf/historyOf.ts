import { eq, inArray, isNotNull } from 'drizzle-orm';
import type { Answer } from '../../contract/wire/route';
import type { shelfWire } from '../../contract/wire/shelf';
import type { Db } from '../db/db';
import { evidence, learners, plans, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import { gameById } from './shelfRows';

type History = Answer<(typeof shelfWire)['GET /games/{id}/history']>;

/** When a game was played, the latest first, by whom and what was noted there; and who asks for it. @throws not-found */
export function historyOf(db: Db, id: string): History {
  gameById(db, id);
  const people = db.select().from(learners).all();
  const nickname = new Map(people.map((l) => [l.id, l.nickname]));
  const own = new Map(
    db
      .select()
      .from(variants)
      .where(eq(variants.gameId, id))
      .all()
      .map((v) => [v.id, v.title]),
  );
  const noted =
    own.size === 0
      ? []
      : db
          .select()
          .from(evidence)
          .where(inArray(evidence.variantId, [...own.keys()]))
          .all()
          .filter((e) => e.retractedAt === null && e.planId !== null);
  const plays = db
    .select()
    .from(plans)
    .where(isNotNull(plans.playedAt))
    .all()
    .flatMap((p) =>
      p.rounds.flatMap((r, round) =>
        r.tables
          // What was put together with another game brought its versions along.
          .filter((t) => t.game === id || t.seats.some((s) => own.has(s.variant)))
          .map((t) => {
            const seats = t.seats.filter((s) => nickname.has(s.learner));
            const here = noted.filter(
              (e) => e.planId === p.id && seats.some((s) => s.learner === e.learnerId && s.variant === e.variantId),
            );
            const count = (result: 'alone' | 'support' | 'stuck'): number => here.filter((e) => e.result === result).length;
            return {
              plan: p.id,
              date: p.date,
              round,
              versions: [...new Set(t.seats.map((s) => own.get(s.variant) ?? s.variant))],
              learners: seats.map((s) => ({ learner: s.learner, nickname: nickname.get(s.learner)! })),
              notes: { alone: count('alone'), support: count('support'), stuck: count('stuck') },
            };
          }),
      ),
    )
    .sort((x, y) => (x.date < y.date ? 1 : x.date > y.date ? -1 : y.round - x.round));
  return {
    plays,
    liked: people.filter((l) => l.likings.includes(id)).map((l) => ({ learner: l.id, nickname: l.nickname })),
  };
}

/** Children ask for a game, or no more; who asked for it already still does. @throws not-found; unknown-value */
export function setLiked(db: Db, id: string, asked: { readonly learners: readonly string[]; readonly liked: boolean }): { ok: true } {
  gameById(db, id);
  db.transaction((tx) => {
    for (const [i, l] of asked.learners.entries()) {
      const row = tx.select().from(learners).where(eq(learners.id, l)).get();
      if (!row) throw refuse('unknown-value', `There is no learner "${l}".`, `learners.${i}`);
      if (row.likings.includes(id) === asked.liked) continue;
      const likings = asked.liked ? [...row.likings, id] : row.likings.filter((g) => g !== id);
      tx.update(learners)
        .set({ likings, version: row.version + 1 })
        .where(eq(learners.id, l))
        .run();
    }
  });
  return { ok: true };
}
