import { eq } from 'drizzle-orm';
import type { WishesWire } from '../../contract/wire/term';
import { pairKey, type Wishes } from '../../core/planning/wishes';
import type { Db, Tx } from '../db/db';
import { learners, settings } from '../db/schema';
import { refuse } from '../http/problemError';
import { sameVersion } from '../shared/versions';

const key = 'wishes';
const none: WishesWire = { fewerGames: false, longestWait: null, mix: false, oneLively: false, together: [], apart: [], version: 0 };

/** What is wished for every session that is planned. */
export function wishesNow(db: Db | Tx): WishesWire {
  const row = db.select().from(settings).where(eq(settings.key, key)).get();
  return row ? { ...none, ...(JSON.parse(row.value) as WishesWire) } : none;
}

/** The same as planning takes it. */
export function wishesForPlanning(db: Db): Wishes {
  const { fewerGames, longestWait, mix, oneLively, together, apart } = wishesNow(db);
  return { fewerGames, mix, oneLively, together, apart, ...(longestWait === null ? {} : { longestWait }) };
}

/** @throws unknown-value for a child who is not here; malformed for a pair of one, or one both together and apart */
export function putWishes(db: Db, wanted: WishesWire): WishesWire {
  return db.transaction((tx) => {
    sameVersion(wishesNow(tx), wanted.version);
    const known = new Set(
      tx
        .select({ id: learners.id })
        .from(learners)
        .all()
        .map((l) => l.id),
    );
    for (const field of ['together', 'apart'] as const)
      for (const [i, pair] of wanted[field].entries()) {
        const stranger = pair.find((l) => !known.has(l));
        if (stranger !== undefined) throw refuse('unknown-value', `There is no learner "${stranger}".`, `${field}.${i}`);
        if (pair[0] === pair[1]) throw refuse('malformed', 'A pair is two different children.', `${field}.${i}`);
      }
    const apart = new Set(wanted.apart.map(([x, y]) => pairKey(x, y)));
    const both = wanted.together.findIndex(([x, y]) => apart.has(pairKey(x, y)));
    if (both >= 0) throw refuse('malformed', 'Two cannot be kept together and apart at once.', `together.${both}`);
    return write(tx, { ...wanted, together: once(wanted.together), apart: once(wanted.apart), version: wanted.version + 1 });
  });
}

/** A child who is erased is in no pair. */
export function wishesWithout(tx: Tx, learner: string): void {
  const now = wishesNow(tx);
  const without = (pairs: WishesWire['apart']): WishesWire['apart'] => pairs.filter((p) => !p.includes(learner));
  if ([...now.together, ...now.apart].some((p) => p.includes(learner)))
    write(tx, { ...now, together: without(now.together), apart: without(now.apart), version: now.version + 1 });
}

const once = (pairs: WishesWire['apart']): WishesWire['apart'] => [...new Map(pairs.map((p) => [pairKey(...p), p])).values()];

function write(tx: Tx, wishes: WishesWire): WishesWire {
  const value = JSON.stringify(wishes);
  tx.insert(settings).values({ key, value }).onConflictDoUpdate({ target: settings.key, set: { value } }).run();
  return wishes;
}
