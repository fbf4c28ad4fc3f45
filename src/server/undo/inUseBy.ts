import { inArray } from 'drizzle-orm';
import type { Tx } from '../db/db';
import { evidence, games, kinds, learners, plans, variantMaterials, variants } from '../db/schema';

/** Rows that are about to be taken away. */
interface Going {
  readonly games: ReadonlySet<string>;
  readonly variants: ReadonlySet<string>;
  readonly kinds: ReadonlySet<string>;
}

/** What stands on rows that are about to go, as a sentence; null when nothing does. */
export function inUseBy(tx: Tx, going: Going): string | null {
  if (going.games.size + going.variants.size + going.kinds.size === 0) return null;
  const gameTitle = (id: string): string =>
    tx
      .select()
      .from(games)
      .where(inArray(games.id, [id]))
      .get()?.title ?? id;
  const ownVariants =
    going.games.size === 0
      ? []
      : tx
          .select()
          .from(variants)
          .where(inArray(variants.gameId, [...going.games]))
          .all();
  const stray = ownVariants.find((v) => !going.variants.has(v.id));
  if (stray) return `“${gameTitle(stray.gameId)}” has got the version “${stray.title}” since.`;
  const all = new Set([...going.variants, ...ownVariants.map((v) => v.id)]);
  for (const p of tx.select().from(plans).all())
    for (const t of p.rounds.flatMap((r) => r.tables)) {
      if (going.games.has(t.game)) return `“${gameTitle(t.game)}” stands in the session of ${p.date}.`;
      if (t.seats.some((s) => all.has(s.variant))) return `A version of “${gameTitle(t.game)}” stands in the session of ${p.date}.`;
    }
  if (
    all.size > 0 &&
    tx
      .select()
      .from(evidence)
      .where(inArray(evidence.variantId, [...all]))
      .get()
  )
    return 'Something was noted about it.';
  const fan =
    going.games.size === 0
      ? undefined
      : tx
          .select()
          .from(learners)
          .all()
          .find((l) => l.likings.some((id) => going.games.has(id)));
  if (fan) return `${fan.nickname} likes it.`;
  if (going.kinds.size === 0) return null;
  const user = tx
    .select()
    .from(variantMaterials)
    .where(inArray(variantMaterials.kindId, [...going.kinds]))
    .all()
    .find((m) => !all.has(m.variantId));
  const kind =
    user &&
    tx
      .select()
      .from(kinds)
      .where(inArray(kinds.id, [user.kindId]))
      .get();
  return kind ? `“${kind.title}” is needed by another version since.` : null;
}
