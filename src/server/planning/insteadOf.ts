import type { InsteadWire } from '../../contract/wire/plans';
import type { Kept } from '../../contract/wire/route';
import type { Db } from '../db/db';
import { refuse } from '../http/problemError';
import { offersNow } from '../shelf/offers';
import { checkerOf } from './checkRounds';
import { completeRounds, type EditedRound } from './editPlan';
import type { PlanRow } from './planById';
import { recommendations } from './recommendRoutes';

/** Games that are looked at in the order in which they suit. */
const lookedAt = 40;
const usualLimit = 3;

/**
 * What the children of one table could play in place of its game, in the versions that are offered, without breaking
 * a rule that the rounds keep now. @throws out-of-range when there is no such table.
 */
export async function insteadOf(
  db: Db,
  plan: PlanRow,
  edited: readonly EditedRound[],
  at: { readonly round: number; readonly table: number },
  limit: number | undefined,
  today: string,
): Promise<Kept<InsteadWire>> {
  const table = edited[at.round]?.tables[at.table];
  if (!table) throw refuse('out-of-range', `There is no table ${at.table + 1} in round ${at.round + 1}.`, 'table');
  if (table.seats.length === 0) return { items: [], breaking: 0 };
  const rounds = await completeRounds(db, plan, edited, today);
  // Tables at which nobody sits fall away.
  const position = edited[at.round]!.tables.slice(0, at.table).filter((t) => t.seats.length > 0).length;
  const asked = {
    learners: table.seats.filter((s) => s.with === undefined).map((s) => s.learner),
    minutes: plan.request.minutes,
    limit: lookedAt,
  };
  const { items } = await recommendations({ db, today }, asked);
  const needsHelper = new Set(offersNow(db).flatMap((o) => (o.helper === 'needed' ? [o.variant] : [])));
  // Fixed seats are let go of by whoever changes the game at their table.
  const locks = plan.locks.filter((k) => k.round !== at.round || k.game !== table.game);
  const check = await checkerOf(db, { ...plan, locks }, today);
  const brokenNow = new Set(check(rounds).violations.map((v) => v.message));
  const others = items.filter((s) => s.game !== table.game);
  const partners = table.seats.flatMap((s) => (s.with === undefined ? [] : [{ learner: s.learner, with: s.with }]));
  const keeping = others.filter((s) => {
    const swapped = {
      game: s.game,
      helper: table.grownUp === true || s.seats.some((seat) => needsHelper.has(seat.variant)),
      ...(table.grownUp ? { grownUp: true } : {}),
      seats: [
        ...s.seats.map(({ learner, variant }) => ({ learner, variant, why: '' })),
        ...partners.map((p) => ({ ...p, variant: s.seats.find((seat) => seat.learner === p.with)!.variant, why: '' })),
      ],
    };
    const tried = rounds.map((r, i) => (i === at.round ? { ...r, tables: r.tables.map((t, j) => (j === position ? swapped : t)) } : r));
    return check(tried).violations.every((v) => brokenNow.has(v.message));
  });
  return { items: keeping.slice(0, limit ?? usualLimit), breaking: others.length - keeping.length };
}
